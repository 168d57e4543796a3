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
    database.prepare('UPDATE job_summary SET engine = engine - 1, body = ?').run(body);
    database.close();
    const list: JobSummary[] = (await place.call('GET', '/api/jobs')).body;
    expect(list.map((one) => one.route?.next.code ?? null)).not.toContain('of-another-version');
    expect(list.filter((one) => one.stale).map((one) => one.route)).toEqual(Array(8).fill(null));
    await place.close();
  });
});
