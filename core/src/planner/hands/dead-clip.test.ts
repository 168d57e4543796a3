import { describe, expect, it } from 'vitest';
import { createMapper, deriveMap, factAt, type SwitchMap } from '../../continuity/index.js';
import { PLAIN_APPROACH, readingsAsked, type Deed, type Value } from '../../log/index.js';
import { partitionFromGroups, type Partition, type Pattern } from '../../partition/index.js';
import {
  seededRandom,
  shuffled,
  type PromptId,
  type ReadingId,
  type SettingId,
  type TerminalId,
} from '../../switch/index.js';
import { bench, CLOSED, OPEN, type Bench } from '../../testing/generated.js';
import { runs } from '../../testing/runs.js';
import { answerTo } from '../field/answer.js';
import { planNext } from '../next/plan.js';
import { lowsAsk } from '../next/lows-left.js';
import { suspectClips } from '../next/suspects.js';
import { clipChangeFor, clipTouch } from './clips.js';

/** How a clip fails: it comes loose at a reading, is loose from the start, or is loose at some readings only. */
type Failure = { clip: TerminalId; from: number; every: number };

/** A clip that leans on another lug while it is on: from a bundle on, so many times. */
type Lean = { clip: TerminalId; onto: TerminalId; from: number; until: number };

interface Hands {
  failures: Failure[];
  leans?: Lean[];
  /** Whether they touch and wiggle every clip before it comes off; else they say that all sounded. */
  truthful: boolean;
  /** Whether they type a pair of their own in the middle, and so take the clips off untouched. */
  hasty?: boolean;
}

/** Maps a hidden pattern with clips of which one may fail, until the plan asks for nothing more. */
function mapWithClips(hidden: Pattern, on: Bench, { failures, truthful, hasty = false, leans = [] }: Hands) {
  const mapper = createMapper();
  let at = on.settings[0] as SettingId;
  let [bundles, closings, hastened] = [0, 0, false];
  let loose = failures;
  const plans: string[] = [];
  const looseAt = (clip: TerminalId) => loose.find((one) => one.clip === clip && bundles >= one.from);
  const isLoose = (clip: TerminalId) => looseAt(clip) !== undefined;
  for (let guard = 0; guard < 3000; guard += 1) {
    const map = mapper(on.events);
    const plan = planNext(map, at);
    const ask = plan.kind === 'ask' ? plan.ask : null;
    if (plan.kind !== 'ask') plans.push(plan.kind);
    if (hasty && !hastened && map.clips.now.red.length > 3) {
      hastened = true;
      on.read(0, 0, 1, hidden[0]?.[0] === hidden[0]?.[1] ? CLOSED : OPEN);
      continue;
    }
    const wanted = clipTouch(map, ask)?.touched ?? [];
    if (wanted.length > 0) {
      const silent = wanted.filter((clip) => truthful && isLoose(clip));
      on.add(clipTouch(map, ask, silent) as Deed);
      if (clipChangeFor(map, ask)?.closing === true) closings += wanted.length;
      // Found silent, it is put on anew, and holds.
      loose = loose.filter((one) => !silent.includes(one.clip));
      continue;
    }
    if (plan.kind === 'clips-unproved') {
      on.add({
        kind: 'clips-doubted',
        clips: plan.uses.map(({ terminal, readings }) => ({ terminal, readings })),
      });
      continue;
    }
    const lie = plan.kind === 'disputed' ? lowBundleIn(map, plan.setting) : null;
    if (lie) {
      on.add({ kind: 'superseded', reading: lie, replacement: null, source: 'typed' });
      continue;
    }
    if (!ask) return { map, plan, plans, closings };
    const prompt = { id: on.newId<PromptId>(), ask };
    on.add({ kind: 'prompt-shown', prompt });
    const values = new Map<TerminalId | SettingId, Value>();
    for (const { setting, red, black, key } of readingsAsked(ask)) {
      at = setting;
      const plainTruth = hidden[on.settings.indexOf(setting)] as Partition;
      const several = red.length + black.length > 2;
      if (several) bundles += 1;
      const touching = (lead: readonly TerminalId[]) =>
        lead.length > 1
          ? lead.filter((clip) => !(isLoose(clip) && bundles % (looseAt(clip)?.every ?? 1) === 0))
          : lead;
      const leaning = leans.find(
        ({ clip, from, until }) =>
          several && [...red, ...black].includes(clip) && bundles >= from && bundles < until,
      );
      const truth = leaning
        ? mergedAt(plainTruth, on.terminals.indexOf(leaning.clip), on.terminals.indexOf(leaning.onto))
        : plainTruth;
      const joined = touching(red).some((a) =>
        touching(black).some((b) => truth[on.terminals.indexOf(a)] === truth[on.terminals.indexOf(b)]),
      );
      values.set(key, joined ? CLOSED : OPEN);
    }
    on.add(answerTo(prompt, { values, source: 'typed', inCircuit: false }, on.newId));
  }
  throw new Error('the plan did not come to an end');
}

