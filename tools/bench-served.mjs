// A server of its own and a real browser, for what a page costs.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromiumPath } from './chromium.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const CHROMIUM = chromiumPath();

/** A port that nobody listens on just now. */
function freePort() {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

/** A server of its own on a free port with a temporary database. */
async function serve() {
  const port = await freePort();
  const folder = mkdtempSync(join(tmpdir(), 'which-way-bench-'));
  const child = spawn(process.execPath, ['server/bundle/main.js', '--data', folder, '--port', String(port)], {
    cwd: root,
    env: { ...process.env, WHICH_WAY_LOG: 'quiet' },
  });
  const base = await new Promise((resolve, reject) => {
    let said = '';
    child.stdout.on('data', (chunk) => {
      said += chunk;
      const address = /http:\/\/127\.0\.0\.1:\d+/.exec(said)?.[0];
      if (address) resolve(address);
    });
    child.on('exit', (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
  });
  const end = async () => {
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGTERM');
    await gone;
    rmSync(folder, { recursive: true, force: true });
  };
  return { base, end };
}

/** Does something with a server and a browser; nothing without Chromium. */
export async function withBrowser({ note }, use) {
  if (CHROMIUM === null)
    return note('screen', 'not measured: no Chromium here (npm test installs it)', 0, '');
  const { chromium } = await import('@playwright/test');
  const args = JSON.parse(readFileSync(join(root, 'e2e', 'chromium-arguments.json'), 'utf8'));
  const served = await serve();
  const browser = await chromium.launch({ executablePath: CHROMIUM, args });
  try {
    await use(browser, served.base);
  } finally {
    await browser.close();
    await served.end();
  }
}
