import { describe, expect, it } from 'vitest';
import { createMapper, deriveMap } from '../continuity/index.js';
import { planNext } from '../planner/index.js';
import { routeOf } from '../route/index.js';
import { bench, CLOSED, OPEN, type Bench } from '../testing/generated.js';

/** Three lugs, one position: 1-2 joins, 1-3 parts, and 2-3 reads something between, so many times. */
function between(ohms: readonly number[]): { on: Bench; readings: string[] } {
  const on = bench(3, 1);
  on.read(0, 0, 2, OPEN);
  const readings = ohms.map((value) => on.read(0, 0, 1, { kind: 'ohms', ohms: value }).id);
  on.read(0, 1, 2, OPEN);
  return { on, readings };
}
const planOf = ({ events, settings }: Bench) => planNext(deriveMap(events), settings[0] ?? null);

describe('a value between closed and open that stays', () => {
  it.each([[60], [4700], [90_000]])(
    'of %d ohm is asked again until a person says what it is, or leaves it',
    (ohms) => {
      const { on, readings } = between([ohms, ohms * 1.05, ohms * 0.97]);
      expect(planOf(on).kind).toBe('look-again');
      on.add({ kind: 'explained', readings: readings as never, as: 'not-known', note: '' });
      const map = deriveMap(on.events);
      expect([planOf(on), map.complete]).toEqual([{ kind: 'left-not-known', pairs: 1 }, false]);
      // The bench says what the prompt says.
      expect(routeOf({ outOfMachine: true }, map).next).toEqual({ code: 'left-not-known', count: 1 });
      expect([...map.settings.values()][0]?.coverage).toMatchObject({ lookAgain: 1, unknown: 1 });
      // Read once more it is asked once more: the person looked at it.
      on.read(0, 0, 1, { kind: 'ohms', ohms });
      expect(planOf(on).kind).toBe('look-again');
    },
  );

  it.each([
    ['unsteady', [{ kind: 'unsteady' }, { kind: 'unsteady' }, { kind: 'unsteady' }]],
    [
      'above the range',
      [
        { kind: 'ohms', ohms: 5e5 },
        { kind: 'ohms', ohms: 5.1e5 },
        { kind: 'ohms', ohms: 4.9e5 },
      ],
    ],
  ] as const)('can be left where it is %s', (_, values) => {
    const on = bench(2, 1);
    const readings = values.map((value) => on.read(0, 0, 1, value).id);
    expect(planOf(on).kind).toBe('look-again');
    on.add({ kind: 'explained', readings, as: 'not-known', note: '' });
    expect([planOf(on).kind, deriveMap(on.events).complete]).toEqual(['left-not-known', false]);
  });

  it('left not known and then read as a contact settles, and the map is complete', () => {
    const { on, readings } = between([4700, 4700, 4700]);
    on.add({ kind: 'explained', readings: readings as never, as: 'not-known', note: '' });
    on.add({ kind: 'explained', readings: readings as never, as: 'part', note: '' });
    expect([planOf(on).kind, deriveMap(on.events).complete]).toEqual(['done', true]);
  });

  it('left not known proves nothing: what follows from a part does not follow from it', () => {
    const { on, readings } = between([4700, 4700, 4700]);
    on.add({ kind: 'explained', readings: readings as never, as: 'not-known', note: '' });
    on.read(0, 0, 1, { kind: 'tone', sounded: true });
    // Through a part a tone says nothing. Through what is not known it is a tone like any other: it joins, and the doubt stays.
    const joined = () => [...deriveMap(on.events).settings.values()][0]?.settled.joins.length;
    expect([joined(), deriveMap(on.events).complete]).toEqual([1, false]);
    on.add({ kind: 'explained', readings: readings as never, as: 'part', note: '' });
    expect(joined()).toBe(0);
  });

  it('is the same read event by event and all at once', () => {
    const { on, readings } = between([4700, 4700, 4700]);
    on.add({ kind: 'explained', readings: readings as never, as: 'not-known', note: '' });
    on.read(0, 0, 1, CLOSED);
    const mapper = createMapper();
    on.events.forEach((_, at) => mapper(on.events.slice(0, at + 1)));
    expect([...mapper(on.events).settings]).toEqual([...deriveMap(on.events).settings]);
  });
});
