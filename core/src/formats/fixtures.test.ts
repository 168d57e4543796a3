import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { routeOf } from '../route/index.js';
import { DEED_KINDS, type JobEvent } from '../log/index.js';
import { readProjectFile } from './project-file.js';

const fixture = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`../../../fixtures/first/${name}`, import.meta.url), 'utf8'));

describe('what was written once', () => {
  it.each([
    ['project.json', 6, 226],
    ['every-kind.json', 1, 144],
  ])('opens for ever after: %s', (name, jobs, events) => {
    const read = readProjectFile(fixture(name));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.file.jobs).toHaveLength(jobs);
    expect(read.file.jobs.flatMap((job) => job.events)).toHaveLength(events);
    for (const job of read.file.jobs) expect(routeOf(job, deriveMap(job.events)).at).toBeTypeOf('string');
  });

  it('holds every kind of event there was, and a log alone gives the map that it gave', () => {
    const every = readProjectFile(fixture('every-kind.json'));
    const kinds = every.ok ? new Set(every.file.jobs[0]?.events.map(({ what }) => what.kind)) : new Set();
    expect(DEED_KINDS.slice(0, 36).filter((kind) => !kinds.has(kind))).toEqual([]);
    const map = deriveMap(fixture('log.json') as JobEvent[]);
    expect(map.complete).toBe(true);
    expect([...map.settings.values()].map(({ coverage }) => coverage.unknown)).toEqual([0, 0, 0, 0]);
  });
});
