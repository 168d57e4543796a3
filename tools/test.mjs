// `npm test`: installs what is missing, then lint, types, unit and end-to-end tests; prints seconds per stage and the slowest tests.
// With `-- --yardstick` also the seconds of one cold `tsc -b core`, so that runs on two machines can be compared.
import { execFile, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { chromiumPath } from './chromium.mjs';
import { build, install, makeCheckers, root } from './fresh-work.mjs';

const deep = process.argv.includes('--deep');
const yardstick = process.argv.includes('--yardstick');
const stages = [];
const count = { passed: 0, failed: 0 };
const bin = (path) => join(root, 'node_modules', path);

/** Runs one stage; a failed one does not stop those after it. */
async function stage(name, work) {
  process.stdout.write(`\n== ${name}\n`);
  const began = process.hrtime.bigint();
  const ok = await work();
  stages.push({ name, ok, seconds: Number(process.hrtime.bigint() - began) / 1e9 });
  return ok;
}

const node = (args, cwd = root) =>
  spawnSync(process.execPath, args, {
    cwd,
    stdio: 'inherit',
    env: { ...process.env, ...(deep ? { WHICH_WAY_DEEP: '1' } : {}) },
  }).status === 0;

/** Runs a command beside others; what it says is told in one piece once it is over. */
const run = (args) =>
  new Promise((resolve) => {
    execFile(process.execPath, args, { cwd: root, maxBuffer: 2 ** 26 }, (error, out, errors) => {
      process.stdout.write(out + errors);
      resolve(error === null);
    });
  });

/** Chromium is used where it is, else installed with apt where that is allowed. */
function chromium() {
  if (!chromiumPath() && existsSync('/usr/bin/apt-get') && process.getuid?.() === 0) {
    process.stdout.write('Installing Chromium with apt.\n');
    const apt = (...args) =>
      spawnSync('apt-get', ['-o', 'DPkg::Lock::Timeout=300', ...args], {
        stdio: ['ignore', 'ignore', 'inherit'],
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      });
    apt('update');
    const install = (name) => apt('install', '-y', '--no-install-recommends', name).status === 0;
    if (!install('chromium-headless-shell')) install('chromium');
  }
  const path = chromiumPath();
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

await stage('install', () => {
  install();
  makeCheckers();
  return chromium();
});
// What tests leave in the temporary folder is in one of their own, and gone with the run.
const left = mkdtempSync(join(tmpdir(), 'which-way-tests-'));
process.env.TMPDIR = left;
process.on('exit', () => rmSync(left, { recursive: true, force: true, maxRetries: 3 }));
const tsc = (...args) => [bin('typescript/bin/tsc'), ...args];
const cached = (name) => ['--cache', '--cache-location', `.cache/${name}`];
await stage('lint, types', async () => {
  const built = run(tsc('-b', 'server'));
  // Two at a time: as many as the least machine has cores.
  const lanes = [
    async () => [
      await run([bin('eslint/bin/eslint.js'), '.', ...cached('eslint'), '--max-warnings', '0']),
      await run([
        ...[bin('prettier/bin/prettier.cjs'), '.', '--check', '--log-level', 'warn'],
        ...cached('prettier'),
      ]),
      // What is exported and asked for by nobody.
      await run([bin('knip/bin/knip.js'), '--no-config-hints']),
      (await built) && (await run(tsc('-p', 'words/tsconfig.test.json'))),
      (await built) && (await run(tsc('-p', 'drawing/tsconfig.test.json'))),
    ],
    async () => {
      const oks = [await built];
      for (const project of ['core/tsconfig.test.json', 'server/tsconfig.test.json', 'web', 'e2e'])
        oks.push((await built) && (await run(tsc('-p', project))));
      return oks;
    },
  ];
  return (await Promise.all(lanes.map((lane) => lane()))).flat().every(Boolean);
});
await stage('unit', () => {
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
await stage('build', () => {
  build();
  return true;
});
await stage('end to end', () => {
  const ran = node([bin('@playwright/test/cli.js'), 'test'], join(root, 'e2e'));
  return (
    tally(journeyReport, ({ stats }) => ({
      passed: stats.expected,
      failed: stats.unexpected + stats.flaky,
    })) && ran
  );
});

const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return {};
  }
};

/** Every test that ran, unit and journeys alike: where it is, its name, its seconds, and what was wrong if it failed. */
function everyTest() {
  const unit = (read(unitReport).testResults ?? []).flatMap(({ name, status, message, assertionResults }) => {
    const where = relative(root, name);
    const tests = assertionResults.map(({ fullName, duration, status, failureMessages }) => ({
      seconds: (duration ?? 0) / 1000,
      where,
      title: fullName,
      wrong: status === 'failed' ? (failureMessages[0] ?? '') : null,
    }));
    // A file that could not be loaded, or whose hooks failed, has no failed test.
    const whole = status === 'failed' && tests.every(({ wrong }) => wrong === null);
    return whole ? [...tests, { seconds: 0, where, title: 'the file', wrong: message ?? '' }] : tests;
  });
  const within = ({ file, specs = [], suites = [] }) => [
    ...specs.flatMap(({ title, tests }) =>
      tests.flatMap(({ status, results }) =>
        results.map(({ duration, errors }) => ({
          seconds: duration / 1000,
          where: `e2e/journeys/${file}`,
          title,
          wrong: status === 'expected' || status === 'skipped' ? null : (errors?.[0]?.message ?? status),
        })),
      ),
    ),
    ...suites.flatMap(within),
  ];
  return [...unit, ...(read(journeyReport).suites ?? []).flatMap(within)];
}

const tests = everyTest();
process.stdout.write('\nThe slowest\n');
for (const { seconds, where, title } of tests.toSorted((a, b) => b.seconds - a.seconds).slice(0, 10))
  process.stdout.write(`  ${seconds.toFixed(1).padStart(7)}  ${where}: ${title.slice(0, 90)}\n`);

// Said once more at the end, where a log that was cut to its end still has it.
const failed = tests.filter(({ wrong }) => wrong !== null);
if (failed.length > 0) process.stdout.write('\nWhat failed\n');
for (const { where, title, seconds, wrong } of failed.slice(0, 20)) {
  const lines = stripVTControlCharacters(wrong)
    .split('\n')
    .filter((line) => !line.includes('node_modules'))
    .slice(0, 12);
  process.stdout.write(`  ${where}: ${title} (${seconds.toFixed(1)} s)\n`);
  for (const line of lines) process.stdout.write(`      ${line.slice(0, 200)}\n`);
}
if (failed.length > 20) process.stdout.write(`  and ${failed.length - 20} more\n`);

if (yardstick) {
  const began = process.hrtime.bigint();
  spawnSync(process.execPath, [bin('typescript/bin/tsc'), '-b', 'core', '--force'], { cwd: root });
  const seconds = Number(process.hrtime.bigint() - began) / 1e9;
  process.stdout.write(`\nYardstick: a cold tsc -b core takes ${seconds.toFixed(1)} s on this machine\n`);
}

process.stdout.write('\nSeconds per stage\n');
const whole = stages.reduce((sum, { seconds }) => sum + seconds, 0);
for (const { name, ok, seconds } of [
  ...stages,
  { name: 'all', ok: stages.every(({ ok }) => ok), seconds: whole },
])
  process.stdout.write(`  ${name.padEnd(12)} ${seconds.toFixed(1).padStart(7)}  ${ok ? 'ok' : 'FAILED'}\n`);
const broken = stages.filter(({ ok }) => !ok);
const other = broken.filter(({ name }) => name !== 'unit' && name !== 'end to end').length;
process.stdout.write(`${count.passed} passed, ${count.failed + other} failed\n`);
process.exit(broken.length === 0 ? 0 : 1);
