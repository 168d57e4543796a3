// Writes what the pages of docs/ say from the definitions: the schema of files, the tables of docs/file-format.md, the keys
// of the guide. Run after `npm run build`; tests hold them together.
import { readFileSync, writeFileSync } from 'node:fs';
import { fieldTables, projectFileSchema } from '@which-way/core/formats';
import { keyTable } from '@which-way/words/probing/keys';
import prettier from 'prettier';

const docs = new URL('../docs/', import.meta.url);
writeFileSync(new URL('which-way.schema.json', docs), `${JSON.stringify(projectFileSchema, null, 1)}\n`);

/** Writes what lies between the two marks of a page anew. */
async function fill(name, made) {
  const page = new URL(name, docs);
  const [before, rest] = readFileSync(page, 'utf8').split('<!-- made from the definitions -->\n');
  const [, after] = rest.split('<!-- end of what is made -->\n');
  const whole = `${before}<!-- made from the definitions -->\n\n${made}\n<!-- end of what is made -->\n${after}`;
  const options = await prettier.resolveConfig(page.pathname);
  writeFileSync(page, await prettier.format(whole, { ...options, parser: 'markdown' }));
}
await fill('file-format.md', fieldTables());
await fill('user-guide.md', keyTable());
