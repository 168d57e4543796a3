import { createHash } from 'node:crypto';
import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { JobSummary, ShareAnswer, Work } from '@which-way/contract';
import { unzipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { backUp, filled, folder, restore, tampered } from '../testing/backups.js';
import { requestFromElsewhere } from '../testing/from-elsewhere.js';
import { newJob, serve } from '../testing/served.js';

describe('a backup and what lets people in', () => {
  it('holds no code, no session and no link, not in a free page of it either', async () => {
    const place = folder();
    const served = await serve(place, true);
    const { job, events } = newJob(9);
    await served.call('POST', '/api/jobs', job);
    await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
    const code = await served.note('access');
    const { share } = (await served.call('POST', `/api/jobs/${job.id}/share`)).body as ShareAnswer;
    const signed = await requestFromElsewhere(served.base, 'POST', '/sign-in', { body: `code=${code}` });
    const [cookie = ''] = (signed.headers['set-cookie'] ?? []) as string[];
    const token = cookie.split(';')[0]?.split('=')[1] ?? '';
    const zip = await backUp(served);
    const database = Buffer.from(unzipSync(zip)['which-way.sqlite'] ?? []);
    const hash = createHash('sha256').update(token).digest('hex');
    for (const secret of [code, share?.token ?? '', token, hash]) {
      expect(secret.length).toBeGreaterThan(8);
      expect(database.includes(secret)).toBe(false);
    }
    expect(readFileSync(join(place, 'which-way.sqlite')).length).toBeGreaterThan(0);
    expect(statSync(join(place, 'which-way.sqlite')).mode & 0o777).toBe(0o600);
    // Put back beside: the other bench has a code of its own, and neither the link nor the device gets in.
    const other = await serve(folder(), true);
    const own = await other.note('access');
    expect(await restore(other, zip)).toMatchObject({ state: 'done' });
    expect(await other.note('access')).toBe(own);
    const get = async (path: string) =>
      (await requestFromElsewhere(other.base, 'GET', path, { cookie: `which-way=${token}`, accept: '*/*' }))
        .status;
    expect([await get('/api/jobs'), await get(`/shared/${share?.token}`)]).toEqual([401, 404]);
    await other.close();
    await served.close();
  });

  it('of before, with its code and links in notes, loses them when it is put back', async () => {
    const { served } = await filled(folder());
    const zip = await backUp(served);
    const jobs: JobSummary[] = (await served.call('GET', '/api/jobs')).body;
    await served.close();
    const token = 'b'.repeat(32);
    const old = tampered(zip, (database) => {
      database.exec(
        'DROP TABLE link; DROP TABLE session; DROP TABLE import_decided; ALTER TABLE tombstone ADD COLUMN title TEXT',
      );
      database.exec("DELETE FROM migrations WHERE name LIKE 'Sixth%'");
      database.exec("INSERT INTO note VALUES ('access', 'OLDC-ODE2 secret')");
      database
        .prepare('INSERT INTO note VALUES (?, ?)')
        .run(`share-of ${jobs[0]?.id}`, `${token} 2099-01-01T00:00:00.000Z`);
    });
    const other = await serve(folder(), true);
    // The tombstone's title was NOT NULL then: what else is not as it was is refused.
    const work = (await restore(other, old)) as Work;
    expect([work.state, work.error?.message]).toEqual(['failed', expect.stringContaining('table tombstone')]);
    const right = tampered(old, (database) =>
      database.exec(`DROP TABLE tombstone; CREATE TABLE tombstone (
        job_id TEXT PRIMARY KEY NOT NULL, number INTEGER NOT NULL, title TEXT NOT NULL, deleted TEXT NOT NULL)`),
    );
    expect(await restore(other, right)).toMatchObject({ state: 'done' });
    expect(await other.note('access')).not.toContain('OLDC');
    expect((await requestFromElsewhere(other.base, 'GET', `/shared/${token}`)).status).toBe(404);
    await other.close();
  });
});
