// `npm test`: installs what is missing, then lint, types, unit and end-to-end tests; prints seconds per stage.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, install, makeCheckers, root } from './fresh-work.mjs';

const deep = process.argv.includes('--deep');
const stages = [];
const count = { passed: 0, failed: 0 };
const bin = (path) => join(root, 'node_modules', path);

/** Runs one stage; a failed one does not stop those after it. */
function stage(name, work) {
  process.stdout.write(`\n== ${name}\n`);
  const began = process.hrtime.bigint();
  const ok = work();
  stages.push({ name, ok, seconds: Number(process.hrtime.bigint() - began) / 1e9 });
  return ok;
}

const node = (args, cwd = root) =>
  spawnSync(process.execPath, args, {
    cwd,
    stdio: 'inherit',
    env: { ...process.env, ...(deep ? { WHICH_WAY_DEEP: '1' } : {}) },
  }).status === 0;

/** Debian's Chromium: used where it is, else installed with apt where that is allowed. */
function chromium() {
  const candidates = [
    process.env.WHICH_WAY_CHROMIUM,
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
  ].filter(Boolean);
  const found = () => candidates.find((path) => existsSync(path));
  if (!found() && existsSync('/usr/bin/apt-get') && process.getuid?.() === 0) {
    process.stdout.write('Installing Chromium with apt.\n');
    const apt = (...args) =>
      spawnSync('apt-get', ['-o', 'DPkg::Lock::Timeout=300', ...args], {
        stdio: ['ignore', 'ignore', 'inherit'],
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      });
    apt('update');
    apt('install', '-y', '--no-install-recommends', 'chromium');
  }
  const path = found();
  if (!path) {
    process.stderr.write(
      'Chromium is missing. Install it (Debian: sudo apt-get install chromium), or name one in WHICH_WAY_CHROMIUM.\n',
    );
    return false;
  }
  process.env.WHICH_WAY_CHROMIUM = path;
  return true;
}

/** Adds up a runner's own JSON report; no report counts as one failure. */
function tally(file, read) {
  try {
    const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')));
    count.passed += passed;
    count.failed += failed;
    return failed === 0 && passed > 0;
  } catch {
    count.failed += 1;
    return false;
  }
}

mkdirSync(join(root, '.cache'), { recursive: true });
const unitReport = join(root, '.cache', 'unit.json');
const journeyReport = join(root, '.cache', 'e2e.json');
for (const report of [unitReport, journeyReport]) rmSync(report, { force: true });

stage('install', () => {
  install();
  makeCheckers();
  return chromium();
});
stage('lint', () => {
  const eslint = node([
    bin('eslint/bin/eslint.js'),
    '.',
    '--cache',
    '--cache-location',
    '.cache/eslint',
    '--max-warnings',
    '0',
  ]);
  const prettier = node([
    bin('prettier/bin/prettier.cjs'),
    '.',
    '--check',
    '--log-level',
    'warn',
    '--cache',
    '--cache-location',
    '.cache/prettier',
  ]);
  return eslint && prettier;
});
stage('types', () => {
  const tsc = bin('typescript/bin/tsc');
  const projects = [
    'core/tsconfig.test.json',
    'words/tsconfig.test.json',
    'drawing/tsconfig.test.json',
    'server/tsconfig.test.json',
    'web/tsconfig.json',
    'e2e/tsconfig.json',
  ];
  return node([tsc, '-b', 'server']) && projects.map((project) => node([tsc, '-p', project])).every(Boolean);
});
stage('unit', () => {
  const ran = node([
    bin('vitest/vitest.mjs'),
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${unitReport}`,
  ]);
  return (
    tally(unitReport, ({ numPassedTests, numFailedTests, success }) => ({
      passed: numPassedTests,
      failed: Math.max(numFailedTests, success ? 0 : 1),
    })) && ran
  );
});
stage('build', () => {
  build();
  return true;
});
stage('end to end', () => {
  const ran = node([bin('@playwright/test/cli.js'), 'test'], join(root, 'e2e'));
  return (
    tally(journeyReport, ({ stats }) => ({
      passed: stats.expected,
      failed: stats.unexpected + stats.flaky,
    })) && ran
  );
});

process.stdout.write('\nSeconds per stage\n');
for (const { name, ok, seconds } of stages)
  process.stdout.write(`  ${name.padEnd(12)} ${seconds.toFixed(1).padStart(7)}  ${ok ? 'ok' : 'FAILED'}\n`);
const broken = stages.filter(({ ok }) => !ok);
const other = broken.filter(({ name }) => name !== 'unit' && name !== 'end to end').length;
process.stdout.write(`${count.passed} passed, ${count.failed + other} failed\n`);
process.exit(broken.length === 0 ? 0 : 1);
