import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { JobSummary, Work } from '@which-way/contract';
import { seededRandom } from '@which-way/core/switch';
import { newJob, serve } from '../testing/served.js';
import { workEnded } from '../testing/works.js';

const FLIPS = Number(process.env['WHICH_WAY_FLIPS'] ?? 200);

describe.runIf(process.env['WHICH_WAY_DEEP'])(`${FLIPS} flipped bytes in a backup`, () => {
  it('are refused by name, or change nothing of what is put back; the server goes on', async () => {
    const source = await serve();
    for (const seed of [1, 2, 3]) {
      const { job, events, addReading } = newJob(seed);
      for (let count = 0; count < 30; count += 1) addReading();
      await source.call('POST', '/api/jobs', job);
      await source.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
    }
    const begun = (await source.call('POST', '/api/backup')).body as Work;
    await workEnded(source, begun.id);
    const zip = Buffer.from(await (await fetch(`${source.base}/api/works/${begun.id}/file`)).arrayBuffer());
    const truth = ((await source.call('GET', '/api/jobs')).body as JobSummary[]).map(({ id }) => id);
    await source.close();
    const random = seededRandom(78);
    const outcomes = { refused: 0, same: 0 };
    let bench = await serve(mkdtempSync(join(tmpdir(), 'which-way-flip-')));
    for (let flip = 0; flip < FLIPS; flip += 1) {
      const bytes = new Uint8Array(zip);
      const at = Math.floor(random() * bytes.length);
      bytes[at] = (bytes[at] as number) ^ (1 << Math.floor(random() * 8));
      const response = await fetch(`${bench.base}/api/restore`, { method: 'POST', body: bytes });
      const work = await workEnded(bench, ((await response.json()) as Work).id);
      const jobs = ((await bench.call('GET', '/api/jobs')).body as JobSummary[]).map(({ id }) => id);
      if (work.state === 'failed') {
        expect(work.error?.code).toMatch(/^(damaged-file|not-a-backup|disk-full)$/);
        expect(jobs).toEqual([]);
        outcomes.refused += 1;
      } else {
        expect([work.state, jobs]).toEqual(['done', truth]);
        outcomes.same += 1;
        await bench.close();
        bench = await serve(mkdtempSync(join(tmpdir(), 'which-way-flip-')));
      }
    }
    await bench.close();
    process.stdout.write(`flipped bytes in a backup: ${JSON.stringify(outcomes)}\n`);
    expect(outcomes.refused).toBeGreaterThan(FLIPS / 2);
  });
});
