import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seededRandom } from '@which-way/core/switch';
import { newJob, serve, type Served } from '../testing/served.js';

/** Requests of this run: a sample in the ordinary tests, 10,000 in the deep ones. */
const REQUESTS = process.env['WHICH_WAY_DEEP'] ? 10_000 : 400;
const SEED = 20_261_127;

let served: Served;
let routes: { method: string; path: string }[];
beforeAll(async () => {
  served = await serve();
  const description = (await served.call('GET', '/api/docs-json')).body as {
    paths: Record<string, Record<string, unknown>>;
  };
  routes = Object.entries(description.paths)
    .flatMap(([path, methods]) =>
      Object.keys(methods).map((method) => ({ method: method.toUpperCase(), path })),
    )
    // A stream does not end, and a backup and an export of each request would only be waited for.
    // A link opens a page for people, which has no shape of an answer.
    .filter(({ path }) => path !== '/api/stream' && path !== '/shared/{token}');
});
afterAll(() => served.close());

const random = seededRandom(SEED);
const among = <Item>(items: readonly Item[]): Item => items[Math.floor(random() * items.length)] as Item;
const known = newJob(1);

const TEXTS = [
  '',
  ' ',
  'x'.repeat(5000),
  '\u0000',
  '💡'.repeat(200),
  '%00',
  '../../etc',
  "' OR 1=1 --",
  'null',
  '-1',
  '1e999',
];
const NUMBERS = [0, -1, 1.5, 2 ** 53, -(2 ** 63), 1e300, 255];
const ID = () =>
  among([
    known.job.id,
    known.events[0]?.id ?? '',
    '00000000-0000-4000-8000-000000000000',
    'nonsense',
    '%',
    '',
  ]);

/** Any value, up to a few levels; now and then a well-formed piece of ours with one thing in it replaced. */
function value(level = 0): unknown {
  const kind = Math.floor(random() * (level > 3 ? 6 : 9));
  switch (kind) {
    case 0:
      return null;
    case 1:
      return random() < 0.5;
    case 2:
      return among(NUMBERS);
    case 3:
      return among(TEXTS);
    case 4:
      return ID();
    case 5:
      return [];
    case 6:
      return Array.from({ length: Math.floor(random() * 4) }, () => value(level + 1));
    case 7:
      return spoilt(
        structuredClone(among<unknown>([known.job, known.events[0], { after: 0, events: known.events }])),
      );
    default: {
      const names = [
        'id',
        'title',
        'version',
        'events',
        'after',
        'name',
        'what',
        'pattern',
        'terminals',
        '__proto__',
        'x',
      ];
      return Object.fromEntries(
        Array.from({ length: Math.floor(random() * 4) }, () => [among(names), value(level + 1)]),
      );
    }
  }
}

/** The same with one field, somewhere, of another value. */
function spoilt(piece: unknown): unknown {
  if (typeof piece !== 'object' || piece === null) return value(3);
  const names = Object.keys(piece);
  const name = among(names);
  if (name === undefined) return piece;
  const holder = piece as Record<string, unknown>;
  holder[name] = random() < 0.5 ? value(3) : spoilt(holder[name]);
  return piece;
}

/** A body as text: mostly JSON, sometimes broken, deep, with numbers that JSON can say and a program cannot hold. */
function body(): string {
  const dice = random();
  if (dice < 0.05) return '';
  if (dice < 0.1) return `${'['.repeat(20_000)}${']'.repeat(20_000)}`;
  if (dice < 0.15)
    return `{"version":1e999,"after":-1e999,"format":"which-way","jobs":[{"events":[{"sequence":1e999}]}]}`;
  if (dice < 0.2) return JSON.stringify(value()).slice(0, 20);
  if (dice < 0.3)
    return JSON.stringify({
      format: 'which-way',
      version: among([1, 2, 3]),
      shop: value(),
      jobs: [value()],
      library: [value()],
    });
  return JSON.stringify(value());
}

describe(`${REQUESTS} requests of any kind over every route`, () => {
  it('are each answered in the one shape, and none with an error of the server', async () => {
    expect(routes.length).toBeGreaterThan(20);
    await served.call('POST', '/api/jobs', known.job);
    const wrong: string[] = [];
    for (let count = 0; count < REQUESTS; count += 1) {
      const { method, path } = among(routes);
      const query =
        random() < 0.3
          ? `?${among(['search', 'after', 'size', 'from', 'archived', 'name', 'shop'])}=${encodeURIComponent(among(TEXTS))}`
          : '';
      const filled = path.replace(/\{\w+\}/g, () => encodeURIComponent(ID()) || 'x') + query;
      const sends = method !== 'GET' && method !== 'HEAD' && random() < 0.9;
      const sent = sends ? body() : undefined;
      const headers: Record<string, string> = {
        'content-type': among([
          'application/json',
          'application/json',
          'text/plain',
          'image/jpeg',
          'application/octet-stream',
        ]),
        ...(random() < 0.1
          ? { cookie: among(['which-way=%E0%A4%A', 'which-way=x.y', ';;;', 'which-way']) }
          : {}),
      };
      const response = await fetch(served.base + filled, { method, headers, body: sent ?? null });
      const text = await response.text();
      if (response.status >= 500)
        wrong.push(`${response.status} ${method} ${filled} ${sent?.slice(0, 300)} ${text.slice(0, 200)}`);
      else if (response.status >= 400 && !/"code":"[^"]+".*"hint":"[^"]+/s.test(text))
        wrong.push(`no hint: ${response.status} ${method} ${filled} ${text.slice(0, 200)}`);
    }
    expect(wrong).toEqual([]);
    expect((await served.call('GET', '/api/health')).status).toBe(200);
  });
});
