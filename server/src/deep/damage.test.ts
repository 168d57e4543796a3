import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { Health, JobEvent, JobSummary, JobWithEvents } from '@which-way/contract';
import { seededRandom } from '@which-way/core/switch';
import { newJob } from '../testing/served.js';
import { Spawned } from '../testing/spawned.js';

const FLIPS = Number(process.env['WHICH_WAY_FLIPS'] ?? 120);

describe.runIf(process.env['WHICH_WAY_DEEP'])(
  `${FLIPS} flipped bytes, in the database and in its log`,
  () => {
    it('are refused at the start, or told with the job that they hit, or counted as missing; no event is another than it was', async () => {
      const folder = mkdtempSync(join(tmpdir(), 'which-way-damage-'));
      const whole = join(folder, 'whole');
      const first = new Spawned(whole);
      await first.start();
      const jobs = [1, 2, 3, 4].map(newJob);
      const truth = new Map<string, JobEvent[]>();
      for (const { job, events, addReading } of jobs) {
        for (let count = 0; count < 40; count += 1) addReading();
        await first.call('POST', '/api/jobs', job);
        await first.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
        truth.set(job.id, events);
      }
      await first.stop();
      const random = seededRandom(77);
      const outcomes = { refused: 0, told: 0, missing: 0, harmless: 0 };
      for (let flip = 0; flip < FLIPS; flip += 1) {
        const place = join(folder, `flip-${flip}`);
        cpSync(whole, place, { recursive: true });
        // Every other one after a clean stop, when all is in the one file; else most of it is in the write-ahead log.
        const clean = flip % 2 === 0;
        if (clean) {
          const settled = new Spawned(place);
          await settled.start();
          await settled.stop('SIGTERM');
        }
        const path = join(place, clean ? 'which-way.sqlite' : 'which-way.sqlite-wal');
        const bytes = readFileSync(path);
        const at = Math.floor(random() * bytes.length);
        bytes[at] = (bytes[at] as number) ^ (1 << Math.floor(random() * 8));
        writeFileSync(path, bytes);
        const server = new Spawned(place);
        if (!(await server.start())) {
          expect(server.said).toMatch(/damaged|newer Which Way|cannot/i);
          outcomes.refused += 1;
        } else {
          const health = (await server.call('GET', '/api/health'))?.body as unknown as Health;
          const list = ((await server.call('GET', '/api/jobs'))?.body ?? []) as unknown as JobSummary[];
          let lost = 0;
          let told = 0;
          for (const [id, events] of truth) {
            const answer = await server.call('GET', `/api/jobs/${id}`);
            if (answer?.status !== 200) {
              lost += events.length;
              if (answer && answer.status >= 400 && list.some((job) => job.id === id)) told += 1;
              continue;
            }
            const opened = answer.body as JobWithEvents;
            const there = new Map(opened.events.map((event) => [event.id, event]));
            for (const event of opened.events)
              expect(event).toEqual(events.find(({ id: one }) => one === event.id));
            told += opened.unreadable.length;
            lost += events.filter((event) => !there.has(event.id)).length - opened.unreadable.length;
          }
          if (lost > 0) {
            expect({ at, path, lost, counted: (health.missing?.count ?? 0) > 0 || told > 0 }).toMatchObject({
              counted: true,
            });
            outcomes.missing += 1;
          } else if (told > 0) outcomes.told += 1;
          else outcomes.harmless += 1;
        }
        await server.stop();
        rmSync(place, { recursive: true, force: true });
      }
      process.stdout.write(`flipped bytes: ${JSON.stringify(outcomes)}\n`);
      expect(outcomes.refused + outcomes.told + outcomes.missing).toBeGreaterThan(0);
      rmSync(folder, { recursive: true, force: true });
    });
  },
);
