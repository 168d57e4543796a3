import { setImmediate } from 'node:timers/promises';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveMap } from '../../continuity/index.js';
import { partitionFromGroups, type Pattern } from '../../partition/index.js';
import { PLAIN_APPROACH, type JobEvent, type Prompt, type Value } from '../../log/index.js';
import { type PromptId, type ReadingId, type SettingId } from '../../switch/index.js';
import { bench, CLOSED, mapHidden, OPEN, switchLikePattern, type Bench } from '../../testing/generated.js';
import { fewRuns } from '../../testing/runs.js';
import { ORDINARY_HANDS } from '../hands/hands.js';
import { planNext } from '../next/plan.js';
import { recheckForecast } from './recheck-plan.js';
import { recheckLeft, unprovenReadings } from './recheck.js';

describe('the re-check', () => {
  const FLIPPED = (value: Value): Value => (value.kind === 'over' ? CLOSED : OPEN);

  /** A mapped and re-checked switch, with how many readings the re-check took. */
  const rechecked = (hidden: Pattern, clips = 0) => {
    const on = bench(hidden[0]?.length ?? 0, hidden.length);
    if (clips > 0) on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'time', clips } });
    mapHidden(hidden, on);
    const before = readingsOf(on).length;
    const told = planNext(deriveMap(on.events), null);
    const foreseen = recheckForecast(deriveMap(on.events)).readings;
    on.add({ kind: 'recheck-begun' });
    const run = mapHidden(hidden, on);
    return { on, run, told, foreseen, before, extra: readingsOf(on).length - before };
  };
  const readingsOf = (on: Bench) =>
    on.events.flatMap((event) => (event.what.kind === 'answered' ? event.what.readings : []));
  /** The same log with one reading that says the opposite. */
  const withSlip = (on: Bench, slip: ReadingId): JobEvent[] =>
    on.events.map((event) =>
      event.what.kind === 'answered'
        ? {
            ...event,
            what: {
              ...event.what,
              readings: event.what.readings.map((reading) =>
                reading.id === slip ? { ...reading, value: FLIPPED(reading.value) } : reading,
              ),
            },
          }
        : event,
    );
  /** Maps with one answer of that number wrong; false when there were not so many. */
  const mapWithSlip = (hidden: Pattern, on: Bench, slip: number): boolean => {
    let given = 0;
    const slipping: Bench = {
      ...on,
      add: (what) => {
        if (what.kind !== 'answered') return on.add(what);
        const readings = what.readings.map((reading) => {
          given += 1;
          return given - 1 === slip ? { ...reading, value: FLIPPED(reading.value) } : reading;
        });
        return on.add({ ...what, readings });
      },
    };
    mapHidden(hidden, slipping);
    return given > slip;
  };
  const shows = (events: JobEvent[]) =>
    [...deriveMap(events).settings.values()].some(
      ({ settled }) => settled.contradictions.length > 0 || settled.lookAgain.length > 0,
    );

  it('would have shown any single wrong reading: every one of them, flipped after the fact', () => {
    let [slips, shown, hiddenBefore] = [0, 0, 0];
    fc.assert(
      fc.property(switchLikePattern(8, 3), (hidden) => {
        const { on, run, told, foreseen, before } = rechecked(hidden);
        expect(planNext(run.map, null).kind).toBe('rechecked');
        expect(run.map.complete).toBe(true);
        for (const { settled } of run.map.settings.values())
          expect(unprovenReadings(settled, run.map.contacts).size).toBe(0);
        if (told.kind === 'done') expect(foreseen).toBeGreaterThan(0);
        for (const { id } of readingsOf(on)) {
          slips += 1;
          if (shows(withSlip(on, id))) shown += 1;
        }
        const plain = on.events.slice(
          0,
          on.events.findIndex(({ what }) => what.kind === 'recheck-begun'),
        );
        expect(plain.length).toBeGreaterThan(0);
        for (const { id } of readingsOf(on).slice(0, before))
          if (!shows(withSlip({ ...on, events: plain }, id))) hiddenBefore += 1;
      }),
      { numRuns: 40 },
    );
    expect(shown).toBe(slips);
    // Without it an efficient plan cannot notice its own mistakes.
    expect(hiddenBefore).toBeGreaterThan(0);
  });

  it('shows any single wrong answer given while mapping, after which the plan went its own way', () => {
    let [slips, early] = [0, 0];
    fc.assert(
      fc.property(switchLikePattern(7, 2), fc.nat(15), (hidden, slip) => {
        const on = bench(hidden[0]?.length ?? 0, hidden.length);
        if (!mapWithSlip(hidden, on, slip)) return;
        slips += 1;
        if (shows(on.events)) early += 1;
        on.add({ kind: 'recheck-begun' });
        mapHidden(hidden, on);
        expect(shows(on.events)).toBe(true);
      }),
      { numRuns: 150 },
    );
    expect(slips).toBeGreaterThan(40);
    expect(early / slips).toBeLessThan(0.2);
  });

  it('with clips too: every reading and every bundle, flipped after the fact or wrong while mapping', async () => {
    let [slips, bundles] = [0, 0];
    const eight = switchLikePattern(8, 3).filter((hidden) => (hidden[0]?.length ?? 0) > 5);
    await fc.assert(
      fc.asyncProperty(eight, fc.nat(30), async (hidden, slip) => {
        // The runner's worker has to answer its parent now and then.
        await setImmediate();
        const { on, run } = rechecked(hidden, 24);
        expect(planNext(run.map, null).kind).toBe('rechecked');
        for (const { id, red, black } of readingsOf(on)) {
          slips += 1;
          if (red.length + black.length > 2) bundles += 1;
          expect(shows(withSlip(on, id))).toBe(true);
        }
        const wrong = bench(hidden[0]?.length ?? 0, hidden.length);
        wrong.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'time', clips: 24 } });
        if (!mapWithSlip(hidden, wrong, slip)) return;
        wrong.add({ kind: 'recheck-begun' });
        mapHidden(hidden, wrong);
        expect(shows(wrong.events)).toBe(true);
      }),
      { numRuns: fewRuns(25) },
    );
    expect(slips).toBeGreaterThan(fewRuns(200));
    expect(bundles).toBeGreaterThan(fewRuns(40));
  });

  it('ties terminals so that one net of a setting at most is on both leads, no more than there are clips', () => {
    const hidden = [1, 2, 3].map((way) =>
      partitionFromGroups(12, [
        [0, way],
        [6, 6 + way],
      ]),
    );
    const sizes: number[] = [];
    for (const clips of [4, 8, 24]) {
      const on = bench(12, 3);
      mapHidden(hidden, on);
      on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, clips } });
      const plain = recheckForecast(deriveMap(on.events), ORDINARY_HANDS);
      const clipped = recheckForecast(deriveMap(on.events));
      expect(clipped.seconds).toBeLessThan(plain.seconds);
      on.add({ kind: 'recheck-begun' });
      const { map } = mapHidden(hidden, on);
      for (const { reading } of map.tape) {
        const tied = reading.red.length + reading.black.length;
        if (tied <= 2) continue;
        sizes.push(tied / clips);
        const nets = hidden[on.settings.indexOf(reading.setting)] ?? [];
        const [red, black] = [reading.red, reading.black].map(
          (side) => new Set(side.map((id) => nets[on.terminals.indexOf(id)])),
        ) as [Set<number>, Set<number>];
        const split = [...red].filter((net) => black.has(net)).length;
        expect(split).toBeLessThanOrEqual(1);
        expect(reading.value).toEqual(split === 1 ? CLOSED : OPEN);
      }
      expect(planNext(map, null).kind).toBe('rechecked');
    }
    expect(Math.max(...sizes)).toBeLessThanOrEqual(1);
  });

  it('takes as many joins as half the leaves, rounded up, and one more open for each two nets', () => {
    const hidden = [partitionFromGroups(9, [[0, 1, 2, 3, 4]])];
    const { foreseen, extra } = rechecked(hidden);
    // One net of five, mapped as a star of four leaves: two joins. Five nets: ten opens.
    expect(extra).toBe(2 + 10);
    expect(foreseen).toBe(12);
  });

  it('reads a net of two with the leads swapped, and never forecasts less than it takes', () => {
    const hidden = [partitionFromGroups(2, [[0, 1]])];
    const { on, extra, told, foreseen } = rechecked(hidden);
    expect(extra).toBe(1);
    const [first, second] = readingsOf(on);
    expect([second?.red, second?.black]).toEqual([first?.black, first?.red]);
    if (told.kind === 'done') expect(foreseen).toBe(extra);
  });

  it('is asked for, can be taken back, and says nothing before the map is settled', () => {
    const on = bench(3, 1);
    on.add({ kind: 'recheck-begun' });
    expect(planNext(deriveMap(on.events), null)).toMatchObject({ kind: 'ask', why: 'map' });
    mapHidden([partitionFromGroups(3, [[0, 1]])], on);
    expect(planNext(deriveMap(on.events), null).kind).toBe('rechecked');
  });

  it('leaves what was skipped to the end, and then says so instead of asking it again', () => {
    const on = bench(3, 1);
    mapHidden([partitionFromGroups(3, [[0, 1]])], on);
    on.add({ kind: 'recheck-begun' });
    const skipNext = (): ReturnType<typeof planNext> => {
      const plan = planNext(deriveMap(on.events), null);
      if (plan.kind !== 'ask') return plan;
      const prompt: Prompt = { id: on.newId<PromptId>(), ask: plan.ask };
      on.add({ kind: 'prompt-shown', prompt });
      on.add({ kind: 'skipped', prompt, reason: 'cannot-reach' });
      return skipNext();
    };
    expect(skipNext()).toMatchObject({ kind: 'skipped-left', pairs: 2 });
  });

  it('does not trust the open that tells which pair closed a low bundle, until that pair is read', () => {
    // Low: 0 with 1 or with 2; and 0-2 open, so it was 0-1. Had 0-2 been closed, nothing would contradict it.
    const on = bench(3, 1);
    const bundle = on.bundle(0, [0], [1, 2], CLOSED);
    const open = on.read(0, 0, 2, OPEN);
    const settledBy = () => {
      const map = deriveMap(on.events);
      const settled = map.settings.get(on.settings[0] as SettingId)?.settled;
      if (!settled) throw new Error('no setting');
      return { settled, contacts: map.contacts };
    };
    const before = settledBy();
    expect(before.settled.nets).toEqual([0, 0, 2]);
    const loose = recheckLeft(before.settled, before.contacts).loose.map(({ reading }) => reading);
    expect(new Set(loose)).toEqual(new Set([bundle.id, open.id]));
    expect(recheckLeft(before.settled, before.contacts).joins).toEqual([[1, 0]]);
    // Read, 0-1 stands by itself and explains the bundle: only a second open is wanted of 0-2.
    const joined = on.read(0, 1, 0, CLOSED);
    const after = settledBy();
    expect(recheckLeft(after.settled, after.contacts).loose).toEqual([]);
    expect(unprovenReadings(after.settled, after.contacts)).toEqual(new Set([open.id]));
    expect(shows(withSlip(on, joined.id))).toBe(true);
  });
});
