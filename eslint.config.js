import { readdirSync } from 'node:fs';
import prettier from 'eslint-config-prettier';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Folders of the core, bottom to top: each may import only from those before it. */
const FLOORS = [
  'grid',
  'schema',
  'switch',
  'log',
  'partition',
  'kinds',
  'network',
  'rating',
  'safety',
  'worth',
  'sense',
  'path',
  'continuity',
  'explain',
  'planner',
  'probing',
  'table',
  'verify',
  'machine',
  'match',
  'refit',
  'verdict',
  'route',
  'simulated',
  'formats',
];

const forbid = (files, patterns, message, ignores = []) => ({
  files,
  ignores,
  rules: {
    'no-restricted-imports': ['error', { patterns: patterns.map((group) => ({ group: [group], message })) }],
  },
});

const OUTSIDE_CORE = ['react*', '@nestjs/*', 'typeorm', 'node:*', 'zustand*', '@which-way/*'];

const floors = FLOORS.map((floor, index) => {
  // The log has kinds of its own, of events.
  const above = FLOORS.slice(index + 1).flatMap((name) =>
    name === 'kinds' ? ['../kinds/*', '../../kinds/*'] : [`**/${name}/*`],
  );
  const message = `core/src/${floor} may import only from: ${FLOORS.slice(0, index).join(', ') || 'nothing'}.`;
  return forbid([`core/src/${floor}/**/*.ts`], [...above, '**/testing/*', ...OUTSIDE_CORE], message, [
    '**/*.test.ts',
  ]);
});

/** Rooms of the planner, in the same order. */
const PLANNER_ROOMS = ['hands', 'field', 'chance', 'schools', 'recheck', 'next', 'ahead'];

const plannerRooms = PLANNER_ROOMS.map((room, index) => {
  const above = PLANNER_ROOMS.slice(index + 1).map((name) => `../${name}/*`);
  const message = `planner/${room} may import only from: ${PLANNER_ROOMS.slice(0, index).join(', ') || 'nothing'}.`;
  const outside = FLOORS.slice(FLOORS.indexOf('planner') + 1).map((name) => `**/${name}/*`);
  return forbid(
    [`core/src/planner/${room}/**/*.ts`],
    [...above, '../index.js', ...outside, '**/testing/*', ...OUTSIDE_CORE],
    message,
    ['**/*.test.ts'],
  );
});

/** Floors of the web, bottom to top. Pages stand side by side: none imports another. */
const WEB_FLOORS = ['api', 'controls', 'job', 'parts', 'pages'];
const PAGES = readdirSync(new URL('web/src/pages', import.meta.url));
const OUTSIDE_WEB = ['@which-way/server*', '**/server/**', '@nestjs/*', 'typeorm', 'node:*'];

const webFloor = (folder, above, message) => ({
  files: [`web/src/${folder}/**/*.{ts,tsx}`],
  ignores: ['**/*.test.{ts,tsx}'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: OUTSIDE_WEB, message: 'The web does not know the server.' },
          ...(above.length === 0 ? [] : [{ regex: `^(\\.\\./)+(${above.join('|')})/`, message }]),
        ],
      },
    ],
  },
});

const webFloors = [
  ...WEB_FLOORS.slice(0, -1).map((floor, index) =>
    webFloor(
      floor,
      [...WEB_FLOORS.slice(index + 1), 'testing'],
      `web/src/${floor} may import only from: ${WEB_FLOORS.slice(0, index).join(', ') || 'nothing'}.`,
    ),
  ),
  ...PAGES.map((page) =>
    webFloor(
      `pages/${page}`,
      ['pages', 'testing', ...PAGES.filter((other) => other !== page)],
      'A page imports no other page: what two need stands in web/src/parts.',
    ),
  ),
];

