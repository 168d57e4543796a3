import { describe, expect, it } from 'vitest';
import { routeOf } from '../route/index.js';
import { createWriter, type JobEvent } from '../log/index.js';
import { describeSwitch, newIdFrom, seededRandom, shuffled } from '../switch/index.js';
import { createMapper, deriveMap } from './map.js';
import { isSettled } from './fact.js';

/** A job in which random bundles say what they like: most of them contradict one another. */
function tangle(terminals: number, positions: number, bundles: number, seed: number): JobEvent[] {
  const random = seededRandom(seed);
  const newId = newIdFrom(random);
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const change = describeSwitch({ terminals, positions, form: 'rotary', layout: 'list' }, newId);
  const events: JobEvent[] = [writer.write([], { kind: 'restructured', change, basedOn: null })];
  for (const { id: setting } of change.settings)
    for (let count = 0; count < bundles; count += 1) {
      const row = shuffled(
        change.terminals.map(({ id }) => id),
        random,
      );
      const [reds, blacks] = [4 + Math.floor(random() * 20), 4 + Math.floor(random() * 20)];
      const reading = {
        id: newId<never>(),
        setting,
        red: row.slice(0, reds),
        black: row.slice(reds, reds + blacks),
        value: random() < 0.5 ? ({ kind: 'over' } as const) : ({ kind: 'ohms', ohms: 0.3 } as const),
      };
      const deed = {
        kind: 'answered',
        act: 'bundle',
        prompt: null,
        source: 'typed',
        inCircuit: false,
      } as const;
      events.push(writer.write(events, { ...deed, readings: [reading] }));
    }
  return events;
}

describe('a setting that is too tangled', () => {
  const events = tangle(48, 1, 60, 5);

  it('claims nothing, is never complete, and is told as such', () => {
    const map = deriveMap(events);
    const [mapped] = [...map.settings.values()];
    expect(mapped?.coverage.tangled).toBe(true);
    expect(mapped?.settled.facts.filter(isSettled)).toHaveLength(48);
    expect(map.complete).toBe(false);
    expect(routeOf({ outOfMachine: true }, map).next.code).toBe('tangled');
  });

  it('is the same in whatever steps its readings came, since work is counted in steps and not in time', () => {
    const mapper = createMapper();
    for (const upTo of [20, 45, events.length]) mapper(events.slice(0, upTo));
    expect(mapper(events).settings).toEqual(deriveMap(events).settings);
  });

  it('is sorted out again once enough of it is taken back', () => {
    const fewer = events.slice(0, 6);
    expect([...deriveMap(fewer).settings.values()].map(({ coverage }) => coverage.tangled)).toEqual([false]);
  });
});
