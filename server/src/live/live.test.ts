import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { StreamMessages } from '@which-way/contract';
import { newJob, serve, type Served } from '../testing/served.js';

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.close());

type Message = {
  [Kind in keyof StreamMessages]: { kind: Kind; data: StreamMessages[Kind]; id: string };
}[keyof StreamMessages];

/** Listens to a stream until enough was heard, as text/event-stream is defined in the HTML standard, section 9.2. */
async function hear(
  path: string,
  enough: (heard: Message[]) => boolean,
  headers: Record<string, string> = {},
) {
  const leave = new AbortController();
  const response = await fetch(served.base + path, { signal: leave.signal, headers });
  expect(response.headers.get('content-type')).toContain('text/event-stream');
  const heard: Message[] = [];
  let text = '';
  for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
    text += Buffer.from(chunk).toString();
    for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
      const fields = new Map(
        text
          .slice(0, end)
          .split('\n')
          .map((line) => [line.slice(0, line.indexOf(':')), line.slice(line.indexOf(':') + 1).trim()]),
      );
      text = text.slice(end + 2);
      const kind = fields.get('event');
      if (kind)
        heard.push({
          kind,
          data: JSON.parse(fields.get('data') ?? 'null'),
          id: fields.get('id') ?? '',
        } as Message);
    }
    if (enough(heard)) break;
  }
  leave.abort();
  return heard;
}
/** Listens as above, and says when the first of it is there: from then on nothing that happens is missed. */
async function hearing(path: string, enough: (heard: Message[]) => boolean, first = 'hello') {
  let begun = (): void => undefined;
  const open = new Promise<void>((resolve) => (begun = resolve));
  const all = hear(path, (heard) => {
    if (heard.some(({ kind }) => kind === first)) begun();
    return enough(heard);
  });
  // A stream that ends before it began is told where it is waited for.
  await Promise.race([open, all]);
  return { all };
}
const logs = (heard: Message[]) => heard.filter((one) => one.kind === 'log');

describe('the stream', () => {
  it('brings the log from a cursor on, what comes in while it is open, and goes on from where it was', async () => {
    const { job, events, addReading } = newJob(1);
    addReading();
    await served.call('POST', '/api/jobs', job);
    const post = (some: unknown[]) =>
      served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events: some });
    await post(events);
    const stream = `/api/stream?job=${job.id}&after=0`;
    const listening = await hearing(stream, (heard) => logs(heard).length >= 2, 'log');
    const later = addReading();
    await post([later]);
    const heard = await listening.all;
    expect(heard[0]?.kind).toBe('hello');
    const ids = logs(heard).flatMap(({ data }) => data.events.map(({ id }) => id));
    expect(ids).toEqual([...events.map(({ id }) => id)]);
    const cursor = logs(heard).at(-1)?.id ?? '';
    const last = addReading();
    await post([last]);
    const resumed = await hear(`/api/stream?job=${job.id}&after=0`, (some) => logs(some).length >= 1, {
      'last-event-id': cursor,
    });
    expect(logs(resumed).flatMap(({ data }) => data.events.map(({ id }) => id))).toEqual([last.id]);
  });

  it('tells that a job is gone, that the bench has changed, and how far long work is', async () => {
    const { job } = newJob(2);
    await served.call('POST', '/api/jobs', job);
    const page = await hearing(`/api/stream?job=${job.id}&after=0`, (heard) =>
      heard.some(({ kind }) => kind === 'gone'),
    );
    const bench = await hearing('/api/stream', (heard) =>
      heard.some((one) => one.kind === 'work' && one.data.state === 'done'),
    );
    await served.call('DELETE', `/api/jobs/${job.id}`);
    await served.call('POST', '/api/backup');
    expect((await page.all).find(({ kind }) => kind === 'gone')?.data).toEqual({ job: job.id });
    expect(new Set((await bench.all).map(({ kind }) => kind))).toEqual(new Set(['hello', 'bench', 'work']));
  });

  it('stands behind the same gates as everything, and does not keep the server from stopping', async () => {
    const evil = await fetch(`${served.base}/api/stream`, { headers: { origin: 'http://evil.example' } });
    expect(evil.status).toBe(403);
    expect((await served.call('GET', '/api/stream?job=nonsense')).status).toBe(400);
    const other = await serve();
    const open = await fetch(`${other.base}/api/stream`);
    expect(open.status).toBe(200);
    const reading = open.text().then(
      (text) => text,
      () => 'cut off',
    );
    await other.close();
    expect(await reading).toMatch(/event: hello|cut off/);
  });
});
