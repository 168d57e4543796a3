import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveMap } from '../../continuity/index.js';
import { liveEvents, PLAIN_APPROACH, type Order, type Value } from '../../log/index.js';
import { bench, byRows, CLOSED, OPEN } from '../../testing/generated.js';
import { runs } from '../../testing/runs.js';
import { handleAt } from '../hands/handle.js';
import { planNext } from './plan.js';

const MIDDLE: Value = { kind: 'ohms', ohms: 150 };

describe('what is left', () => {
  it('is looked at again where readings lie between closed and open: nobody passed it over', () => {
    const on = byRows(bench(3, 2));
    on.read(0, 0, 1, CLOSED);
    on.read(0, 0, 2, MIDDLE);
    on.read(0, 1, 2, MIDDLE);
    on.read(1, 0, 1, MIDDLE);
    on.read(1, 0, 2, CLOSED);
    const map = deriveMap(on.events);
    expect(planNext(map, handleAt(map)).kind).toBe('look-again');
  });

  it.each<[string, [number, number, Value][], string]>([
    ['open one way and closed with the leads swapped', [[0, 1, CLOSED], [0, 2, OPEN], [2, 0, CLOSED]], 'look-again'], // prettier-ignore
    ['two that join what a third parts', [[0, 1, CLOSED], [1, 2, CLOSED], [0, 2, OPEN]], 'disputed'], // prettier-ignore
  ])('is asked again where %s: nobody passed it over', (_, readings, kind) => {
    const on = bench(3, 1);
    on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'likely' } });
    for (const [a, b, value] of readings) on.read(0, a, b, value);
    const map = deriveMap(on.events);
    expect(planNext(map, handleAt(map)).kind).toBe(kind);
  });

  it('is said to be passed over only where something was, on any log (random readings in any order)', () => {
    const value = fc.constantFrom<Value>(CLOSED, OPEN, MIDDLE, { kind: 'tone', sounded: true });
    const reading = fc.tuple(fc.nat(1), fc.nat(3), fc.nat(3), value);
    const order = fc.constantFrom<Order>('position', 'pair', 'likely', 'time');
    const kinds = new Set<string>();
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 14 }), order, (readings, chosen) => {
        const on = bench(4, 2);
        on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: chosen } });
        for (const [setting, a, b, what] of readings) if (a !== b) on.read(setting, a, b, what);
        const map = deriveMap(on.events);
        const plan = planNext(map, handleAt(map));
        kinds.add(plan.kind);
        expect(liveEvents(map.log, 'skipped')).toEqual([]);
        expect(plan.kind).not.toBe('skipped-left');
        // What is not known in full is never called done.
        if (plan.kind === 'done' || plan.kind === 'rechecked') expect(map.complete).toBe(true);
      }),
      { numRuns: runs(300) },
    );
    expect([...kinds].toSorted()).toEqual(['ask', 'disputed', 'done', 'look-again']);
  });
});
