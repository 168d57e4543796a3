import type { SwitchMap } from '../continuity/index.js';
import type { TapeLine } from '../sense/index.js';
import { type Explanation, recordsOf } from '../log/index.js';
import { type SettingId, type TerminalId } from '../switch/index.js';
import { effectiveOhms } from '../network/index.js';

/** What a middle reading may be, and what speaks for it. A person accepts one, or none. */
export interface Proposal {
  as: Explanation;
  because:
    /** Read again it changes by more than a fifth. */
    | { code: 'changes'; from: number; to: number }
    /** Read again and again it climbs; `swapped`: with the leads the other way round it began low again. */
    | { code: 'climbs'; from: number; to: number; swapped: boolean }
    /** With each stroke it falls. */
    | { code: 'falls'; from: number; to: number }
    /** Read again it repeats. */
    | { code: 'repeats'; times: number; ohms: number }
    /** The same in every setting in which it was read. */
    | { code: 'same-everywhere'; settings: number; ohms: number }
    /** It rises or falls step by step as the handle goes on. */
    | { code: 'follows-handle'; settings: number; from: number; to: number }
    /** Known nets and declared parts would show as much. */
    | { code: 'declared-parts'; predicted: number; read: number };
  /** 0 to 1: which to show first. */
  weight: number;
}

/** A fifth: common practice for 'it changed'. */
const CHANGED = 0.2;
/** From here on a value that repeats is a leak sooner than a part, in ohms (common practice). */
const LEAK_OHMS = 1e5;

/** One middle value between two terminals. */
interface Middle {
  setting: SettingId;
  ohms: number;
  uncertainty: number;
  /** The lead that was on the first of the two. */
  redFirst: boolean;
}

/**
 * What the middle readings between two terminals may be, by place, likeliest first; empty when nothing speaks for any.
 * @example
 * const on = bench(2, 1);
 * for (const ohms of [1000, 1002]) on.read(0, 0, 1, { kind: 'ohms', ohms });
 * proposalsFor(deriveMap(on.events), on.settings[0], 0, 1).map(({ as, because }) => [as, because.code]) // => [['part', 'repeats']]
 */
export function proposalsFor(map: SwitchMap, setting: SettingId, a: number, b: number): Proposal[] {
  const settled = map.settings.get(setting)?.settled;
  if (!settled) return [];
  const ends = [settled.terminals[a], settled.terminals[b]] as [TerminalId, TerminalId];
  const all = middlesBetween(map.tape, ends);
  const here = all.filter((one) => one.setting === setting);
  const newest = here.at(-1);
  if (!newest) return [];
  const parts = recordsOf(map.log, 'part-declared');
  const { terminals, nets } = settled;
  const predicted = effectiveOhms({ terminals, nets, parts }, a, b);
  return [
    ...byParts(predicted, newest),
    ...byHandle(map, all),
    ...byTrend(here),
    ...byRepeating(here),
    ...bySettings(all),
  ].sort((one, other) => other.weight - one.weight);
}

function middlesBetween(tape: readonly TapeLine[], [one, other]: [TerminalId, TerminalId]): Middle[] {
  return tape.flatMap(({ reading, standing, evidence }) => {
    const { red, black, quantity } = evidence;
    const pair = red.length === 1 && black.length === 1 && [red[0], black[0]];
    const same = pair && pair.includes(one) && pair.includes(other);
    if (standing !== 'counts' || !same || !quantity || evidence.because !== 'middle') return [];
    const { ohms, uncertainty } = quantity;
    return [{ setting: reading.setting, ohms, uncertainty, redFirst: red[0] === one }];
  });
}

/** Within the meter's own uncertainty of both, and 5 % for the parts' values. */
const near = (one: Middle, ohms: number, tolerance = 0): boolean =>
  Math.abs(one.ohms - ohms) <= 2 * one.uncertainty + tolerance * ohms;

