import prettier from 'eslint-config-prettier';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Folders of the core, bottom to top: each may import only from those before it. */
const FLOORS = [
  'schema',
  'switch',
  'log',
  'partition',
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
  'match',
  'verify',
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
  const above = FLOORS.slice(index + 1).map((name) => `**/${name}/*`);
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

export default tseslint.config(
  {
    ignores: ['**/dist/**', '**/node_modules/**', 'data/**', 'e2e/_shot.mjs', 'core/src/formats/checkers.ts'],
  },
  ...tseslint.configs.strict,
  {
    linterOptions: { reportUnusedDisableDirectives: 'error' },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/ban-ts-comment': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      'max-lines': ['error', { max: 350, skipBlankLines: true, skipComments: true }],
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
  {
    files: ['server/src/**/*.ts'],
    rules: {
      '@typescript-eslint/consistent-type-imports': 'off',
      '@typescript-eslint/no-extraneous-class': 'off',
    },
  },
  { files: ['web/src/**/*.{ts,tsx}'], ...hooks.configs.flat['recommended-latest'] },
  { files: ['tools/**/*.mjs', '*.js'], rules: { '@typescript-eslint/no-unused-vars': 'error' } },
  prettier,
);
