// Writes docs/which-way.schema.json and the tables of docs/file-format.md from the core's definitions. Run after
// `npm run build`; a test holds them together.
import { readFileSync, writeFileSync } from 'node:fs';
import { fieldTables, projectFileSchema } from '@which-way/core/formats';
import prettier from 'prettier';

const docs = new URL('../docs/', import.meta.url);
writeFileSync(new URL('which-way.schema.json', docs), `${JSON.stringify(projectFileSchema, null, 1)}\n`);

const page = new URL('file-format.md', docs);
const [before, rest] = readFileSync(page, 'utf8').split('<!-- made from the definitions -->\n');
const [, after] = rest.split('<!-- end of what is made -->\n');
const made = `<!-- made from the definitions -->\n\n${fieldTables()}\n<!-- end of what is made -->\n`;
const options = await prettier.resolveConfig(page.pathname);
writeFileSync(page, await prettier.format(`${before}${made}${after}`, { ...options, parser: 'markdown' }));
