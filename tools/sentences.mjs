// `npm run sentences`: everything that is said to people, module by module, with the places that use it, to be read as one text.
// With `-- WORD …` only the sentences that have one of these words.
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { root } from './fresh-work.mjs';

// Whoever reads only the first of it has closed the pipe.
process.stdout.on('error', () => process.exit(0));
const sought = process.argv.slice(2).map((word) => word.toLowerCase());

function* filesIn(folder) {
  for (const entry of readdirSync(join(root, folder), { withFileTypes: true })) {
    const path = `${folder}/${entry.name}`;
    if (entry.isDirectory()) yield* filesIn(path);
    else if (/\.tsx?$/.test(entry.name) && !/\.test\.|\.d\.ts$/.test(entry.name)) yield path;
  }
}

/** Literal text of a module with the exported name that it stands under; templates with their parameters in braces. */
function sentencesOf(path) {
  const source = ts.createSourceFile(
    path,
    readFileSync(join(root, path), 'utf8'),
    ts.ScriptTarget.Latest,
    true,
  );
  const found = [];
  const visit = (node, owner) => {
    const name =
      (ts.isVariableDeclaration(node) || ts.isPropertyAssignment(node) || ts.isFunctionDeclaration(node)) &&
      node.name
        ? node.name.getText()
        : null;
    const here = name === null ? owner : [...owner, name];
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if (
        !ts.isImportDeclaration(node.parent) &&
        !ts.isLiteralTypeNode(node.parent) &&
        /[A-Za-z]{2}/.test(node.text)
      )
        found.push({ owner, text: node.text });
      return;
    }
    if (ts.isTemplateExpression(node)) {
      const spans = node.templateSpans.map(
        ({ expression, literal }) => `{${expression.getText()}}${literal.text}`,
      );
      found.push({ owner, text: node.head.text + spans.join('') });
    }
    ts.forEachChild(node, (child) => visit(child, here));
  };
  visit(source, []);
  return found;
}

const users = [...filesIn('web/src'), ...filesIn('server/src'), ...filesIn('words/src')].map((path) => ({
  path,
  text: readFileSync(join(root, path), 'utf8'),
}));

/** Who says a sentence of a module: those that import it and name what it stands under. */
function placesOf(module, [owner, key]) {
  const imported = new RegExp(`(@which-way/words/${module}'|/${module.split('/').at(-1)}\\.js')`);
  return users
    .filter(
      ({ text }) =>
        imported.test(text) && (!owner || text.includes(owner)) && (!key || !owner || text.includes(key)),
    )
    .map(({ path }) => path);
}

let count = 0;
for (const path of filesIn('words/src')) {
  const module = relative('words/src', path).replace(/\.ts$/, '');
  const said = sentencesOf(path).filter(
    ({ text }) => sought.length === 0 || sought.some((word) => text.toLowerCase().includes(word)),
  );
  if (said.length === 0) continue;
  process.stdout.write(`\n## ${module}\n`);
  for (const { owner, text } of said) {
    count += 1;
    const places = placesOf(module, owner);
    process.stdout.write(
      `${text.replace(/\n/g, '⏎')}\n      ${owner.join('.') || '-'} · ${places.join(', ') || 'nobody'}\n`,
    );
  }
}
process.stdout.write(`\n${count} sentences\n`);
