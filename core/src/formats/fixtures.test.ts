import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { routeOf } from '../route/index.js';
import { DEED_KINDS, versionOf, type JobEvent } from '../log/index.js';
import { readProjectFile } from './project-file.js';
import { readEvent } from './checks/read-event.js';

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

  const moments = new URL('../../../fixtures/', import.meta.url);
  const stored = readdirSync(moments, { withFileTypes: true }).flatMap((moment) => {
    const path = new URL(`${moment.name}/every-version.json`, moments);
    return moment.isDirectory() && existsSync(path)
      ? (JSON.parse(readFileSync(path, 'utf8')) as {
          stored: JobEvent;
          reads: Pick<JobEvent, 'schema' | 'what'>;
        }[])
      : [];
  });

  it.each(stored.map((one) => [`${one.stored.what.kind}, version ${one.stored.schema}`, one] as const))(
    'is read as it was: %s',
    (_, { stored: event, reads }) => {
      const read = readEvent(event);
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      // A version that came since goes on from there: what the event said then it says still.
      expect(read.event.what).toMatchObject(reads.what);
      expect(read.event.schema).toBe(versionOf(event.what.kind));
    },
  );

  it('holds every version of every kind there is', () => {
    const there = new Set(stored.map(({ stored: { what, schema } }) => `${what.kind} ${schema}`));
    const versions = DEED_KINDS.flatMap((kind) =>
      Array.from({ length: versionOf(kind) }, (_, at) => `${kind} ${at + 1}`),
    );
    expect(versions.length).toBeGreaterThan(90);
    expect(versions.filter((version) => !there.has(version))).toEqual([]);
  });
});
