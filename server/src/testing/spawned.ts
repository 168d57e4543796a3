import { spawn, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../../..', import.meta.url));

/** The built server as a process of its own on a folder: to be killed, and started again. */
export class Spawned {
  base = '';
  /** What it printed to both outputs at its last start. */
  said = '';
  #process: ChildProcess | null = null;

  constructor(readonly folder: string) {}

  /** Starts it; false when it refuses to start, with the reason in `said`. */
  async start(): Promise<boolean> {
    this.said = '';
    const child = spawn(
      process.execPath,
      [
        'server/bundle/main.js',
        '--data',
        this.folder,
        '--port',
        String(20_000 + Math.floor(Math.random() * 9000)),
      ],
      { cwd: root, env: { ...process.env, WHICH_WAY_LOG: 'quiet' } },
    );
    this.#process = child;
    return new Promise((resolve) => {
      child.stderr.on('data', (chunk: Buffer) => (this.said += chunk.toString()));
      child.stdout.on('data', (chunk: Buffer) => {
        this.said += chunk.toString();
        const address = /http:\/\/127\.0\.0\.1:\d+/.exec(this.said)?.[0];
        if (!address) return;
        this.base = address;
        resolve(true);
      });
      child.once('exit', () => resolve(this.said.includes('is taken') ? this.start() : false));
    });
  }

  get running(): boolean {
    return this.#process !== null && this.#process.exitCode === null && this.#process.signalCode === null;
  }

  /** Ends it at once, or as Ctrl-C would. */
  async stop(signal: NodeJS.Signals = 'SIGKILL'): Promise<void> {
    const child = this.#process;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await ended;
  }

  /** An answer's status and JSON; null when the connection was cut. */
  async call(method: string, path: string, body?: unknown): Promise<{ status: number; body: never } | null> {
    try {
      const response = await fetch(this.base + path, {
        method,
        headers: { 'content-type': body instanceof Uint8Array ? 'image/jpeg' : 'application/json' },
        body:
          body === undefined
            ? null
            : body instanceof Uint8Array
              ? new Uint8Array(body)
              : JSON.stringify(body),
      });
      return { status: response.status, body: (await response.json()) as never };
    } catch {
      return null;
    }
  }
}
