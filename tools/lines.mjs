// Counts lines that say something: no blank ones, no comments, nothing that is generated; product and tests apart, by package.
// `node tools/lines.mjs [folder of a checkout]`. What stands there is taken to be formatted already (`npm run lint` sees to it).
import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import ts from 'typescript';

const root = resolve(process.argv[2] ?? '.');
const PACKAGES = ['core', 'contract', 'words', 'drawing', 'server', 'web', 'e2e', 'tools'];
const GENERATED = /(^|\/)(checkers\.ts|api-schemas\.ts|dist|bundle|node_modules|made|test-results)(\/|$)/;
const TEST = /\.test\.tsx?$|\.spec\.ts$|(^|\/)(testing|deep|e2e)\//;

function* files(folder, below = '') {
  for (const entry of readdirSync(join(folder, below), { withFileTypes: true })) {
    const path = join(below, entry.name);
    if (GENERATED.test(path) || entry.name.startsWith('_')) continue;
    if (entry.isDirectory()) yield* files(folder, path);
    else if (/\.(tsx?|mjs)$/.test(entry.name)) yield path;
  }
}

/** Lines on which at least one token stands. */
function linesOf(text, path) {
  const kind = path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, false, kind);
  const said = new Set();
  const mark = (from, to) => {
    const [first, last] = [from, to].map((at) => source.getLineAndCharacterOfPosition(at).line);
    for (let line = first; line <= last; line += 1) said.add(line);
  };
  const visit = (node) => {
    if (ts.isJSDoc(node)) return;
    const parts = node.getChildren(source);
    if (parts.length === 0 && node.end > node.getStart(source)) mark(node.getStart(source), node.end);
    else for (const part of parts) visit(part);
  };
  visit(source);
  return said.size;
}

const rows = PACKAGES.map((name) => {
  const row = { name, product: 0, tests: 0 };
  for (const path of files(join(root, name))) {
    const whole = `${name}/${path}`;
    row[TEST.test(whole) ? 'tests' : 'product'] += linesOf(readFileSync(join(root, whole), 'utf8'), path);
  }
  return row;
});
const sum = (which) => rows.reduce((total, row) => total + row[which], 0);
const all = { name: 'all', product: sum('product'), tests: sum('tests') };
console.log(`${'package'.padEnd(10)}${'product'.padStart(9)}${'tests'.padStart(9)}`);
for (const { name, product, tests } of [...rows, all])
  console.log(`${name.padEnd(10)}${String(product).padStart(9)}${String(tests).padStart(9)}`);
const typed = rows.filter(({ name }) => name !== 'tools');
const tests = typed.reduce((total, row) => total + row.tests, 0);
const share = tests / typed.reduce((total, row) => total + row.product + row.tests, 0);
console.log(`Tests are ${Math.round(share * 100)} % of the TypeScript lines.`);
