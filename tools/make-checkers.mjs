// Writes checkers as plain code from the schemas, so that nothing is compiled when the program starts and the pages never need eval:
// core/src/formats/checkers.ts of events and files, web/src/api/checkers.ts of the server's answers, whose schemas come from the
// classes of the contract; and those schemas for OpenAPI. Part of the build; `node tools/make-checkers.mjs` makes them by hand.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020.js';
import standaloneCode from 'ajv/dist/standalone/index.js';
import addFormats from 'ajv-formats';
import { runnerImport } from 'vite';
import { root } from './fresh-work.mjs';

/** A module of ours as it stands in its source. */
const ours = async (path) => {
  const { module } = await runnerImport(join(root, path), {
    root,
    configFile: false,
    logLevel: 'error',
    // In a fresh clone nothing is built yet: our packages are read as they stand.
    resolve: {
      alias: [{ find: /^@which-way\/core\/(\w+)$/, replacement: join(root, 'core/src/$1/index.ts') }],
    },
  });
  return module;
};

const MADE =
  '// @ts-nocheck\n// Made by tools/make-checkers.mjs. Not to be changed by hand, not kept in the repository.\n';

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

/** A checker for each of these schemas, as a module. */
function checkersOf(schemas) {
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
  ajv.addSchema(shared(bare(schemas)), 'all');
  const code = (standaloneCode.default ?? standaloneCode)(
    ajv,
    Object.fromEntries(
      Object.keys(schemas)
        .sort()
        .map((name) => [`check${name}`, `all#/$defs/${name}`]),
    ),
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
  return `${MADE}${heads.join('\n')}\n${body}\n`;
}

const { CHECKED } = await ours('core/src/formats/all-schemas.ts');
writeFileSync(join(root, 'core/src/formats/checkers.ts'), checkersOf(CHECKED));

// The rules of the contract rest on those checkers.
const { contractSchemas, ANSWERS } = await ours('contract/src/schemas.ts');
const api = contractSchemas();
writeFileSync(
  join(root, 'web/src/api/checkers.ts'),
  checkersOf(Object.fromEntries(ANSWERS.map((name) => [name, api[name]]))),
);
writeFileSync(
  join(root, 'server/src/errors/api-schemas.ts'),
  `${MADE}export const API_SCHEMAS = ${JSON.stringify(api)};\n`,
);
