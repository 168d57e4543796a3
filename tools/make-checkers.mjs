// Writes core/src/formats/checkers.ts from the schemas: checkers as plain code, so that nothing is compiled when the program
// starts and the pages never need eval. Part of the build; `node tools/make-checkers.mjs` makes them by hand.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020.js';
import standaloneCode from 'ajv/dist/standalone/index.js';
import addFormats from 'ajv-formats';
import { runnerImport } from 'vite';
import { root } from './fresh-work.mjs';

const { module: schemas } = await runnerImport(join(root, 'core/src/formats/all-schemas.ts'), {
  root,
  configFile: false,
  logLevel: 'error',
  resolve: { conditions: ['which-way-source'] },
});

/** A schema without what only people read. */
const bare = (node) => {
  if (typeof node !== 'object' || node === null) return node;
  if (Array.isArray(node)) return node.map(bare);
  return Object.fromEntries(
    Object.entries(node).flatMap(([key, inner]) =>
      key === '$schema' || (key === 'description' && typeof inner === 'string') ? [] : [[key, bare(inner)]],
    ),
  );
};

/** The schemas as one, in which every piece that stands in several places is written once and referred to. */
function shared(roots) {
  const times = new Map();
  const texts = new Map();
  const textOf = (node) => {
    if (!texts.has(node)) texts.set(node, JSON.stringify(node));
    return texts.get(node);
  };
  const count = (node) => {
    if (typeof node !== 'object' || node === null) return;
    const before = times.get(textOf(node)) ?? 0;
    times.set(textOf(node), before + 1);
    if (before === 0) for (const inner of Object.values(node)) count(inner);
  };
  for (const schema of Object.values(roots)) count(schema);
  const names = new Map(Object.entries(roots).map(([name, schema]) => [textOf(schema), name]));
  for (const [text, number] of times)
    if (number > 1 && text.length > 60 && /^\{"(type|anyOf|oneOf|enum)"/.test(text) && !names.has(text))
      names.set(text, `part${names.size}`);
  const write = (node, top) => {
    if (typeof node !== 'object' || node === null) return node;
    if (Array.isArray(node)) return node.map((inner) => write(inner, false));
    const name = names.get(textOf(node));
    if (!top && name) return { $ref: `#/$defs/${name}` };
    return Object.fromEntries(Object.entries(node).map(([key, inner]) => [key, write(inner, false)]));
  };
  return {
    $defs: Object.fromEntries([...names].map(([text, name]) => [name, write(JSON.parse(text), true)])),
  };
}

const ajv = new Ajv2020({
  discriminator: true,
  strict: false,
  // Else Infinity, which JSON can say as 1e999, would count as a whole number.
  strictNumbers: true,
  allErrors: false,
  inlineRefs: false,
  code: { source: true, esm: true, lines: false },
});
(addFormats.default ?? addFormats)(ajv);
const names = Object.keys(schemas.CHECKED).sort();
ajv.addSchema(shared(bare(schemas.CHECKED)), 'all');
const code = (standaloneCode.default ?? standaloneCode)(
  ajv,
  Object.fromEntries(names.map((name) => [`check${name}`, `all#/$defs/${name}`])),
);

// Ajv writes require() for its own small runtime pieces, also into a module.
const imports = new Map();
const body = code.replace(/^"use strict";/, '').replace(/require\("([^"]+)"\)/g, (_, path) => {
  if (!imports.has(path)) imports.set(path, `runtime${imports.size}`);
  return imports.get(path);
});
const heads = [...imports].map(
  ([path, name]) =>
    `import * as ${name}Module from '${path}.js';\nconst ${name} = ${name}Module.default?.default ? ${name}Module.default : ${name}Module;`,
);
writeFileSync(
  join(root, 'core/src/formats/checkers.ts'),
  `// @ts-nocheck\n// Made by tools/make-checkers.mjs from the schemas beside it. Not to be changed by hand, not kept in the repository.\n${heads.join('\n')}\n${body}\n`,
);
