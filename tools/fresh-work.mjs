// What has to be done before the program can run, and whether it was done already. Node's own modules only.
import { createHash } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));
const stamps = join(root, '.cache');

/** Runs a command in the project's folder; ends this program with its code when it fails. */
function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (error) throw error;
  if (status !== 0) {
    process.stderr.write(`\n${command} ${args.join(' ')} failed.\n`);
    process.exit(status ?? 1);
  }
}

/** A hash of files and folders by their contents. */
function hashOf(paths) {
  const hash = createHash('sha256');
  const add = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort())
        if (name !== 'node_modules' && name !== 'dist') add(join(path, name));
    } else hash.update(path).update(readFileSync(path));
  };
  for (const path of paths) add(join(root, path));
  return hash.digest('hex');
}

/** Does something unless it was done with the same contents before. */
function once(name, paths, isThere, work) {
  const stamp = join(stamps, `${name}.stamp`);
  const wanted = hashOf(paths);
  if (isThere() && existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return false;
  work();
  mkdirSync(stamps, { recursive: true });
  writeFileSync(stamp, wanted);
  return true;
}

/** Installs the packages that the lock file names, if they are not installed. */
export function install() {
  return once(
    'install',
    ['package.json', 'package-lock.json'],
    () => existsSync(join(root, 'node_modules', 'typescript')),
    () => {
      process.stdout.write('Installing packages.\n');
      run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
        shell: process.platform === 'win32',
      });
    },
  );
}

/** Makes the checkers of files and events from their schemas, unless they are up to date. */
export function makeCheckers() {
  return once(
    'checkers',
    [
      'package-lock.json',
      'core/src/schema',
      'core/src/switch',
      'core/src/log',
      'core/src/simulated',
      'core/src/formats/schema.ts',
      'core/src/formats/all-schemas.ts',
      'contract/src',
      'tools/make-checkers.mjs',
    ],
    () =>
      ['core/src/formats/checkers.ts', 'web/src/api/checkers.ts', 'server/src/errors/api-schemas.ts'].every(
        (path) => existsSync(join(root, path)),
      ),
    () => run(process.execPath, ['tools/make-checkers.mjs']),
  );
}

/** The packages that server and pages are built from. */
const SHARED = ['core', 'contract', 'words', 'drawing'].flatMap((name) =>
  ['src', 'package.json', 'tsconfig.json'].map((part) => `${name}/${part}`),
);

/** What both are built by. */
const CONFIG = ['package-lock.json', 'tsconfig.base.json'];

/** Builds the shared packages and the server, unless they are up to date. */
export function buildServer() {
  makeCheckers();
  once(
    'server',
    [
      ...CONFIG,
      ...SHARED,
      'server/src',
      'server/package.json',
      'server/tsconfig.json',
      'tools/bundle-server.mjs',
      'tools/make-docs.mjs',
    ],
    () => existsSync(join(root, 'server/bundle/main.js')) && existsSync(join(root, 'docs/made/events.md')),
    () => {
      process.stdout.write('Building the server.\n');
      run(process.execPath, ['node_modules/typescript/bin/tsc', '-b', 'server']);
      run(process.execPath, ['tools/bundle-server.mjs']);
      run(process.execPath, ['tools/make-docs.mjs']);
    },
  );
}

/** Builds the shared packages, server and web, each unless it is up to date. */
export function build() {
  buildServer();
  once(
    'web',
    [
      ...CONFIG,
      ...SHARED,
      'web/src',
      'web/public',
      'web/index.html',
      'web/vite.config.ts',
      'web/package.json',
    ],
    () => existsSync(join(root, 'web/dist/index.html')),
    () => {
      process.stdout.write('Building the pages.\n');
      run(process.execPath, [join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'], {
        cwd: join(root, 'web'),
      });
    },
  );
}
