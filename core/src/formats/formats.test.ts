import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { deriveMap } from '../continuity/index.js';
import { DEED_KINDS, ORDINARY_METER } from '../log/index.js';
import { standardLists } from '../safety/index.js';
import { switchLikePattern, bench, mapHidden } from '../testing/generated.js';
import { levelsOf } from './checks/levels.js';
import { readProjectFile, type JobFile, type ProjectFile } from './project-file.js';
import { eventProblems, readEvent } from './checks/read-event.js';
import { fieldTables } from './field-tables.js';
import { FILE_VERSION, projectFileSchema } from './schema.js';

const root = new URL('../../../', import.meta.url);
const jobFile = (events: JobFile['events']): JobFile => ({
  id: bench(2, 1, 77).newId(),
  title: 'A switch',
  place: '',
  outOfMachine: true,
  simulation: null,
  created: '2026-01-05T10:00:00.000Z',
  events,
});
const file = (...jobs: JobFile[]): ProjectFile => ({
  format: 'which-way',
  version: FILE_VERSION,
  shop: null,
  jobs,
  library: [],
});
const codes = (parsed: unknown) => {
  const read = readProjectFile(parsed);
  return read.ok ? [] : read.problems.map(({ code, path }) => `${code} ${path}`);
};

describe('the project file', () => {
  it('gives back what was put in: the same events, the same map', () => {
    fc.assert(
      fc.property(switchLikePattern(6, 3), (hidden) => {
        const on = bench(hidden[0]?.length ?? 0, hidden.length);
        mapHidden(hidden, on);
        const read = readProjectFile(JSON.parse(JSON.stringify(file(jobFile(on.events)))));
        if (!read.ok) throw new Error(JSON.stringify(read.problems));
        const events = read.file.jobs[0]?.events ?? [];
        expect(events).toEqual(on.events);
        expect([...deriveMap(events).settings]).toEqual([...deriveMap(on.events).settings]);
      }),
      { numRuns: 30 },
    );
  });

  it('is told of kind by kind in the tables, and its schema takes what it takes: every demo file', () => {
    const tables = fieldTables();
    for (const kind of DEED_KINDS) expect(tables).toContain(`\`${kind}\``);
    const ajv = new Ajv2020({ strict: false });
    addFormats.default(ajv);
    const check = ajv.compile(JSON.parse(JSON.stringify(projectFileSchema)) as object);
    const demo = JSON.parse(readFileSync(new URL('demo/jobs.json', root), 'utf8')) as { version: number };
    expect(check(demo), JSON.stringify(check.errors?.[0])).toBe(true);
    expect(check({ ...demo, jobs: [{}] })).toBe(false);
  });

  it('reads every demo file', () => {
    const names = readdirSync(new URL('demo/', root)).filter((name) => name.endsWith('.json'));
    expect(names.length).toBeGreaterThan(1);
    for (const name of names)
      expect(codes(JSON.parse(readFileSync(new URL(`demo/${name}`, root), 'utf8')))).toEqual([]);
  });

  it('of version 2 has a shop without meters, which has none now; two meters of one name are refused', () => {
    const shop = { name: 'Ours', safetyLists: standardLists(), codeNotes: { 'plug-in': '', fixed: '', battery: '', 'extra-low': '' } }; // prettier-ignore
    const read = readProjectFile({ format: 'which-way', version: 2, shop, jobs: [], library: [] });
    expect(read.ok && read.file.shop).toEqual({ ...shop, meters: [] });
    const twice = { ...shop, meters: [ORDINARY_METER, ORDINARY_METER] };
    expect(
      codes({ format: 'which-way', version: FILE_VERSION, shop: twice, jobs: [], library: [] })[0],
    ).toMatch(/^twice shop\.meters/);
  });

  it('is brought up version by version before it is checked', () => {
    const older = { format: 'which-way', version: 1, tasks: [], library: [] };
    expect(codes(older)).toEqual(['schema-required jobs']);
    const newest = { format: 'which-way', version: 7, anything: true };
    const steps: number[] = [];
    const upgrades = {
      7: (before: Record<string, unknown>) => (steps.push(7), { ...before, version: 8 }),
      8: () => (
        steps.push(8),
        { format: 'which-way', version: FILE_VERSION, shop: null, jobs: [], library: [] }
      ),
    };
    expect(readProjectFile(newest, upgrades).ok).toBe(true);
    expect(steps).toEqual([7, 8]);
  });
});

