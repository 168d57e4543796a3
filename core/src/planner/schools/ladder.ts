import { bestRate, byTime, firstAlone } from './by-time.js';
import { netOf } from '../../continuity/index.js';
import { netChance, type Chance } from '../chance/chance.js';
import { bundleSays, isUnknown, type Field, type FieldSetting } from '../field/field.js';
import { costOf, type Hands } from '../hands/hands.js';
import type { Move } from '../hands/move.js';
import type { Planner, Situation } from './situation.js';

/**
 * Tie 0..i-1, the lone lead on i, every setting where it is not known and probably open; then clip i in: as long as the
 * rungs that are left are expected to settle more pairs in a second than the best pair; by time otherwise.
 */
export const ladder: Planner = (situation) => {
  const moves = rungs(situation.field, situation.costs.clipsOwned);
  const likely = situation.field.settings.map((_, setting) =>
    netChance(situation.field, situation.chance, setting),
  );
  const worth = likely.map((chance, setting) => worthIn(situation.field, setting, chance));
  const left = stillWorth(situation, moves, worth);
  if (left.length === 0) return byTime(situation);
  const pair = bestRate(situation);
  if (pair && pair.rate > shareOf(situation.field, situation.costs.clipsOwned) * rateOf(situation, left))
    return (firstAlone(situation) ?? pair).move;
  return left[0]?.move ?? null;
};

/** A bundle is asked where it is at least so likely to be open (this and the next two tuned on drawn switches). */
const LIKELY_OPEN = 0.3;

/** What a low bundle is worth in pairs. */
const LOW = 0.5;

/**
 * The share of the ladder's rate that a pair has to reach: less where many bundles were low, which says that more will be;
 * more with few clips, which are on and off the terminals often, so that a rung gives way later.
 */
const shareOf = ({ bundles }: Field, clips: number): number =>
  Math.max(0.7, 0.6 + 1.1 / clips) * (1 - (1.1 * bundles.low) / Math.max(1, bundles.all));

interface Rung {
  tied: readonly number[];
  lone: number;
}

/** All rungs that so many clips allow, by bundles of as many terminals; none with too few terminals or clips. */
function rungs({ places }: Field, clips: number): Rung[] {
  if (clips < 2 || places.length <= 5) return [];
  const all: Rung[] = [];
  for (let from = 0; from < places.length; from += clips)
    for (let at = from + 1; at < places.length; at += 1)
      all.push({ tied: places.slice(from, Math.min(at, from + clips)), lone: places[at] as number });
  return all;
}

/**
 * The first rung that still says something; null when there is none.
 * @param expected settings in which a rung is worth it.
 */
export function rung(
  { field, costs, hands }: Situation,
  expected: (setting: number, tied: readonly number[], lone: number) => boolean,
): Move | null {
  for (const { tied, lone } of rungs(field, costs.clipsOwned)) {
    const settings = asked(field, { tied, lone }, (setting) => expected(setting, tied, lone));
    if (settings.length > 0) return rungMove({ tied, lone }, settings, hands);
  }
  return null;
}

/** Settings in which a rung says something that is not known. */
const asked = (field: Field, { tied, lone }: Rung, worth: (setting: number) => boolean): number[] =>
  field.settings.flatMap((_, setting) =>
    worth(setting) &&
    bundleSays(field, setting, tied, [lone]) === null &&
    tied.some((one) => isUnknown(field, setting, one, lone))
      ? [setting]
      : [],
  );

const rungMove = ({ tied, lone }: Rung, settings: number[], hands: Hands): Move => ({
  kind: 'hold',
  red: tied.slice(),
  black: [lone],
  settings: nearestFirst(settings, hands),
});

/** The chance that a rung is open in a setting, and the pairs of nets that it settles then. */
type Worth = (rung: Rung) => { open: number; pairs: number };

function worthIn(field: Field, setting: number, chance: Chance): Worth {
  const { nets } = field.settings[setting] as FieldSetting;
  return ({ tied, lone }) => {
    const own = netOf(nets, lone);
    const met = new Set<number>();
    let open = 1;
    for (const one of tied) {
      const net = netOf(nets, one);
      if (met.has(net) || nets.apart.has(own, net)) continue;
      met.add(net);
      open *= 1 - chance(setting, lone, one);
    }
    return { open, pairs: met.size };
  };
}

/** A rung as it is made from where the hands are, and the pairs of nets that it is expected to settle. */
interface Step {
  move: Move;
  gain: number;
}

/** The rungs that are worth it, in turn. */
function stillWorth({ field, hands }: Situation, all: readonly Rung[], worth: readonly Worth[]): Step[] {
  return all.flatMap((one) => {
    let gain = 0;
    const settings = asked(field, one, (setting) => {
      const { open = 0, pairs = 0 } = worth[setting]?.(one) ?? {};
      return open >= LIKELY_OPEN && pairs > 0;
    });
    for (const setting of settings) {
      const { open = 0, pairs = 0 } = worth[setting]?.(one) ?? {};
      gain += open * pairs + (1 - open) * LOW;
    }
    return settings.length > 0 ? [{ move: rungMove(one, settings, hands), gain }] : [];
  });
}

/** Pairs settled in a second by all rungs that are left, the clips put on for them and taken off again. */
function rateOf({ field, hands, costs }: Situation, left: readonly Step[]): number {
  const held = (setting: number) => field.settings[setting]?.held ?? false;
  let [at, seconds, gain] = [hands, 0, 0];
  for (const step of left) {
    const cost = costOf(step.move, at, costs, held);
    [at, seconds, gain] = [cost.after, seconds + cost.seconds, gain + step.gain];
  }
  return gain / (seconds + at.tied.red.length * costs.clip);
}

const nearestFirst = (settings: number[], { setting }: Hands): number[] =>
  setting !== null &&
  Math.abs(setting - (settings.at(-1) as number)) < Math.abs(setting - (settings[0] as number))
    ? settings.toReversed()
    : settings;