/** A partition with two nets made one. */
const mergedAt = (nets: Partition, one: number, other: number): Partition =>
  partitionFromGroups(nets.length, [...nets.map((net, place) => [net, place]), [one, other]]);

/** A low bundle of what contradicts in a setting. */
function lowBundleIn(map: SwitchMap, setting: SettingId): ReadingId | null {
  const suspects = map.settings.get(setting)?.settled.contradictions.flatMap(({ joins }) => joins) ?? [];
  const found = map.tape.find(
    ({ reading: { id, red, black } }) => suspects.includes(id) && red.length + black.length > 2,
  );
  return found?.reading.id ?? null;
}

/** Pairs that a map says differently from the truth. */
function wrongIn(map: SwitchMap, hidden: Pattern, on: Bench): number {
  return on.settings.reduce((sum, id, index) => {
    const settled = map.settings.get(id)?.settled;
    const truth = hidden[index] as Partition;
    let wrong = 0;
    for (let a = 0; a < truth.length; a += 1)
      for (let b = 0; b < a; b += 1) {
        const { joined } = settled ? factAt(settled, a, b) : { joined: null };
        if (joined !== null && joined !== (truth[a] === truth[b])) wrong += 1;
      }
    return sum + wrong;
  }, 0);
}

/** A switch of a seed: some lugs, some positions, in each of them some lugs joined. */
function someSwitch(random: () => number): { lugs: number; hidden: Pattern } {
  const lugs = 6 + Math.floor(random() * 4);
  const hidden = Array.from({ length: 2 + Math.floor(random() * 2) }, () => {
    const order = shuffled(
      Array.from({ length: lugs }, (_, place) => place),
      random,
    );
    const pairs = 1 + Math.floor(random() * 3);
    return partitionFromGroups(
      lugs,
      Array.from({ length: pairs }, (_, at) => order.slice(2 * at, 2 * at + 2)),
    );
  });
  return { lugs, hidden };
}

const withClips = (lugs: number, settings: number, seed: number): Bench => {
  const on = bench(lugs, settings, seed);
  on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'time', clips: lugs } });
  return on;
};

