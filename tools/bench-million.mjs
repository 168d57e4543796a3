// A file of a million events: how long it takes, the most memory that the server holds, and the longest that a request waits meanwhile.
import { spawn } from 'node:child_process';
import { createWriteStream, mkdtempSync, openAsBlob, readFileSync, rmSync } from 'node:fs';
import { once } from 'node:events';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));

const freePort = () =>
  new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });

async function writeFile(path, job, jobs, events) {
  const out = createWriteStream(path);
  out.write('{"format":"which-way","version":1,"jobs":[');
  for (let seed = 0; seed < jobs; seed += 1)
    if (!out.write(`${seed === 0 ? '' : ','}${JSON.stringify(job(50_000 + seed, events))}`))
      await once(out, 'drain');
  out.end('],"library":[]}');
  await once(out, 'finish');
}

/** @param job makes a job of a seed with so many events. */
export async function benchMillion({ note, atMost, round }, job, { jobs = 500, events = 2000 } = {}) {
  const folder = mkdtempSync(join(tmpdir(), 'which-way-million-'));
  const path = join(folder, 'file.json');
  await writeFile(path, job, jobs, events);
  const port = await freePort();
  const child = spawn(
    process.execPath,
    ['server/bundle/main.js', '--data', join(folder, 'data'), '--port', String(port)],
    { cwd: root, env: { ...process.env, WHICH_WAY_LOG: 'quiet' }, stdio: 'ignore' },
  );
  const base = `http://127.0.0.1:${port}`;
  const get = (address) => fetch(base + address).then((response) => response.json());
  try {
    while (!(await get('/api/health').catch(() => null)))
      await new Promise((resolve) => setTimeout(resolve, 50));
    const began = performance.now();
    let longest = 0;
    const until = async (id, ends) => {
      for (;;) {
        const from = performance.now();
        const work = await get(`/api/works/${id}`);
        await get('/api/jobs?search=nothing');
        longest = Math.max(longest, performance.now() - from);
        if (ends.includes(work.state)) return work;
        await new Promise((resolve) => setTimeout(resolve, 20));
      }
    };
    const body = await openAsBlob(path);
    const { id } = await fetch(`${base}/api/imports?name=million`, { method: 'POST', body }).then(
      (response) => response.json(),
    );
    const looked = await until(id, ['ready', 'failed']);
    if (looked.state === 'failed') throw new Error(looked.error.message);
    await fetch(`${base}/api/imports/${id}/take`, { method: 'POST' });
    const work = await until(id, ['done', 'failed']);
    if (work.state === 'failed') throw new Error(work.error.message);
    const status = readFileSync(`/proc/${child.pid}/status`, 'utf8');
    const million = (jobs * events) / 1e6;
    note(
      'store',
      `import of ${million} million events in one file`,
      round((performance.now() - began) / 1000),
      's',
    );
    atMost(
      'store',
      'most memory of the server meanwhile',
      round(Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024),
      'MB',
      700,
    );
    atMost('store', 'longest wait of two requests meanwhile', round(longest), 'ms', 250);
  } finally {
    child.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  }
}
