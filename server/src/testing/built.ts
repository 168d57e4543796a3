import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

/** The worker threads run what is built: so it is built before the tests, which takes nothing where it is up to date. */
export default function setup(): void {
  const root = fileURLToPath(new URL('../../..', import.meta.url));
  const { status } = spawnSync(process.execPath, ['tools/build-server.mjs'], { cwd: root, stdio: 'inherit' });
  if (status !== 0) throw new Error('the server cannot be built');
}
