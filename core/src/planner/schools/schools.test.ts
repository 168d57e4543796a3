import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveMap, factAt, prove, type SwitchMap } from '../../continuity/index.js';
import { partitionFromGroups, type Pattern } from '../../partition/index.js';
import { EXTENTS, ORDERS, PLAIN_APPROACH, readingsAsked, type Approach } from '../../log/index.js';
import { type SettingId } from '../../switch/index.js';
import { bench, byRows, mapHidden, switchLikePattern, type Bench } from '../../testing/generated.js';
import { runs } from '../../testing/runs.js';
import { agrees, certify } from './certify.js';
import { blankField, runCourse } from './course.js';
import { byTime } from './by-time.js';
import { EMPTY_HANDS, ORDINARY_HANDS } from '../hands/hands.js';
import { fieldOf } from '../field/field-of-map.js';
import { ladder } from './ladder.js';
import { likelyFirst, pairFirst, positionFirst } from './plain-schools.js';
import { planNext } from '../next/plan.js';
import { playMove } from '../field/field.js';
import { tellApart } from './tell-apart.js';
import { workingPairs } from './working-pairs.js';
import { type Move } from '../hands/move.js';
import { type Planner } from './situation.js';

const CLIPS = { ...ORDINARY_HANDS, clipsOwned: 24 };
const joinedBy = (hidden: Pattern) => (setting: number, a: number, b: number) =>
  hidden[setting]?.[a] === hidden[setting]?.[b];
const play = (hidden: Pattern, planner: Planner, costs = CLIPS, deep = true) =>
  runCourse(
    blankField(hidden[0]?.length ?? 0, hidden.length),
    { hands: EMPTY_HANDS, costs, planner, joined: joinedBy(hidden) },
    { deep },
  );

const anyApproach: fc.Arbitrary<Approach> = fc.record({
  order: fc.constantFrom(...ORDERS),
  extent: fc.constantFrom(...EXTENTS),
  clips: fc.constantFrom(0, 2, 5, 24),
  hands: fc.constant(null),
});

/** Every pair of every setting of a map against the hidden truth, and a proof for each. */
function expectTruth(map: SwitchMap, hidden: Pattern, on: Bench): void {
  hidden.forEach((truth, index) => {
    const settled = map.settings.get(on.settings[index] as SettingId)?.settled;
    if (!settled) throw new Error('no such setting');
    truth.forEach((net, a) => {
      for (let b = 0; b < a; b += 1) {
        const fact = factAt(settled, a, b);
        expect(fact.joined).toBe(net === truth[b]);
        const proof = prove(settled, a, b);
        expect(proof?.joined).toBe(fact.joined);
        expect(proof?.readings.length).toBeGreaterThan(0);
      }
    });
  });
}