describe('a clip that makes no contact', () => {
  it('makes no wrong map complete where every closing touch is answered truthfully, on 12 switches', () => {
    let [voided, bundled] = [0, 0];
    for (let sample = 0; sample < 12; sample += 1) {
      const random = seededRandom(sample + 1);
      const { lugs, hidden } = someSwitch(random);
      for (let fault = 0; fault < runs(8); fault += 1) {
        const on = withClips(lugs, hidden.length, sample + 1);
        const clip = on.terminals[Math.floor(random() * lugs)] as TerminalId;
        const failure = { clip, from: Math.floor(random() * 20), every: 1 + Math.floor(random() * 2) };
        // Every fourth time another clip fails too.
        const other = on.terminals[Math.floor(random() * lugs)] as TerminalId;
        const failures =
          fault % 4 === 3 && other !== clip ? [failure, { ...failure, clip: other, from: 2 }] : [failure];
        // Every third time the clips come off untouched in the middle.
        const hasty = fault % 3 === 2;
        const { map } = mapWithClips(hidden, on, { failures, truthful: true, hasty });
        expect(map.complete).toBe(true);
        expect(wrongIn(map, hidden, on)).toBe(0);
        bundled += map.clips.uses.length > 0 ? 1 : 0;
        voided += map.clips.uses.some(({ standing }) => standing === 'silent') ? 1 : 0;
      }
    }
    // The faults were there: most runs tie terminals, and many lose what hung on a loose clip.
    expect(bundled).toBeGreaterThan(runs(8) * 10);
    expect(voided).toBeGreaterThan(runs(8) * 3);
  });

  it('costs at most one more touch a clip and run where nothing fails', () => {
    let most = 0;
    for (let sample = 0; sample < 12; sample += 1) {
      const { lugs, hidden } = someSwitch(seededRandom(sample + 1));
      const on = withClips(lugs, hidden.length, sample + 1);
      const { map, closings } = mapWithClips(hidden, on, { failures: [], truthful: true });
      expect(map.complete).toBe(true);
      expect(wrongIn(map, hidden, on)).toBe(0);
      // A use is what one clip did between two proofs: none is touched twice for it.
      expect(closings).toBeLessThanOrEqual(map.clips.uses.length);
      most = Math.max(most, closings);
    }
    expect(most).toBeGreaterThan(0);
  });

  it('that came off untouched is not proved: its map is not complete until what rests on it is read again', () => {
    const { hidden } = { hidden: [partitionFromGroups(8, [[2, 6]]), partitionFromGroups(8, [[1, 7]])] };
    const on = withClips(8, 2, 5);
    const failure = { clip: on.terminals[2] as TerminalId, from: 1, every: 1 };
    const { map, plans } = mapWithClips(hidden, on, { failures: [failure], truthful: true, hasty: true });
    expect(plans).toContain('clips-unproved');
    expect(map.complete).toBe(true);
    expect(wrongIn(map, hidden, on)).toBe(0);
  });

  it('is named where it explains a contradiction, and all that was parted through it is in dispute', () => {
    // Clips on six of twelve, the one on 2 loose after it was touched; 2 and 6 are joined, and only later read.
    const on = bench(12, 2);
    const id = (place: number) => on.terminals[place] as TerminalId;
    const red = [0, 1, 2, 3, 4, 5];
    on.add({ kind: 'clips-touched', red: red.map(id), black: [], silent: [] });
    for (const setting of [0, 1])
      for (let lone = 6; lone < 12; lone += 1) on.bundle(setting, red, [lone], OPEN);
    on.add({ kind: 'clips-touched', red: red.map(id), black: [], silent: [], touched: red.map(id) });
    const fact = (setting: number, a: number, b: number) => {
      const settled = deriveMap(on.events).settings.get(on.settings[setting] as SettingId)?.settled;
      return settled ? factAt(settled, a, b).state : 'none';
    };
    expect([fact(0, 2, 6), fact(0, 2, 9), fact(1, 2, 6), fact(0, 1, 6)]).toEqual(Array(4).fill('follows'));
    on.read(0, 2, 6, { kind: 'ohms', ohms: 0.4 });
    const map = deriveMap(on.events);
    const [only, ...more] = map.settings.get(on.settings[0] as SettingId)?.settled.contradictions ?? [];
    if (!only) throw new Error('no contradiction');
    expect(more).toEqual([]);
    const [clip, ...others] = suspectClips(map, on.settings[0] as SettingId, only);
    expect([clip?.terminal, others]).toEqual([id(2), []]);
    // In every position what hung on it is in dispute; what other clips parted elsewhere stands.
    expect([fact(0, 2, 9), fact(1, 2, 6), fact(0, 1, 9), fact(1, 1, 6)]).toEqual([
      ...['disputed', 'disputed', 'follows', 'follows'],
    ]);
    on.add({
      kind: 'clips-doubted',
      clips: (clip?.uses ?? []).map(({ terminal, readings }) => ({ terminal, readings })),
    });
    expect(deriveMap(on.events).settings.get(on.settings[0] as SettingId)?.settled.contradictions).toEqual(
      [],
    );
    expect([fact(0, 2, 6), fact(0, 2, 9), fact(1, 2, 6), fact(0, 1, 6)]).toEqual([
      ...['measured', 'unknown', 'unknown', 'follows'],
    ]);
  });

  it('taking out one bundle does not make its map complete: the others through the clip are not proved either', () => {
    const on = bench(4, 1);
    const id = (place: number) => on.terminals[place] as TerminalId;
    on.add({ kind: 'clips-touched', red: [id(0), id(1)], black: [], silent: [] });
    const first = on.bundle(0, [0, 1], [2], OPEN);
    on.bundle(0, [0, 1], [3], OPEN);
    on.read(0, 0, 2, CLOSED);
    on.read(0, 0, 1, OPEN);
    on.add({ kind: 'superseded', reading: first.id as ReadingId, replacement: null, source: 'typed' });
    on.read(0, 1, 2, OPEN);
    on.read(0, 2, 3, OPEN);
    const map = deriveMap(on.events);
    expect(map.settings.get(on.settings[0] as SettingId)?.coverage).toMatchObject({
      unknown: 0,
      disputed: 0,
    });
    expect(map.complete).toBe(false);
    expect(planNext(map, null)).toMatchObject({ kind: 'clips-unproved' });
  });

  it('is proved by a low that can only have come through it', () => {
    const on = bench(4, 1);
    const id = (place: number) => on.terminals[place] as TerminalId;
    on.add({ kind: 'clips-touched', red: [id(0), id(1)], black: [], silent: [] });
    on.bundle(0, [0, 1], [2], OPEN);
    on.bundle(0, [0, 1], [3], CLOSED);
    const standing = () =>
      deriveMap(on.events).clips.uses.map(({ terminal, standing: now }) => [
        on.terminals.indexOf(terminal),
        now,
      ]);
    on.read(0, 0, 1, OPEN);
    expect(standing()).toEqual([
      [0, 'unproved'],
      [1, 'unproved'],
    ]);
    on.read(0, 1, 3, OPEN);
    expect(standing()).toEqual([
      [0, 'proved'],
      [1, 'unproved'],
    ]);
  });
});