const READ = '[name.name=/^(title|label|placeholder|alt|aria-label|text|hint|caption)$/]';
const SPOKEN = '/[A-Za-z]{2}/';
const LIMIT = {
  selector: 'JSXAttribute[name.name="maxLength"] Literal[raw=/^[0-9]+$/]',
  message: 'Limits stand in core/src/schema/limits.ts.',
};
const inWords = (selector) => ({
  selector,
  message: 'What people read stands in words/ (words/src/screens).',
});
/** Text that a component would say by itself: between tags, and in the attributes that are read. */
const SAID_IN_A_COMPONENT = [
  `JSXText[value=${SPOKEN}]`,
  `JSXAttribute${READ} > Literal[value=${SPOKEN}]`,
  `JSXAttribute${READ} > JSXExpressionContainer > :matches(Literal[value=${SPOKEN}], TemplateLiteral > TemplateElement[value.raw=${SPOKEN}])`,
  `JSXAttribute${READ} > JSXExpressionContainer > ConditionalExpression > Literal[value=${SPOKEN}]`,
  `:matches(JSXElement, JSXFragment) > JSXExpressionContainer > :matches(Literal[value=${SPOKEN}], TemplateLiteral > TemplateElement[value.raw=${SPOKEN}])`,
  `:matches(JSXElement, JSXFragment) > JSXExpressionContainer > ConditionalExpression > Literal[value=${SPOKEN}]`,
  `:matches(JSXElement, JSXFragment) > JSXExpressionContainer > LogicalExpression > Literal[value=${SPOKEN}]`,
].map(inWords);
/** A sentence, wherever it stands: it begins with a capital or a quote, or goes on from a comma. */
const SENTENCE = '/^(,? ?[“A-Z]|, )[^<>=]*[a-z’,:] [a-z]/u';
const SENTENCES = [
  `:not(ImportDeclaration, ExportNamedDeclaration, ExportAllDeclaration) > Literal[value=${SENTENCE}]`,
  `TemplateElement[value.raw=${SENTENCE}]`,
].map(inWords);
/** What a refusal says, and what the program prints. */
const SAID_BY_THE_SERVER = [
  `Property[key.name=/^(message|hint)$/] > Literal[value=/ /]`,
  `Property[key.name=/^(message|hint)$/] > TemplateLiteral > TemplateElement[value.raw=/[a-z] [a-z]/]`,
  `NewExpression[callee.name=/^(StartError|DataFolderError)$/] > Literal`,
  `CallExpression[callee.property.name='write'] > TemplateLiteral > TemplateElement[value.raw=/[a-z] [a-z]/]`,
].map((selector) => ({ selector, message: 'What people read stands in words/ (words/src/server).' }));

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      'server/bundle/**',
      '**/node_modules/**',
      'data/**',
      'e2e/_shot.mjs',
      'core/src/formats/checkers.ts',
      'web/src/api/checkers.ts',
      'server/src/errors/api-schemas.ts',
    ],
  },
  ...tseslint.configs.strict,
  {
    linterOptions: { reportUnusedDisableDirectives: 'error' },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/ban-ts-comment': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      eqeqeq: 'error',
    },
  },
  ...floors,
  ...plannerRooms,
  forbid(
    ['contract/src/**/*.ts'],
    ['react*', '@nestjs/*', '@which-way/server*', '@which-way/web*'],
    'The contract knows the core alone.',
  ),
  forbid(
    ['words/src/**/*.ts', 'drawing/src/**/*.{ts,tsx}'],
    ['react*', '@nestjs/*', '@which-way/server*', '@which-way/web*', '@which-way/contract*', 'node:*'],
    'Words and drawings know the core alone.',
    ['**/*.test.ts'],
  ),
  forbid(
    ['server/src/**/*.ts'],
    ['@which-way/web*', '**/web/**', 'react*'],
    'The server does not know the web.',
  ),
  forbid(
    ['web/src/**/*.{ts,tsx}'],
    ['@which-way/server*', '**/server/**', '@nestjs/*', 'typeorm', 'node:*'],
    'The web does not know the server.',
  ),
  ...webFloors,
  {
    // One verdict, said once: route, summaries, reports and words take `judge` and nothing beneath it.
    files: ['core/src/route/**/*.ts', 'server/src/**/*.ts', 'words/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: ['@which-way/core/verify', '../verify/index.js'].map((name) => ({
            name,
            importNames: ['verdictOf', 'compareWithExpected'],
            message:
              'The one verdict is `judge` of core/verdict; its sentences stand in words/src/verdict.ts.',
          })),
        },
      ],
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@which-way/contract',
              allowTypeImports: true,
              message: 'Types only: the pages get no decorators.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['web/src/**/*.tsx'],
    ignores: ['**/*.test.tsx', 'web/src/testing/**'],
    rules: { 'no-restricted-syntax': ['error', ...SAID_IN_A_COMPONENT, ...SENTENCES, LIMIT] },
  },
  {
    files: ['web/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'web/src/testing/**', 'web/src/api/checkers.ts'],
    rules: { 'no-restricted-syntax': ['error', ...SENTENCES] },
  },
  {
    files: ['server/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'server/src/testing/**'],
    rules: { 'no-restricted-syntax': ['error', ...SAID_BY_THE_SERVER] },
  },
  {
    files: ['server/src/**/*.ts'],
    rules: {
      '@typescript-eslint/consistent-type-imports': 'off',
      '@typescript-eslint/no-extraneous-class': 'off',
    },
  },
  { files: ['web/src/**/*.{ts,tsx}'], ...hooks.configs.flat['recommended-latest'] },
  {
    files: ['**/*.tsx'],
    rules: { 'max-lines-per-function': ['error', { max: 100, skipBlankLines: true, skipComments: true }] },
  },
  {
    // A second, its default, is a test of the machine and not of the product.
    files: ['web/src/**/*.test.{ts,tsx}', 'web/src/testing/**'],
    ignores: ['web/src/testing/until.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.object.name='vi'][callee.property.name=/^wait(For|Until)$/]",
          message: 'Wait with `until` of web/src/testing: it is as patient as the runner.',
        },
      ],
    },
  },
  // A suite of tests is one function to the linter, and many to a reader.
  { files: ['**/*.test.{ts,tsx}', 'e2e/journeys/**/*.ts'], rules: { 'max-lines-per-function': 'off' } },
  // Exceptions, each with its reason; ten at most.
  { files: ['core/src/testing/at-the-keys.ts'], rules: { 'max-lines-per-function': 'off' } }, // hands whose parts share one state
  { files: ['tools/planning/bench-planners.mjs'], rules: { 'max-lines-per-function': 'off' } }, // one table, line by line
  { files: ['tools/planning/fit-prior.mjs'], rules: { 'max-lines-per-function': 'off' } }, // a textbook algorithm, in its order
  { files: ['tools/bench-store.mjs'], rules: { 'max-lines': 'off' } }, // one run of a server, figure after figure
  { files: ['e2e/journeys/before-the-probes.spec.ts'], rules: { 'max-lines': 'off' } }, // the journeys of three steps that share a job
  { files: ['tools/**/*.mjs', '*.js'], rules: { '@typescript-eslint/no-unused-vars': 'error' } },
  prettier,
);
