import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bytesKept } from '../testing/collected.js';
import { madeOn, serve, type Served } from '../testing/served.js';

/** Rounds of this run: a sample in the ordinary tests. */
const DEEP = Boolean(process.env['WHICH_WAY_DEEP']);
const GETS = { warm: DEEP ? 100 : 10, stretch: DEEP ? 100 : 10, all: DEEP ? 1000 : 50 };
const STREAMS = { warm: DEEP ? 200 : 20, stretch: DEEP ? 200 : 20, all: DEEP ? 2000 : 150 };

let served: Served;
let job: string;
/** A cursor behind which some 150 kB of the log lie. */
let near: number;
beforeAll(async () => {
  served = await serve();
  const made = await madeOn(served, 1);
  for (let count = 0; count < 280; count += 1)
    made.add({ kind: 'noted', field: 'complaint', text: `${count} ${'hum '.repeat(940)}` });
  for (let from = 0; from < made.events.length; from += 90)
    near = (await made.post(made.events.slice(from, from + 90))).cursor - 40;
  job = made.job.id;
});
afterAll(() => served.close());

/** More than this many times the bytes of the first stretch are a leak. */
const MOST = 1.1;

/** Bytes that stay kept: what closes late on a busy machine is waited for, what leaks never goes. */
async function keptInTheEnd(first: number): Promise<number> {
  let kept = await bytesKept();
  for (let looks = 0; looks < 200 && kept >= MOST * first; looks += 1) {
    await new Promise((resolve) => setTimeout(resolve, 100));
    kept = await bytesKept();
  }
  return kept;
}

/** Bytes kept after the first stretch of rounds, and after the last one. */
async function keptOver(
  { warm, stretch, all }: typeof GETS,
  round: () => Promise<unknown>,
): Promise<{ first: number; last: number }> {
  const times = async (count: number) => {
    for (let done = 0; done < count; done += 1) await round();
  };
  await times(warm);
  await times(stretch);
  const first = await bytesKept();
  await times(all - stretch);
  return { first, last: await keptInTheEnd(first) };
}

describe('memory stays flat', () => {
  it(`over ${GETS.all} reads of a job of a megabyte`, async () => {
    let bytes = 0;
    const { first, last } = await keptOver(GETS, async () => {
      bytes = (await (await fetch(`${served.base}/api/jobs/${job}`)).arrayBuffer()).byteLength;
    });
    expect(bytes).toBeGreaterThan(1_000_000);
    expect(last / first).toBeLessThan(MOST);
  });

  it(`over ${STREAMS.all} streams that were opened and closed`, async () => {
    const { first, last } = await keptOver(STREAMS, async () => {
      const leave = new AbortController();
      const response = await fetch(`${served.base}/api/stream?job=${job}&after=${near}`, {
        signal: leave.signal,
      });
      let text = '';
      for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
        text += Buffer.from(chunk).toString();
        if (/event: log[^]*\n\n/.test(text)) break;
      }
      leave.abort();
    });
    expect(last / first).toBeLessThan(MOST);
  });
});
