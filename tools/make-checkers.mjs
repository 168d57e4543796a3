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

/** The schemas as one, in which every piece that stands in several places is written once and referred to. */
function shared(roots) {
  const seen = new Map();
  const count = (node) => {
    if (typeof node !== 'object' || node === null) return;
    const times = seen.get(node) ?? 0;
    seen.set(node, times + 1);
    if (times === 0) for (const inner of Object.values(node)) count(inner);
  };
  for (const schema of Object.values(roots)) count(schema);
  const names = new Map(Object.entries(roots).map(([name, schema]) => [schema, name]));
  const isSchema = (node) => ['type', 'anyOf', 'oneOf'].some((key) => key in node);
  for (const [node, times] of seen)
    if (
      times > 1 &&
      !Array.isArray(node) &&
      isSchema(node) &&
      !names.has(node) &&
      JSON.stringify(node).length > 60
    )
      names.set(node, `part${names.size}`);
  const write = (node, top) => {
    if (typeof node !== 'object' || node === null) return node;
    if (Array.isArray(node)) return node.map((inner) => write(inner, false));
    if (!top && names.has(node)) return { $ref: `#/$defs/${names.get(node)}` };
    return Object.fromEntries(
      Object.entries(node).flatMap(([key, inner]) => (key === '$schema' ? [] : [[key, write(inner, false)]])),
    );
  };
  return { $defs: Object.fromEntries([...names].map(([node, name]) => [name, write(node, true)])) };
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
ajv.addSchema(shared(schemas.CHECKED), 'all');
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