function byParts(predicted: number, newest: Middle): Proposal[] {
  if (!Number.isFinite(predicted) || predicted <= 0 || !near(newest, predicted, 0.05)) return [];
  return [{ as: 'part', because: { code: 'declared-parts', predicted, read: newest.ohms }, weight: 0.95 }];
}

/** How often it must go one way to be a trend. */
const TREND = 3;

/** What charges climbs while it is read, and begins low again with the leads swapped; film falls with each stroke (common practice). */
function byTrend(here: readonly Middle[]): Proposal[] {
  const last = here.at(-1);
  if (!last) return [];
  const turned = here.findLastIndex(({ redFirst }) => redFirst !== last.redFirst);
  const run = here.slice(turned + 1);
  const before = here[turned];
  const first = run[0] as Middle;
  const goes = (list: readonly Middle[], way: 1 | -1) =>
    list.length >= TREND &&
    list.slice(1).every((one, at) => way * (one.ohms - (list[at] as Middle).ohms) > CHANGED * one.ohms * 0.5);
  const climbed = goes(run, 1) ? run : goes(here.slice(0, turned + 1), 1) ? here.slice(0, turned + 1) : null;
  if (climbed) {
    const swapped = before !== undefined && first.ohms < 0.5 * before.ohms;
    // It stays where it is after the swap: that is no charge.
    if (climbed !== run && !swapped) return [];
    const [from, to] = [climbed[0] as Middle, climbed.at(-1) as Middle];
    const because = { code: 'climbs', from: from.ohms, to: to.ohms, swapped } as const;
    return [{ as: 'part', because, weight: swapped ? 0.93 : 0.85 }];
  }
  if (!goes(run, -1)) return [];
  return [{ as: 'contact', because: { code: 'falls', from: first.ohms, to: last.ohms }, weight: 0.86 }];
}

function byRepeating(here: readonly Middle[]): Proposal[] {
  const values = here.map(({ ohms }) => ohms);
  const newest = here.at(-1);
  if (here.length < 2 || !newest) return [];
  const [least, most] = [Math.min(...values), Math.max(...values)];
  if (most - least > CHANGED * most && !here.every((one) => near(one, newest.ohms)))
    return [
      {
        as: 'contact',
        because: { code: 'changes', from: values[0] as number, to: newest.ohms },
        weight: 0.8,
      },
    ];
  if (!here.every((one) => near(one, newest.ohms))) return [];
  const as = newest.ohms >= LEAK_OHMS ? 'leak' : 'part';
  return [
    {
      as,
      because: { code: 'repeats', times: here.length, ohms: newest.ohms },
      weight: 0.5 + Math.min(0.2, here.length / 20),
    },
  ];
}

function bySettings(all: readonly Middle[]): Proposal[] {
  const newest = all.at(-1);
  const settings = new Set(all.map(({ setting }) => setting)).size;
  if (!newest || settings < 2 || !all.every((one) => near(one, newest.ohms))) return [];
  const as = newest.ohms >= LEAK_OHMS ? 'leak' : 'part';
  return [{ as, because: { code: 'same-everywhere', settings, ohms: newest.ohms }, weight: 0.75 }];
}

/** In three settings that follow each other or more: always up, or always down, by more than the meter is out. */
function byHandle({ structure }: SwitchMap, all: readonly Middle[]): Proposal[] {
  const inOrder = structure.settings.flatMap(({ id }) => all.findLast(({ setting }) => setting === id) ?? []);
  const [first, last] = [inOrder[0], inOrder.at(-1)];
  if (inOrder.length < 3 || !first || !last) return [];
  const steps = inOrder.slice(1).map((one, at) => {
    const before = inOrder[at] as Middle;
    return near(one, before.ohms) ? 0 : Math.sign(one.ohms - before.ohms);
  });
  const same = steps.every((step) => step !== 0 && step === steps[0]);
  if (!same) return [];
  return [
    {
      as: 'potentiometer',
      because: { code: 'follows-handle', settings: inOrder.length, from: first.ohms, to: last.ohms },
      weight: 0.9,
    },
  ];
}