describe('a clip that leans on another lug', () => {
  it('makes no wrong map complete, on 12 switches: a join that low bundles alone tell of is read by itself', () => {
    let [wrong, open, disputed] = [0, 0, 0];
    for (let sample = 0; sample < 12; sample += 1) {
      const random = seededRandom(sample + 1);
      const { lugs, hidden } = someSwitch(random);
      for (let fault = 0; fault < runs(8); fault += 1) {
        const on = withClips(lugs, hidden.length, sample + 1);
        const place = Math.floor(random() * lugs);
        const clip = on.terminals[place] as TerminalId;
        const onto = on.terminals[(place + 1 + Math.floor(random() * (lugs - 1))) % lugs] as TerminalId;
        const from = fault % 2 === 0 ? 0 : Math.floor(random() * 20);
        const until = fault % 4 === 3 ? from + 3 : Infinity;
        const leans = [{ clip, onto, from, until }];
        const { map, plans } = mapWithClips(hidden, on, { failures: [], leans, truthful: true });
        disputed += plans.includes('disputed') ? 1 : 0;
        if (!map.complete) open += 1;
        else if (wrongIn(map, hidden, on) > 0) wrong += 1;
      }
    }
    expect(wrong).toBe(0);
    // What contradicts is taken out, and nothing is left open; the faults were there.
    expect(open).toBe(0);
    expect(disputed).toBeGreaterThan(runs(8) * 4);
  });

  it('never asks a pair by itself where pairs were read, or where the bundle only says what they say', () => {
    const on = bench(5, 1);
    for (const [a, b] of [
      [0, 1],
      [0, 2],
      [1, 2],
      [3, 4],
      [0, 3],
      [0, 4],
      [1, 3],
      [1, 4],
      [2, 3],
      [2, 4],
    ] as const)
      // prettier-ignore
      on.read(0, a, b, a + b === 1 ? CLOSED : OPEN);
    on.bundle(0, [0, 2], [1, 3], CLOSED);
    const map = deriveMap(on.events);
    expect(map.complete).toBe(true);
    expect(lowsAsk(map, on.settings)).toBeNull();
  });

  it('asks the join first, then what was known to be apart by it alone', () => {
    const on = bench(3, 1);
    on.bundle(0, [0, 1], [2], CLOSED);
    on.read(0, 1, 2, OPEN);
    const before = deriveMap(on.events);
    expect(before.settings.get(on.settings[0] as SettingId)?.coverage.unknown).toBe(0);
    expect(before.complete).toBe(false);
    const [zero, , two] = on.terminals;
    expect(lowsAsk(before, on.settings)).toMatchObject({ kind: 'pair', red: zero, black: two });
    on.read(0, 0, 2, CLOSED);
    expect([deriveMap(on.events).complete, lowsAsk(deriveMap(on.events), on.settings)]).toEqual([true, null]);
  });
});
