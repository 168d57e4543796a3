import type { JobSummary } from '@which-way/contract';
import Database from 'libsql';
import { describe, expect, it } from 'vitest';
import { newJob, serve } from '../testing/served.js';

describe('a summary of another version', () => {
  it('is not shown: of many, none is worked out while somebody waits, and all say that they are being worked out', async () => {
    const place = await serve();
    for (let number = 60; number < 68; number += 1) await place.call('POST', '/api/jobs', newJob(number).job);
    const database = new Database(place.database);
    const kept = database.prepare('SELECT count(*) AS kept FROM job_summary');
    while ((kept.get() as { kept: number }).kept < 8) await place.call('GET', '/api/jobs');
    const route = { done: {}, passed: [], at: 'match', next: { code: 'of-another-version' } };
    const body = JSON.stringify({ route, settingName: null, trouble: null });
    const makeOld = database.prepare('UPDATE job_summary SET engine = engine - 1, body = ?');
    let list: JobSummary[] = [];
    // What an earlier look at the list has asked to be worked out may still be stored over it: then they are made old once more.
    for (let turn = 0; turn < 20 && list.filter((one) => one.stale).length < 8; turn += 1) {
      makeOld.run(body);
      list = (await place.call('GET', '/api/jobs')).body;
      expect(list.map((one) => one.route?.next.code ?? null)).not.toContain('of-another-version');
    }
    database.close();
    expect(list.filter((one) => one.stale).map((one) => one.route)).toEqual(Array(8).fill(null));
    await place.close();
  });
});
