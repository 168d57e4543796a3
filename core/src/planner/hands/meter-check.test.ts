import { describe, expect, it } from 'vitest';
import { deriveMap } from '../../continuity/index.js';
import { ORDINARY_METER } from '../../log/index.js';
import { bench, CLOSED, OPEN } from '../../testing/generated.js';
import { checkDue, doubtfulActs } from './meter-check.js';
import { planNext } from '../next/plan.js';

/** The clock of the test bench stands still at this time. */
const THEN = '2026-01-05T10:00:00.000Z';
const LATER = '2026-01-05T10:10:00.000Z';
const good = { kind: 'meter-checked', leadsTogether: CLOSED, meter: ORDINARY_METER } as const;

describe('the check of the meter', () => {
  it('is due at first, after a pause, and after forty opens in a row; a join ends the run, a check begins it anew', () => {
    const on = bench(12, 2);
    expect(checkDue(deriveMap(on.events.slice(0, 1)), null)).toBe('first');
    const due = () => checkDue(deriveMap(on.events), THEN);
    expect(due()).toBeNull();
    expect(checkDue(deriveMap(on.events), LATER)).toBe('idle');
    for (let read = 0; read < 39; read += 1) on.read(0, 0, 1 + (read % 11), OPEN);
    expect(due()).toBeNull();
    on.read(1, 0, 1, OPEN);
    expect(due()).toBe('opens');
    expect(checkDue(deriveMap(on.events), null)).toBeNull();
    expect(planNext(deriveMap(on.events), null, { now: THEN })).toEqual({
      kind: 'check-meter',
      why: 'opens',
    });
    on.add(good);
    expect(due()).toBeNull();
  });

  // By hand: ten minutes after the last reading; 30 minutes’ sleep is not due yet, 5 is; one on the mains never sleeps.
  it.each([
    [10, 'idle'],
    [5, 'idle'],
    [30, null],
    [null, null],
  ])('waits for the sleep of this very meter: %s minutes, %s', (autoOffMinutes, due) => {
    const on = bench(4, 1);
    on.add({ ...good, meter: { ...ORDINARY_METER, autoOffMinutes } });
    expect(checkDue(deriveMap(on.events), LATER)).toBe(due);
  });

  it('failed, makes what was read since the last good one doubtful, until that is undone or the check is', () => {
    const on = bench(4, 1);
    on.read(0, 0, 1, OPEN);
    on.add(good);
    on.read(0, 0, 2, OPEN);
    on.read(0, 0, 3, CLOSED);
    const acts = on.events.filter(({ what }) => what.kind === 'answered').map(({ id }) => id);
    expect(doubtfulActs(deriveMap(on.events))).toEqual([]);
    const failed = on.add({ kind: 'meter-failed', leadsTogether: OPEN });
    expect(doubtfulActs(deriveMap(on.events))).toEqual(acts.slice(1));
    expect(checkDue(deriveMap(on.events), null)).toBe('failed');
    on.add(good);
    expect(checkDue(deriveMap(on.events), null)).toBeNull();
    expect(doubtfulActs(deriveMap(on.events))).toEqual(acts.slice(1));
    on.add({ kind: 'withdrawn', target: acts[1] as never, basedOn: null });
    expect(doubtfulActs(deriveMap(on.events))).toEqual(acts.slice(2));
    on.add({ kind: 'withdrawn', target: failed.id, basedOn: null });
    expect(doubtfulActs(deriveMap(on.events))).toEqual([]);
  });
});
