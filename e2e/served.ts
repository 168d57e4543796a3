import { test as base } from '@playwright/test';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));

/**
 * Ports for servers that are killed and started again on the same one. Each Playwright worker has its own stretch,
 * below those that systems hand out by themselves, so that no other server slips in while one is down.
 */
let portsTaken = 0;
function nextPort(): number {
  portsTaken += 1;
  return 21_000 + Number(process.env['TEST_PARALLEL_INDEX'] ?? 0) * 300 + portsTaken;
}

/** A real server with a database of its own, which a test may kill and start again. */
export class Served {
  base = '';
  /** What it printed at its last start. */
  said = '';
  readonly folder = mkdtempSync(join(tmpdir(), 'which-way-e2e-'));
  #process: ChildProcess | null = null;

  /** @param options further options of the server, such as `--lan`. */
  constructor(private readonly options: readonly string[] = []) {}

  /** Starts it, on the same port as before if there was one; else on one that nobody else will take meanwhile. */
  async start(): Promise<void> {
    if (this.base !== '') return this.#listen(Number(new URL(this.base).port));
    for (let tries = 1; ; tries += 1) {
      try {
        return await this.#listen(nextPort());
      } catch (error) {
        if (tries === 20 || !String(error).includes('EADDRINUSE')) throw error;
      }
    }
  }

  async #listen(port: number): Promise<void> {
    const child = spawn(
      process.execPath,
      ['server/bundle/main.js', '--data', this.folder, '--port', String(port), ...this.options],
      { cwd: root, env: { ...process.env, WHICH_WAY_LOG: 'quiet' } },
    );
    this.#process = child;
    this.base = await new Promise<string>((resolve, reject) => {
      this.said = '';
      child.stdout.on('data', (chunk: Buffer) => {
        this.said += chunk.toString();
        const address = /http:\/\/127\.0\.0\.1:\d+/.exec(this.said)?.[0];
        if (address) resolve(address);
      });
      child.stderr.on('data', (chunk: Buffer) => (this.said += chunk.toString()));
      child.on('exit', (code) => reject(new Error(`the server ended with ${code}: ${this.said}`)));
    });
  }

  /** Ends it at once, as a power cut would. */
  async kill(signal: NodeJS.Signals = 'SIGKILL'): Promise<void> {
    const child = this.#process;
    if (!child || child.exitCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.removeAllListeners('exit');
    child.once('exit', () => undefined);
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await Promise.race([ended, gone]);
    this.#process = null;
  }

  /**
   * Fills the disk as far as this server is concerned, or frees it again: no file of it may grow any more (RLIMIT_FSIZE, by
   * util-linux' prlimit). Small files that are written anew fail too.
   */
  diskFull(full: boolean): void {
    const limit = full ? '1:unlimited' : 'unlimited:unlimited';
    const { status, stderr } = spawnSync('prlimit', [
      '--pid',
      String(this.#process?.pid),
      `--fsize=${limit}`,
    ]);
    if (status !== 0) throw new Error(`prlimit: ${String(stderr)}`);
  }

  /** Loses the disk: the data folder is empty at the next start. */
  async wipe(): Promise<void> {
    await this.kill();
    for (const name of readdirSync(this.folder))
      rmSync(join(this.folder, name), { recursive: true, force: true });
  }

  async get<Answer>(path: string): Promise<Answer> {
    return (await (await fetch(this.base + path)).json()) as Answer;
  }

  /** Gives it the demo's photos, as the browser would send them. */
  async loadPhotos(): Promise<void> {
    for (const name of readdirSync(join(root, 'demo', 'photos'))) {
      await fetch(`${this.base}/api/photos/${name.replace('.jpg', '')}`, {
        method: 'PUT',
        headers: { 'content-type': 'image/jpeg' },
        body: readFileSync(join(root, 'demo', 'photos', name)),
      });
    }
  }

  /** Takes in a demo file: a stated half-way state. */
  async load(name: 'library.json' | 'jobs.json'): Promise<void> {
    const response = await fetch(`${this.base}/api/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: readFileSync(join(root, 'demo', name), 'utf8'),
    });
    if (!response.ok) throw new Error(await response.text());
  }

  async end(): Promise<void> {
    await this.kill('SIGTERM');
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** One server per worker with the library in it; journeys that kill a server start their own. */
export const test = base.extend<{ served: Served }, { shared: Served }>({
  shared: [
    async ({}, use) => {
      const served = new Served();
      await served.start();
      await served.load('library.json');
      await use(served);
      await served.end();
    },
    { scope: 'worker' },
  ],
  served: async ({ shared }, use) => use(shared),
  baseURL: async ({ shared }, use) => use(shared.base),
});

/** A server of the journey's own, which it may kill, fill or wipe. */
export async function ownServer(work: (served: Served) => Promise<void>): Promise<void> {
  const served = new Served();
  await served.start();
  try {
    await work(served);
  } finally {
    await served.end();
  }
}

export { expect } from '@playwright/test';
