import { describe, expect, it } from 'vitest';
import { createMapper, deriveMap } from '../continuity/index.js';
import { planNext } from '../planner/index.js';
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
      expect([...map.settings.values()][0]?.coverage).toMatchObject({ lookAgain: 1, unknown: 1 });
      // Read once more it is asked once more: the person looked at it.
      on.read(0, 0, 1, { kind: 'ohms', ohms });
      expect(planOf(on).kind).toBe('look-again');
    },
  );

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
    // A tone through something unknown is a tone like any other: it joins, and the doubt stays beside it.
    const map = deriveMap(on.events);
    expect(map.complete).toBe(false);
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