describe('every school, and any switching between them', () => {
  it('completes the map, and finds the hidden truth with a proof for every fact', () => {
    fc.assert(
      fc.property(
        switchLikePattern(8, 3),
        fc.array(anyApproach, { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 1, max: 6 }),
        (hidden, approaches, each) => {
          const on = bench(hidden[0]?.length ?? 0, hidden.length);
          let prompts = 0;
          mapHidden(hidden, on, {
            onPrompt: () => {
              const approach = approaches[Math.floor(prompts / each)];
              if (prompts % each === 0 && approach) on.add({ kind: 'approached', approach });
              prompts += 1;
            },
          });
          on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'time', clips: 8 } });
          const { map } = mapHidden(hidden, on);
          expect(map.complete).toBe(true);
          expectTruth(map, hidden, on);
        },
      ),
      { numRuns: runs(80) },
    );
  });

  it('asks no pair and no bundle that follows from what is known', () => {
    fc.assert(
      fc.property(switchLikePattern(9, 3), anyApproach, (hidden, approach) => {
        const on = bench(hidden[0]?.length ?? 0, hidden.length);
        on.add({ kind: 'approached', approach });
        const { asked } = mapHidden(hidden, on);
        expect(new Set(asked).size).toBe(asked.length);
      }),
      { numRuns: runs(60) },
    );
  });

  it('runs the same in places alone, without a log, as through the map', () => {
    fc.assert(
      fc.property(
        switchLikePattern(7, 3),
        fc.constantFrom(...ORDERS),
        fc.boolean(),
        (hidden, order, clips) => {
          const on = bench(hidden[0]?.length ?? 0, hidden.length);
          on.add({
            kind: 'approached',
            approach: { ...PLAIN_APPROACH, order, clips: clips ? 24 : 0, hands: ORDINARY_HANDS },
          });
          const run = mapHidden(hidden, on);
          const planner = {
            position: positionFirst,
            pair: pairFirst,
            likely: likelyFirst,
            time: clips ? ladder : byTime,
            expected: clips ? ladder : byTime,
          }[order];
          const field = blankField(hidden[0]?.length ?? 0, hidden.length);
          const hands = { ...EMPTY_HANDS, setting: 0 };
          const course = runCourse(
            field,
            { hands, costs: clips ? CLIPS : ORDINARY_HANDS, planner, joined: joinedBy(hidden) },
            { deep: true },
          );
          // In a low bundle the last pair of a sweep follows from silence; hands that sweep touch it all the same.
          if (clips) expect(course.readings).toBeLessThanOrEqual(run.readings);
          else expect(course.readings).toBe(run.readings);
        },
      ),
      { numRuns: runs(60) },
    );
  });

  it('counts no more clips than are owned, and none after a bundle was passed over', () => {
    const hidden = [partitionFromGroups(9, [[0, 4]]), partitionFromGroups(9, [[0, 5]])];
    for (const clips of [2, 3, 5]) {
      const sizes: number[] = [];
      runCourse(
        blankField(9, 2),
        {
          hands: EMPTY_HANDS,
          costs: { ...CLIPS, clipsOwned: clips },
          planner: ladder,
          joined: joinedBy(hidden),
        },
        {
          onMove: (move) => move.kind === 'hold' && sizes.push(move.red.length),
        },
      );
      expect(Math.max(...sizes)).toBe(clips);
    }
    const on = bench(9, 2);
    on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'time', clips: 8 } });
    for (let skips = 0; ; skips += 1) {
      const plan = planNext(deriveMap(on.events), on.settings[0] ?? null);
      if (plan.kind !== 'ask') throw new Error('nothing asked');
      if (skips > 0 && plan.ask.kind !== 'bundle') break;
      const prompt = { id: on.newId<never>(), ask: plan.ask };
      on.add({ kind: 'prompt-shown', prompt });
      on.add({ kind: 'skipped', prompt, reason: 'later' });
      expect(skips).toBeLessThan(3);
    }
  });
});

describe('positions that spring back', () => {
  it('come together at the end, whether a setting is walked or a pair is held; one that is held now is finished first', () => {
    const field = blankField(3, 4);
    const held = field.settings.map((setting, at) => ({ ...setting, held: at === 1 || at === 3 }));
    const at = (setting: number | null) => ({
      field: { ...field, settings: held },
      hands: { ...EMPTY_HANDS, setting },
      costs: ORDINARY_HANDS,
      chance: () => 0.5,
    });
    const visited: number[] = [];
    const now = at(0);
    for (let guard = 0; guard < 20; guard += 1) {
      const move = positionFirst(now);
      if (move?.kind !== 'sweep') break;
      visited.push(move.setting);
      playMove(now.field, move, () => false);
      now.hands = { ...now.hands, setting: move.setting };
    }
    expect([...new Set(visited)]).toEqual([0, 2, 3, 1]);
    const fresh = at(null);
    fresh.field.settings = blankField(3, 4).settings.map((one, index) => ({ ...one, held: index === 1 }));
    expect(pairFirst(fresh)).toMatchObject({ kind: 'hold', settings: [0, 2, 3, 1] });
    expect(positionFirst({ ...fresh, hands: { ...EMPTY_HANDS, setting: 1 } })).toMatchObject({ setting: 1 });
  });
});

describe('a bundle that says nothing', () => {
  it('is not asked again: the setting goes on in pairs, and the map is complete at the end', () => {
    const hidden = [partitionFromGroups(8, [[0, 5]]), partitionFromGroups(8, [])];
    const on = bench(8, 2);
    on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'time', clips: 24 } });
    const between: Bench = {
      ...on,
      add: (what) =>
        on.add(
          what.kind === 'answered' && what.act === 'bundle'
            ? {
                ...what,
                readings: what.readings.map((one) => ({ ...one, value: { kind: 'ohms', ohms: 900 } })),
              }
            : what,
        ),
    };
    const { map, asked } = mapHidden(hidden, between);
    expect(map.complete).toBe(true);
    expect(asked.filter((one) => one.includes('+')).length).toBeGreaterThan(0);
    expect(new Set(asked).size).toBe(asked.length);
  });
});

