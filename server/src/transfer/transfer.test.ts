import type { Imported, JobSummary } from '@which-way/contract';
import type { ProjectFile } from '@which-way/core/formats';
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newJob, serve, type Served } from '../testing/served.js';

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.close());

const demo = (name: string): ProjectFile =>
  JSON.parse(readFileSync(new URL(`../../../demo/${name}`, import.meta.url), 'utf8')) as ProjectFile;

describe('import and export', () => {
  it('takes in the demo files whole, and gives the same back', async () => {
    const [jobs, library] = [demo('jobs.json'), demo('library.json')];
    const done: Imported = (await served.call('POST', '/api/import', jobs)).body;
    expect(done).toMatchObject({ jobsAdded: jobs.jobs.length, jobsMerged: 0 });
    expect((await served.call('POST', '/api/import', library)).body).toMatchObject({
      entriesAdded: library.library.length,
    });
    const out: ProjectFile = (await served.call('GET', '/api/export')).body;
    expect(out.jobs).toEqual(jobs.jobs);
    const byId = (entries: ProjectFile['library']) =>
      entries.toSorted((one, other) => one.id.localeCompare(other.id));
    expect(byId(out.library)).toEqual(byId(library.library));
  });

  it('changes nothing when the same file comes again', async () => {
    const again: Imported = (await served.call('POST', '/api/import', demo('jobs.json'))).body;
    expect(again).toMatchObject({ jobsAdded: 0, eventsAdded: 0 });
  });

  it('takes in nothing of a file in which one thing is wrong', async () => {
    const before: JobSummary[] = (await served.call('GET', '/api/jobs')).body;
    const { job, events } = newJob(31);
    const whole = { ...job, place: '', simulation: null, created: '2026-01-05T10:00:00.000Z', events };
    const wrong = { ...whole, id: newJob(32).job.id, title: '' };
    const file = { format: 'which-way', version: 1, jobs: [whole, wrong], library: [] };
    const answer = await served.call('POST', '/api/import', file);
    expect(answer).toMatchObject({ status: 422, body: { path: 'jobs.1.title' } });
    const clash = {
      ...whole,
      events: events.map((event) => ({ ...event, id: demo('jobs.json').jobs[0]?.events[0]?.id })),
    };
    const refused = await served.call('POST', '/api/import', {
      ...file,
      jobs: [whole, { ...clash, id: wrong.id }],
    });
    expect(refused).toMatchObject({
      status: 409,
      body: { code: 'event-differs', path: 'jobs.1.events.0.id' },
    });
    const after: JobSummary[] = (await served.call('GET', '/api/jobs')).body;
    expect(after.length).toBe(before.length);
  });

  it('says what is wrong with what is no file of ours', async () => {
    for (const body of [[], { hello: 1 }, { format: 'which-way', version: 7 }]) {
      const answer = await served.call('POST', '/api/import', body);
      expect(answer.status).toBe(422);
      expect(answer.body).toHaveProperty('hint');
    }
    expect((await served.call('POST', '/api/import', '{"format":"which-way","jobs":[')).status).toBe(400);
  });
});
