import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { pathVerdict, nextStep, supplyPathOf } from '../path/index.js';
import { routeOf } from '../route/index.js';
import { safetyStanding } from '../safety/index.js';
import {
  createWriter,
  type Deed,
  DEED_KINDS,
  type JobEvent,
  kindOf,
  mechanicsOf,
  notesOf,
  readLog,
  recordsOf,
  structureOf,
} from '../log/index.js';
import { newIdFrom, seededRandom, shuffled } from '../switch/index.js';
import { anyDeed, anyDeedOf } from '../testing/any-deed.js';
import { worthSum } from '../worth/index.js';
import { deedProblems } from './checks/read-event.js';

type Plain = Record<string, unknown>;
const plain = (deed: Deed): Plain => JSON.parse(JSON.stringify(deed)) as Plain;
const isObject = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Every object inside a value whose fields are named by the schema; the positions of a setting are not. */
function objectsIn(value: unknown, name = ''): Plain[] {
  if (Array.isArray(value)) return value.flatMap((one) => objectsIn(one));
  if (!isObject(value)) return [];
  const own = name === 'at' ? [] : [value];
  return [...own, ...Object.entries(value).flatMap(([key, inner]) => objectsIn(inner, key))];
}

type Node = Record<string, unknown>;

/** Whether a value is of one branch of a union: its sort, and what the branch fixes. */
function isOf(value: unknown, branch: Node): boolean {
  if (branch['type'] === 'null') return value === null;
  if (branch['type'] !== 'object') return value !== null && !isObject(value);
  if (!isObject(value)) return false;
  const properties = (branch['properties'] ?? {}) as Record<string, Node>;
  return Object.entries(properties).every(
    ([name, node]) => !('const' in node) || value[name] === node['const'],
  );
}

/** Every field inside a value that its schema asks for, at any depth; one that may be absent is not among them. */
function neededIn(value: unknown, node: Node): [owner: Plain, field: string][] {
  const branches = (node['anyOf'] ?? node['oneOf']) as Node[] | undefined;
  if (branches) return branches.filter((one) => isOf(value, one)).flatMap((one) => neededIn(value, one));
  if (Array.isArray(value)) return value.flatMap((one) => neededIn(one, node['items'] as Node));
  if (!isObject(value) || !node['properties']) return [];
  const properties = node['properties'] as Record<string, Node>;
  return Object.entries(value).flatMap(([name, inner]) => {
    const own = ((node['required'] ?? []) as string[]).includes(name)
      ? [[value, name] as [Plain, string]]
      : [];
    return [...own, ...neededIn(inner, properties[name] ?? {})];
  });
}

const written = (deeds: readonly Deed[]): JobEvent[] => {
  const newId = newIdFrom(seededRandom(12));
  const writers = [1, 2].map(() => createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' }));
  const events: JobEvent[] = [];
  deeds.forEach((what, index) => {
    const event = writers[index % 2]?.write(events, what);
    if (event) events.push(event);
  });
  return events;
};

/** Everything that the screens before the probes are made of. */
function derived(events: readonly JobEvent[]) {
  const log = readLog(events);
  const path = supplyPathOf(log);
  const worth = recordsOf(log, 'worth-noted');
  return {
    structure: structureOf(log),
    notes: [...notesOf(log)],
    markings: recordsOf(log, 'transcribed'),
    sisters: recordsOf(log, 'sister-noted'),
    photos: recordsOf(log, 'photo-taken'),
    wires: recordsOf(log, 'wire-tagged'),
    parts: recordsOf(log, 'part-declared'),
    steps: recordsOf(log, 'stripped'),
    mechanics: [...mechanicsOf(log)],
    worth: worth && worthSum(worth),
    safety: safetyStanding(log, false, '2026-01-06T10:00:00.000Z'),
    verdict: pathVerdict(path),
    next: nextStep(path),
    route: routeOf({ outOfMachine: true }, deriveMap(events)),
  };
}

describe('the body of every kind of event', () => {
  it.each(DEED_KINDS)(
    '%s: is taken as it is, and refused with a field too many or too few, at any depth',
    (kind) => {
      fc.assert(
        fc.property(anyDeedOf(kind), fc.nat(), (deed, place) => {
          expect(deedProblems(plain(deed))).toEqual([]);
          const more = plain(deed);
          const inside = objectsIn(more);
          const target = inside[place % inside.length];
          if (target) target['cat'] = 1;
          expect(deedProblems(more).length).toBeGreaterThan(0);
          const less = plain(deed);
          const needed = neededIn(less, kindOf(kind).schema as Node);
          expect(needed).not.toEqual([]);
          const [owner, field] = needed[place % needed.length] ?? [];
          if (owner && field) Reflect.deleteProperty(owner, field);
          expect(deedProblems(less).length).toBeGreaterThan(0);
        }),
        { numRuns: 25 },
      );
    },
  );
});

describe('what is derived from any log', () => {
  const logs = fc.array(anyDeed, { minLength: 1, maxLength: 25 });

  it('is the same in any order of arrival, with repeats, and never throws', () => {
    fc.assert(
      fc.property(logs, fc.nat(), (deeds, seed) => {
        const events = written(deeds);
        const mixed = shuffled([...events, ...events.slice(0, 3)], seededRandom(seed));
        expect(derived(mixed)).toEqual(derived(events));
      }),
      { numRuns: 120 },
    );
  });

  it('is the same after undo and redo of the last act', () => {
    let undone = 0;
    fc.assert(
      fc.property(logs, (deeds) => {
        const events = written(deeds);
        const target = readLog(events).undo[0];
        if (!target) return;
        undone += 1;
        const writer = createWriter({
          newId: newIdFrom(seededRandom(77)),
          now: () => '2026-01-05T11:00:00.000Z',
        });
        const back = [
          ...events,
          writer.write(events, { kind: 'withdrawn', target: target.id, basedOn: null }),
        ];
        const again = [...back, writer.write(back, { kind: 'restored', target: target.id, basedOn: null })];
        expect(derived(again)).toEqual(derived(events));
      }),
      { numRuns: 80 },
    );
    expect(undone).toBeGreaterThan(40);
  });
});
