// What one measurement costs the server once it has come in: in a job of 200 events and in one of 10,000. The disk is left out
// (synchronous=OFF), since it is the machine's; it is `FULL` wherever the program runs.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createWriter } from '@which-way/core/log';
import { newIdFrom, seededRandom } from '@which-way/core/switch';

const ROUNDS = 300;
const median = (values) => values.toSorted((one, other) => one - other)[Math.floor(values.length / 2)];

async function applicationIn(folder) {
  process.env.WHICH_WAY_LOG = 'quiet';
  await import('reflect-metadata');
  const { default: Database } = await import('libsql');
  const { createApplication } = await import('../server/dist/application.js');
  const driver = class extends Database {
    pragma(source, ...rest) {
      return super.pragma(source.replace('synchronous = FULL', 'synchronous = OFF'), ...rest);
    }
  };
  return createApplication({
    version: 'bench',
    database: join(folder, 'which-way.sqlite'),
    photos: join(folder, 'photos'),
    demo: false,
    pages: null,
    lan: false,
    newCode: false,
    backroom: new URL('../server/bundle/backroom/backroom.worker.js', import.meta.url),
    driver,
  });
}

export async function benchAppend({ atMost, round }, job) {
  const folder = mkdtempSync(join(tmpdir(), 'which-way-append-'));
  const app = await applicationIn(folder);
  const { JobsService } = await import('../server/dist/jobs/jobs.service.js');
  try {
    const jobs = app.get(JobsService);
    const medians = [];
    for (const [seed, length] of [
      [61, 200],
      [62, 10_000],
    ]) {
      const made = job(seed, length);
      await jobs.create({ id: made.id, title: made.title, outOfMachine: true });
      let cursor = 0;
      for (let from = 0; from < made.events.length; from += 500)
        ({ cursor } = await jobs.post(made.id, { after: 0, events: made.events.slice(from, from + 500) }));
      const writer = createWriter({
        newId: newIdFrom(seededRandom(seed + 100)),
        now: () => '2026-01-05T10:00:00.000Z',
      });
      const last = made.events.at(-1);
      const [shape] = made.events.filter(({ what }) => what.kind === 'answered');
      const times = [];
      for (let turn = 0; turn < ROUNDS; turn += 1) {
        const [reading] = shape.what.readings;
        const event = writer.write([last], {
          ...shape.what,
          readings: [{ ...reading, id: newIdFrom(seededRandom(seed * 1000 + turn))() }],
        });
        const began = performance.now();
        ({ cursor } = await jobs.post(made.id, { after: cursor, events: [event] }));
        times.push(performance.now() - began);
      }
      medians.push(median(times));
    }
    const [short, long] = medians;
    atMost(
      'store',
      'a measurement appended to a job of 10,000 events, server time, median',
      round(long, 2),
      'ms',
      1,
    );
    atMost('store', 'the same, of that in a job of 200 events', round(long / short, 2), 'x', 1.3);
  } finally {
    await app.close();
    rmSync(folder, { recursive: true, force: true });
  }
}
