// What the store costs: a list of 500 jobs, a restart, an import beside readings, a library of 10,000
// (of 100,000 in the deep run), large photos. A server
// of its own on a temporary folder; seeded data.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createWriter } from '@which-way/core/log';
import { describeSwitch, newIdFrom, seededRandom } from '@which-way/core/switch';
import sharp from 'sharp';
import { benchAppend } from './bench-append.mjs';
import { many } from './bench-size.mjs';
import { benchSummaries } from './bench-summaries.mjs';
import { chromiumPath } from './chromium.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const CHROMIUM = chromiumPath();
const now = () => performance.now();
const ENTRIES = many(10_000, 100_000);
const HOW_MANY = ENTRIES.toLocaleString('en-GB');

function freePort() {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

class Server {
  constructor() {
    this.folder = mkdtempSync(join(tmpdir(), 'which-way-bench-'));
  }

  /** Starts it; milliseconds until it answers. */
  async start() {
    this.port ??= await freePort();
    const began = now();
    this.child = spawn(
      process.execPath,
      ['--enable-source-maps', 'server/bundle/main.js', '--data', this.folder, '--port', String(this.port)],
      { cwd: root, env: { ...process.env, WHICH_WAY_LOG: 'quiet' } },
    );
    this.base = `http://127.0.0.1:${this.port}`;
    for (;;) {
      try {
        await fetch(`${this.base}/api/health`);
        return now() - began;
      } catch {
        if (this.child.exitCode !== null) throw new Error('the server ended');
        await new Promise((resolve) => setTimeout(resolve, 10));
      }
    }
  }

  async stop() {
    const gone = new Promise((resolve) => this.child.once('exit', resolve));
    this.child.kill('SIGTERM');
    await gone;
  }

  async call(method, path, body, type = 'application/json') {
    const response = await fetch(this.base + path, {
      method,
      headers: { 'content-type': type },
      body:
        body === undefined || typeof body === 'string' || body instanceof Uint8Array
          ? body
          : JSON.stringify(body),
    });
    const text = await response.text();
    return { status: response.status, bytes: text.length, body: text ? JSON.parse(text) : null };
  }

  /** Milliseconds of a request. */
  async time(path) {
    const began = now();
    const { status } = await this.call('GET', path);
    if (status !== 200) throw new Error(`${path}: ${status}`);
    return now() - began;
  }

  /** Waits for long work to come to an end, or to wait for a person. */
  async ended(id) {
    for (;;) {
      const { body } = await this.call('GET', `/api/works/${id}`);
      if (body.state !== 'running' && body.state !== 'waiting') return body;
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  }

  /** The most memory that the process has held, in MB (VmHWM of /proc). */
  get peakMegabytes() {
    const status = readFileSync(`/proc/${this.child.pid}/status`, 'utf8');
    return Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024;
  }
}

/** A job with so many readings. */
export function job(seed, count) {
  const newId = newIdFrom(seededRandom(seed));
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const change = describeSwitch({ terminals: 8, positions: 4, form: 'rotary', layout: 'list' }, newId);
  const events = [];
  const add = (what) => events.push(writer.write(events.slice(-1), what));
  add({ kind: 'restructured', change, basedOn: null });
  while (events.length < count) {
    const at = events.length;
    const [red, black] = [change.terminals[at % 8].id, change.terminals[(at * 3 + 1) % 8].id];
    if (red === black) add({ kind: 'signed', by: 'x', note: '' });
    else
      add({
        kind: 'answered',
        act: 'pair',
        prompt: null,
        source: 'typed',
        inCircuit: false,
        readings: [
          {
            id: newId(),
            setting: change.settings[at % 4].id,
            red: [red],
            black: [black],
            value: { kind: 'over' },
          },
        ],
      });
  }
  return {
    id: newId(),
    title: `Job ${seed}`,
    place: '',
    outOfMachine: true,
    simulation: null,
    created: '2026-01-05T10:00:00.000Z',
    events,
  };
}

const WORDS = [
  'slide',
  'rotary',
  'lever',
  'key',
  'wafer',
  'toggle',
  'rocker',
  'cam',
  'push',
  'Marrowby',
  'Larkspur',
  'Tern',
];

/** Library entries: selectors of some sizes, their terminals named in another order each. */
function* entries(count) {
  const random = seededRandom(100);
  const newId = newIdFrom(random);
  for (let number = 0; number < count; number += 1) {
    const terminals = Array.from({ length: 3 + (number % 14) }, (_, at) => String(at + 1));
    const positions = Array.from({ length: 2 + (number % 7) }, (_, at) => ({
      name: `P${at + 1}`,
      rests: 'maintained',
      joined: at + 1 < terminals.length ? [[terminals[0], terminals[1 + (at % (terminals.length - 1))]]] : [],
    }));
    const word = () => WORDS[Math.floor(random() * WORDS.length)];
    yield {
      id: newId(),
      kind: 'part',
      name: `${word()} ${word()} ${number}`,
      maker: word(),
      family: `${word()} switch`,
      form: 'rotary',
      terminals,
      positions,
      note: null,
    };
  }
}

/** Sends a file to be looked through and takes it in; seconds of each, and the longest wait of a reading meanwhile. */
async function takeIn(server, text, reading) {
  // The text took seconds to make: connections that the server has closed meanwhile are to be seen closed.
  await new Promise((resolve) => setTimeout(resolve, 20));
  const began = now();
  const { body } = await server.call('POST', '/api/imports?name=bench', text, 'application/octet-stream');
  let work = await server.ended(body.id);
  if (work.state !== 'ready') throw new Error(JSON.stringify(work.error));
  const looked = now() - began;
  await server.call('POST', `/api/imports/${body.id}/take`);
  const waits = [];
  let done = false;
  const readings = (async () => {
    while (!done) {
      const from = now();
      await reading();
      waits.push(now() - from);
      await new Promise((resolve) => setTimeout(resolve, 15));
    }
  })();
  work = await server.ended(body.id);
  done = true;
  await readings;
  if (work.state !== 'done') throw new Error(JSON.stringify(work.error));
  return {
    looked: looked / 1000,
    seconds: (now() - began) / 1000,
    longest: Math.max(...waits),
    readings: waits.length,
  };
}

const median = (values) => values.toSorted((one, other) => one - other)[Math.floor(values.length / 2)];

const fileOf = (jobs, library = []) => JSON.stringify({ format: 'which-way', version: 1, jobs, library });

async function benchLibrary(server, { note, atMost, round }, reading) {
  const library = await takeIn(server, fileOf([], [...entries(ENTRIES)]), reading);
  note('store', `import of ${HOW_MANY} library entries`, round(library.seconds, 1), 's');
  atMost(
    'store',
    'longest wait of a reading during it, its last writes too',
    round(library.longest, 1),
    'ms',
    250,
  );
  const pages = [];
  const searches = [];
  for (let turn = 0; turn < 9; turn += 1) {
    pages.push(await server.time(`/api/library?from=${Math.round((turn * ENTRIES) / 20)}`));
    searches.push(await server.time(`/api/library?search=${WORDS[turn]}%20${WORDS[turn + 1]}`));
  }
  atMost('store', `a page of ${HOW_MANY} entries, median`, round(median(pages), 1), 'ms', 50);
  atMost('store', `a search among ${HOW_MANY} entries, median`, round(median(searches), 1), 'ms', 50);
}

export async function benchStore({ note, atMost, round }) {
  const server = new Server();
  try {
    await server.start();
    const mine = job(9_999_999, 1);
    await server.call('POST', '/api/jobs', { id: mine.id, title: 'mine', outOfMachine: true });
    const writer = createWriter({ newId: newIdFrom(seededRandom(8)), now: () => '2026-01-05T10:00:00.000Z' });
    const reading = () =>
      server.call('POST', `/api/jobs/${mine.id}/events`, {
        after: Number.MAX_SAFE_INTEGER,
        events: [writer.write([], { kind: 'signed', by: 'x', note: '' })],
      });

    const ten = Array.from({ length: 20 }, (_, at) => job(1000 + at, 500));
    const small = await takeIn(server, fileOf(ten), reading);
    note('store', 'import of 10,000 events, readings beside it', round(small.seconds, 2), 's');
    atMost('store', 'longest wait of a reading during it', round(small.longest, 1), 'ms', 250);
    const imported = await takeIn(
      server,
      fileOf(Array.from({ length: 500 }, (_, at) => job(2000 + at, 300))),
      reading,
    );
    note(
      'store',
      'import of 500 jobs of 300 events, per 10,000 events',
      round(imported.seconds / 15, 2),
      's',
    );
    note('store', 'longest wait of a reading during it', round(imported.longest, 1), 'ms');

    // Once all summaries are worked out, as on a bench that is used.
    for (;;) {
      const { body } = await server.call('GET', '/api/jobs');
      if (!body.some(({ stale }) => stale)) break;
      await new Promise((resolve) => setTimeout(resolve, 300));
    }
    const warm = [];
    for (let turn = 0; turn < 9; turn += 1) warm.push(await server.time('/api/jobs'));
    await server.stop();
    const ready = await server.start();
    const cold = await server.time('/api/jobs');
    atMost('store', 'restart until it answers', round(ready), 'ms', 2000);
    const empty = new Server();
    await empty.start();
    await empty.stop();
    const bare = await empty.start();
    await empty.stop();
    rmSync(empty.folder, { recursive: true, force: true });
    atMost('store', 'the same, of that with an empty folder', round(ready / bare, 2), 'x', 1.5);
    atMost('store', 'list of 521 jobs, first after a restart', round(cold), 'ms', 1000);
    atMost('store', 'list of 521 jobs, warm, median', round(median(warm), 1), 'ms', 100);

    await server.stop();
    await benchSummaries(server, { note, atMost, round }, reading);
    await benchLibrary(server, { note, atMost, round }, reading);
    if (CHROMIUM !== null) await benchPages(server, { note, atMost, round });

    await server.stop();
    await benchAppend({ atMost, round }, job);
    await benchPhotos({ note, atMost, round });
  } finally {
    if (server.child?.exitCode === null) server.child.kill('SIGKILL');
    rmSync(server.folder, { recursive: true, force: true });
  }
}

/** What Map, Verify and Match fetch of a library so large, and the longest that each keeps the page busy. */
async function benchPages(server, { atMost, round }) {
  const { chromium } = await import('@playwright/test');
  const args = JSON.parse(readFileSync(new URL('../e2e/chromium-arguments.json', import.meta.url), 'utf8'));
  const browser = await chromium.launch({ executablePath: CHROMIUM, args });
  try {
    const made = mappedJob();
    await server.call('POST', '/api/jobs', { id: made.id, title: 'mapped', outOfMachine: true });
    await server.call('POST', `/api/jobs/${made.id}/events`, { after: 0, events: made.events });
    for (const [view, ready] of [
      ['map', 'What to do next'],
      ['verify', 'What it should do'],
      ['match', 'possible of'],
    ]) {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
      let bytes = 0;
      page.on('response', async (response) => {
        if (response.url().includes('/api/library'))
          bytes += (await response.body().catch(() => Buffer.of())).length;
      });
      await page.addInitScript(() => {
        window.longest = 0;
        new PerformanceObserver((list) => {
          for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
        }).observe({ type: 'longtask', buffered: true });
      });
      // The first load compiles the application itself, which is no matter of the library.
      await page.goto(`${server.base}/jobs/${made.id}/intake`);
      await page.getByRole('heading', { name: 'Intake' }).waitFor();
      await page.evaluate(() => (window.longest = 0));
      const step = { map: 'Map', verify: 'Verify', match: 'Match' }[view];
      await page
        .getByRole('navigation', { name: 'Steps of this job' })
        .getByRole('link', { name: step })
        .click();
      await page
        .getByText(ready)
        .or(page.getByRole('region', { name: ready }))
        .first()
        .waitFor({ timeout: 120_000 });
      await page.waitForLoadState('networkidle').catch(() => undefined);
      const longest = await page.evaluate(() => window.longest);
      atMost(
        'store',
        `${step} at ${HOW_MANY} entries: fetched of the library`,
        round(bytes / 1000, 1),
        'kB',
        300,
      );
      atMost('store', `${step} at ${HOW_MANY} entries: longest task of the page`, round(longest), 'ms', 100);
      await page.close();
    }
  } finally {
    await browser.close();
  }
}

/** A one-pole four-way selector, mapped to the end. */
function mappedJob() {
  const newId = newIdFrom(seededRandom(55));
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const change = describeSwitch({ terminals: 5, positions: 4, form: 'rotary', layout: 'list' }, newId);
  const events = [];
  const add = (what) => events.push(writer.write(events, what));
  add({ kind: 'restructured', change, basedOn: null });
  for (const [at, { id: setting }] of change.settings.entries())
    for (let a = 0; a < 5; a += 1)
      for (let b = a + 1; b < 5; b += 1) {
        const value = a === 0 && b === at + 1 ? { kind: 'ohms', ohms: 0.3 } : { kind: 'over' };
        const reading = {
          id: newId(),
          setting,
          red: [change.terminals[a].id],
          black: [change.terminals[b].id],
          value,
        };
        const deed = { kind: 'answered', act: 'pair', prompt: null, source: 'typed', inCircuit: false };
        add({ ...deed, readings: [reading] });
      }
  return { id: newId(), events };
}

/** Four large photos at once, on a server that has done nothing else. */
async function benchPhotos({ note, atMost, round }) {
  const server = new Server();
  try {
    await server.start();
    const large = await sharp({ create: { width: 10_000, height: 10_000, channels: 3, background: '#468' } })
      .jpeg({ quality: 60 })
      .withMetadata({ orientation: 6 })
      .toBuffer();
    const before = server.peakMegabytes;
    const newId = newIdFrom(seededRandom(77));
    const statuses = await Promise.all(
      [1, 2, 3, 4].map(
        async () => (await server.call('PUT', `/api/photos/${newId()}`, large, 'image/jpeg')).status,
      ),
    );
    if (statuses.some((status) => status !== 200)) throw new Error(`photos: ${statuses.join()}`);
    atMost(
      'store',
      'memory at most, four photos of 100 megapixels at once',
      round(server.peakMegabytes, 0),
      'MB',
      600,
    );
    note('store', 'memory at most before them', round(before, 0), 'MB');
    await server.stop();
  } finally {
    if (server.child?.exitCode === null) server.child.kill('SIGKILL');
    rmSync(server.folder, { recursive: true, force: true });
  }
}
