// Writes what is said from the definitions: the tables of all kinds and the schema of files, which are not committed, and the keys of the
// guide. Run by the build, and by `npm run docs`.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fieldTables, projectFileSchema } from '@which-way/core/formats';
import { keyTable } from '@which-way/words/probing/keys';
import prettier from 'prettier';

const docs = new URL('../docs/', import.meta.url);
const made = new URL('made/', docs);
mkdirSync(made, { recursive: true });
writeFileSync(new URL('which-way.schema.json', made), `${JSON.stringify(projectFileSchema, null, 1)}\n`);
writeFileSync(new URL('events.md', made), `# Events, kind by kind\n\n${fieldTables()}\n`);

/** Writes what lies between the two marks of a page anew, where it says something else. */
async function fill(name, table) {
  const page = new URL(name, docs);
  const now = readFileSync(page, 'utf8');
  const [before, rest] = now.split('<!-- made from the definitions -->\n');
  const [, after] = rest.split('<!-- end of what is made -->\n');
  const whole = `${before}<!-- made from the definitions -->\n\n${table}\n<!-- end of what is made -->\n${after}`;
  const options = await prettier.resolveConfig(page.pathname);
  const then = await prettier.format(whole, { ...options, parser: 'markdown' });
  if (then !== now) writeFileSync(page, then);
}
await fill('user-guide.md', keyTable());
