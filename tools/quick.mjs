// `npm run test:quick`: lint and unit tests of what was changed, types also of what rests on it; and which tests, journeys and
// pages of the guide may still say what was taken out of the words. With `-- --since main` everything since there, else since the
// last commit. It is no `npm test`: no journeys, and no slow test from elsewhere.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { install, makeCheckers, root } from './fresh-work.mjs';
import { staleSentences } from './stale-sentences.mjs';

/** Tests of more than a few seconds: each runs here only for a change in its own folder. */
const SLOW = [
  'core/src/continuity/bundles.test.ts',
  'core/src/continuity/tangled.test.ts',
  'core/src/match/any-log.test.ts',
  'core/src/match/recognise.test.ts',
  'core/src/planner/recheck/recheck.test.ts',
  'core/src/planner/recheck/recheck-bundles.test.ts',
  'server/src/backup/backup.test.ts',
  'server/src/database/full-disk.test.ts',
  'server/src/errors/fuzz.test.ts',
  'server/src/transfer/transfer.test.ts',
];

/** Packages in the order in which they rest on each other, each with the project that checks its types. */
const PACKAGES = {
  core: 'core/tsconfig.test.json',
  words: 'words/tsconfig.test.json',
  drawing: 'drawing/tsconfig.test.json',
  contract: null,
  server: 'server/tsconfig.test.json',
  web: 'web/tsconfig.json',
  e2e: 'e2e/tsconfig.json',
};
/** What a package says that it rests on, and what that rests on. */
function restsOn(name) {
  const { dependencies = {}, devDependencies = {} } = JSON.parse(
    readFileSync(join(root, name, 'package.json'), 'utf8'),
  );
  const direct = Object.keys({ ...dependencies, ...devDependencies }).flatMap((one) =>
    one.startsWith('@which-way/') ? [one.slice('@which-way/'.length)] : [],
  );
  return [...direct, ...direct.flatMap(restsOn)];
}

const git = (...args) => {
  const { status, stdout, stderr } = spawnSync('git', args, { cwd: root, encoding: 'utf8' });
  if (status !== 0) {
    process.stderr.write(`git ${args.join(' ')}: ${stderr}`);
    process.exit(1);
  }
  return stdout.split('\n').filter((line) => line !== '');
};

const option = process.argv.indexOf('--since');
const since = option < 0 ? 'HEAD' : process.argv[option + 1];
if (!since) {
  process.stderr.write('--since needs a commit or a branch, such as --since main.\n');
  process.exit(1);
}
const changed = [
  ...new Set([...git('diff', '--name-only', since), ...git('ls-files', '--others', '--exclude-standard')]),
].filter((file) => existsSync(join(root, file)));
if (changed.length === 0) {
  process.stdout.write(`Nothing was changed since ${since}.\n`);
  process.exit(0);
}

const bin = (path) => join(root, 'node_modules', path);
const node = (args) =>
  new Promise((resolve) => {
    spawn(process.execPath, args, { cwd: root, stdio: 'inherit' }).on('exit', (code) => resolve(code === 0));
  });
const results = [];
async function stage(name, work) {
  const began = performance.now();
  const ok = await work();
  results.push(ok);
  process.stdout.write(
    `${name.padEnd(6)} ${((performance.now() - began) / 1000).toFixed(1)} s  ${ok ? 'ok' : 'FAILED'}\n`,
  );
}

install();
makeCheckers();
mkdirSync(join(root, '.cache'), { recursive: true });
const code = changed.filter((file) => /\.(ts|tsx|mjs)$/.test(file));
await stage('lint', async () => {
  const eslint =
    code.length === 0 ||
    (await node([bin('eslint/bin/eslint.js'), ...code, '--no-warn-ignored', '--max-warnings', '0']));
  const prettier = await node([
    bin('prettier/bin/prettier.cjs'),
    ...changed,
    '--check',
    '--ignore-unknown',
    '--log-level',
    'warn',
  ]);
  return eslint && prettier;
});
if (changed.some((file) => file.startsWith('words/')))
  await stage('words', () => {
    const stale = staleSentences(git('diff', since, '--', 'words/src'));
    for (const one of stale) process.stdout.write(`Perhaps said no more: ${one}\n`);
    // It may be something that a person types there.
    return true;
  });
const tested = code.filter((file) => Object.keys(PACKAGES).some((name) => file.startsWith(`${name}/`)));
const touched = new Set(
  Object.keys(PACKAGES).filter((name) => code.some((file) => file.startsWith(`${name}/`))),
);
const concerned = Object.keys(PACKAGES).filter(
  (name) => touched.has(name) || restsOn(name).some((one) => touched.has(one)),
);
await stage('types', async () => {
  const tsc = bin('typescript/bin/tsc');
  if (concerned.length === 0) return true;
  if (!(await node([tsc, '-b', 'server']))) return false;
  const checked = concerned.flatMap((name) => (PACKAGES[name] ? [name] : []));
  const all = await Promise.all(
    checked.map((name) =>
      node([
        tsc,
        '-p',
        PACKAGES[name],
        '--noEmit',
        '--incremental',
        '--tsBuildInfoFile',
        `.cache/quick-${name}`,
      ]),
    ),
  );
  return all.every(Boolean);
});
const leftOut = SLOW.filter((file) => !changed.some((one) => dirname(one) === dirname(file)));
await stage('unit', () =>
  tested.length === 0
    ? true
    : node([
        bin('vitest/vitest.mjs'),
        'related',
        ...tested.map((file) => join(root, file)),
        '--run',
        ...[...touched]
          .filter((name) => existsSync(join(root, name, 'vitest.config.ts')))
          .map((name) => `--project=${name}`),
        '--passWithNoTests',
        '--reporter=dot',
        ...leftOut.map((file) => `--exclude=**/${file.split('/').slice(1).join('/')}`),
      ]),
);
process.stdout.write(
  `Left to npm test: the journeys, packages that rest on these, and ${leftOut.length} slow files of tests.\n`,
);
process.exit(results.every(Boolean) ? 0 : 1);