describe('what cannot be read', () => {
  it.each([
    [[], 'not-our-file '],
    [null, 'not-our-file '],
    ['text', 'not-our-file '],
    [{ format: 'other' }, 'not-our-file format'],
    [{ format: 'which-way' }, 'no-version version'],
    [{ format: 'which-way', version: 99, jobs: [], library: [] }, 'unknown-version version'],
    [{ format: 'which-way', version: 1, library: [] }, 'schema-required jobs'],
    [{ format: 'which-way', version: 1, jobs: [], library: [], more: 1 }, 'schema-additionalProperties more'],
  ])('%j: %s', (parsed, expected) => {
    expect(codes(parsed)[0]).toBe(expected);
  });

  it('names the place of a wrong event, of a repeated one, and of a label that is not listed', () => {
    const on = bench(3, 1);
    const reading = on.read(0, 0, 1, { kind: 'over' });
    const broken = structuredClone(on.events);
    Object.assign((broken[2] as { what: { readings: object[] } }).what.readings[0] ?? {}, {
      value: { kind: 'ohms', ohms: -1 },
    });
    expect(codes(file(jobFile(broken)))[0]).toBe('schema-minimum jobs.0.events.2.what.readings.0.value.ohms');
    expect(codes(file(jobFile([...on.events, ...on.events.slice(-1)])))[0]).toBe('twice jobs.0.events.3');
    const entry = {
      id: reading.id,
      kind: 'part',
      name: 'x',
      maker: null,
      family: '',
      form: 'toggle',
      terminals: ['1', '2'],
      positions: [{ name: null, rests: 'maintained', joined: [['1', '3']] }],
      note: null,
    };
    expect(codes({ ...file(), library: [entry] })).toEqual([
      'terminal-not-listed library.0.positions.0.joined',
    ]);
  });

  it('never throws, whatever it is given', () => {
    fc.assert(
      fc.property(fc.anything(), (parsed) => void readProjectFile(parsed)),
      { numRuns: 300 },
    );
    fc.assert(
      fc.property(
        fc.jsonValue(),
        (jobs) => void readProjectFile({ format: 'which-way', version: 1, jobs, library: [] }),
      ),
      { numRuns: 200 },
    );
  });
});

describe('one event by itself', () => {
  const event = () => structuredClone(bench(3, 1).events[1]) as unknown as Record<string, unknown>;
  /** Objects one inside another, without ever calling itself. */
  const nested = (levels: number) => {
    let value: unknown = 1;
    for (let level = 0; level < levels; level += 1) value = { inner: value };
    return value;
  };

  it('is accepted as the program writes it, and told apart when a newer program wrote it', () => {
    expect(eventProblems(event())).toEqual([]);
    expect(eventProblems({ ...event(), schema: 9 })).toEqual([
      { code: 'event-too-new', path: 'schema', params: { schema: 9, newest: 3 } },
    ]);
  });

  it.each([
    ['sequence', 0, 'schema-minimum'],
    ['clock', 2 ** 60, 'schema-maximum'],
    ['at', 'yesterday', 'schema-format'],
    ['device', 'me', 'schema-pattern'],
    ['what', { kind: 'guessed' }, 'kind-not-known'],
  ])('is refused with its place: %s', (field, value, code) => {
    expect(eventProblems({ ...event(), [field]: value })[0]).toMatchObject({
      code,
      path: expect.stringContaining(field),
    });
  });

  it('of an older version of its kind is upgraded, alone and in a file: a count of changes becomes the event last seen', () => {
    const [described, reading] = structuredClone(bench(3, 1).events);
    if (!described || !reading) throw new Error('a bench begins with a description');
    const undo = { ...reading, schema: 1, what: { kind: 'withdrawn', target: described.id, basedOn: 1 } };
    const today = { ...undo, schema: 2, what: { ...undo.what, basedOn: null } };
    expect(readEvent(undo)).toEqual({ ok: true, event: today });
    expect(eventProblems({ ...undo, schema: 2 })[0]).toMatchObject({ path: 'what.basedOn' });
    const job = {
      id: described.id,
      title: 'x',
      place: '',
      outOfMachine: true,
      simulation: null,
      created: described.at,
    };
    const old = { ...described, schema: 1, what: { ...described.what, basedOn: 0 } };
    const file = {
      format: 'which-way',
      version: 2,
      shop: null,
      jobs: [{ ...job, events: [old, undo] }],
      library: [],
    };
    const read = readProjectFile(file);
    expect(read.ok && read.file.jobs[0]?.events).toEqual([described, today]);
  });

  it('nested 20,000 levels deep is refused and not walked to its end', () => {
    expect(levelsOf(nested(3))).toBe(3);
    expect(eventProblems({ ...event(), what: nested(20_000) })[0]?.code).toBe('too-deep');
    expect(codes({ format: 'which-way', version: 1, jobs: nested(20_000), library: [] })).toEqual([
      'too-deep ',
    ]);
  });
});