describe('working pairs', () => {
  it('finds the commons and every throw of theirs, and leaves throws against throws unknown', () => {
    const hidden = [1, 2, 3, 4].map((way) =>
      partitionFromGroups(10, [
        [0, way],
        [5, 5 + way],
      ]),
    );
    const on = bench(10, 4);
    on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, extent: 'working-pairs' } });
    const run = mapHidden(hidden, on);
    const whole = mapHidden(hidden, bench(10, 4));
    expect(run.readings).toBeLessThan(0.7 * whole.readings);
    expect(planNext(run.map, null)).toMatchObject({ kind: 'working-pairs-done' });
    expect(run.map.complete).toBe(false);
    hidden.forEach((truth, index) => {
      const settled = run.map.settings.get(on.settings[index] as SettingId)?.settled;
      for (const common of [0, 5]) {
        const throwAway = truth.findIndex((net, place) => place !== common && net === truth[common]);
        expect(settled && factAt(settled, common, throwAway).joined).toBe(true);
      }
    });
  });

  it('ends on every switch, and claims nothing false', () => {
    fc.assert(
      fc.property(switchLikePattern(9, 4), (hidden) => {
        const field = blankField(hidden[0]?.length ?? 0, hidden.length);
        const course = runCourse(field, {
          hands: EMPTY_HANDS,
          costs: ORDINARY_HANDS,
          planner: workingPairs,
          joined: joinedBy(hidden),
        });
        const all = play(hidden, positionFirst, ORDINARY_HANDS);
        expect(course.readings).toBeLessThanOrEqual(1.5 * all.readings + 2);
      }),
      { numRuns: runs(60) },
    );
  });
});

describe('what the switch may be', () => {
  const selector = (order: number[]) =>
    [1, 2, 3, 4].map((way) => partitionFromGroups(8, [[0, order[way - 1] as number]]));
  const one = { name: 'one', pattern: selector([1, 2, 3, 4]) };
  const two = { name: 'two', pattern: selector([1, 2, 4, 3]) };

  it('is told apart by a probe that half of it says yes to, then proved in the certificate', () => {
    const situation = {
      field: blankField(8, 4),
      hands: EMPTY_HANDS,
      costs: ORDINARY_HANDS,
      chance: () => 0.1,
    };
    const move = tellApart([one, two])(situation) as Extract<Move, { kind: 'sweep' }>;
    expect([2, 3]).toContain(move.setting);
    playMove(situation.field, move, joinedBy(two.pattern));
    expect([one, two].filter((hypothesis) => agrees(situation.field, hypothesis))).toEqual([two]);
    expect(tellApart([one, two])(situation)).toBeNull();
    const nets = 7;
    expect(play(two.pattern, certify(two), ORDINARY_HANDS).readings).toBe(
      4 * (8 - nets + (nets * (nets - 1)) / 2),
    );
  });

  it('with clips takes one bundle for each net but one, and a join for each terminal beyond', () => {
    expect(play(one.pattern, certify(one)).readings).toBe(4 * 7);
  });

  it('never makes a map of something else: answers win over what was expected', () => {
    fc.assert(
      fc.property(switchLikePattern(7, 3), switchLikePattern(7, 3), (hidden, wrong) => {
        const size = hidden[0]?.length ?? 0;
        if (size !== wrong[0]?.length || hidden.length !== wrong.length) return;
        const on = bench(size, hidden.length);
        on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'expected' } });
        const { map } = mapHidden(hidden, on, {
          outlook: { hypotheses: [{ name: 'wrong', pattern: wrong }] },
        });
        expect(map.complete).toBe(true);
        expectTruth(map, hidden, on);
      }),
      { numRuns: runs(150) },
    );
  });
});

describe('a field of a map', () => {
  it('leaves out what is in dispute and what was skipped, and knows a handle that springs back', () => {
    const on = byRows(bench(4, 2));
    const plan = planNext(deriveMap(on.events), null);
    if (plan.kind !== 'ask') throw new Error('nothing asked');
    expect(readingsAsked(plan.ask)).toHaveLength(3);
    const prompt = { id: on.newId<never>(), ask: plan.ask };
    on.add({ kind: 'prompt-shown', prompt });
    on.add({ kind: 'skipped', prompt, reason: 'cannot-reach' });
    const field = fieldOf(deriveMap(on.events));
    expect(field.settings[0]?.leaveOut.has(0, 1)).toBe(true);
    expect(field.settings[1]?.leaveOut.has(0, 1)).toBe(false);
    expect(field.settings.map(({ held }) => held)).toEqual([false, false]);
  });
});
