import { netChance, type Chance } from '../chance/chance.js';
import { headsOf, isUnknown, unknownPairsOf, type Field } from '../field/field.js';
import { gainIn } from './gain.js';
import { costOf, oriented } from '../hands/hands.js';
import type { Move } from '../hands/move.js';
import { holdMove, positionFirst, runOf } from './plain-schools.js';
import type { Planner, Situation } from './situation.js';

/**
 * By time. Of more than two settings (or of two, once bundles were read) the first is mapped by itself, since what it
 * shows makes the rest predictable, unless the handle turns so easily that holding pairs through all of them is cheaper
 * from the start; then the move of which most pairs are expected to be settled in a second: a pair held through settings,
 * or a sweep. While one position alone is known there is nothing to hold a pair through, and nothing to learn from: then it
 * goes row by row, which takes fewest readings.
 */
export const byTime: Planner = (situation) =>
  situation.field.settings.length === 1
    ? positionFirst(situation)
    : ((firstAlone(situation) ?? bestRate(situation))?.move ?? null);

/** The best move in the first setting, where that is to be mapped by itself; null where it is not. */
export function firstAlone(situation: Situation): Rated | null {
  const { field, hands, costs } = situation;
  const first = hands.setting ?? 0;
  const several = field.settings.length > 2 || field.bundles.all > 0;
  const pays = several && costs.turn >= EASY_TURN * costs.moveLead;
  const untouched = field.settings.every((_, setting) => unknownPairsOf(field, setting).length > 0);
  return pays && untouched ? bestRate(situation, (setting) => setting === first) : null;
}

/** A turn that costs less than this share of moving a lead is easy (this and the next three are tuned on drawn switches). */
const EASY_TURN = 0.6;

/**
 * Seconds that an act costs by itself, to look what is asked and to answer it: a move is worth less the oftener it has to be
 * asked. Tuned on drawn switches: half a second spares a quarter of the acts and costs none of the hands' seconds.
 */
const ACT = 0.5;

/** A sweep takes what gains nearly as much as its best touch, as long as one of those before hardly sounds. */
const NEARLY = 0.9;
const SOUNDS = 0.2;

/** The settings and pairs that a move may ask. */
export type Wanted = (setting: number, a: number, b: number) => boolean;

/** A move, and the pairs it is expected to settle in a second. */
export interface Rated {
  move: Move;
  rate: number;
}

const ALL: Wanted = () => true;

/**
 * The best move by expected pairs settled in a second: a pair in a setting, a pair held through settings, or a sweep of
 * the setting where the handle is.
 * @param wanted only pairs in settings in which this holds are considered.
 */
export function bestRate(situation: Situation, wanted: Wanted = ALL): Rated | null {
  const { field, hands, costs, chance } = situation;
  const held = (setting: number) => field.settings[setting]?.held ?? false;
  let best: Rated | null = null;
  const offer = (move: Move, gain: number) => {
    const rate = gain / (costOf(move, hands, costs, held).seconds + ACT);
    if (!best || rate > best.rate + 1e-9) best = { move, rate };
  };
  const likely = field.settings.map((_, setting) => netChance(field, chance, setting));
  const gain = likely.map((of, setting) => gainIn(field, setting, of));
  for (const [at, a] of field.places.entries())
    for (const b of field.places.slice(at + 1)) {
      const settings = runOf(situation, a, b).filter((setting) => wanted(setting, a, b));
      if (settings.length === 0) continue;
      const [red, black] = oriented(a, b, hands);
      const gains = settings.map((setting) => gain[setting]?.(a, b) ?? 0);
      offer(holdMove(red, black, settings.slice(0, 1), hands), gains[0] as number);
      if (settings.length > 1)
        offer(
          holdMove(red, black, settings, hands),
          gains.reduce((sum, one) => sum + one, 0),
        );
    }
  const here = hands.setting ?? 0;
  for (const red of headsOf(field, here)) {
    const sweep = bestSweep(
      field,
      { setting: here, red },
      { chance: likely[here] as Chance, gain: gain[here] as Gain, wanted },
    );
    if (sweep) offer(sweep.move, sweep.gain);
  }
  return best;
}

type Gain = ReturnType<typeof gainIn>;

/** What to sweep from a terminal: what gains most first, as long as that hardly depends on what was touched before. */
function bestSweep(
  field: Field,
  { setting, red }: { setting: number; red: number },
  { chance, gain, wanted }: { chance: Chance; gain: Gain; wanted: Wanted },
): { move: Move; gain: number } | null {
  const touches = headsOf(field, setting)
    .filter((head) => head !== red && isUnknown(field, setting, red, head) && wanted(setting, red, head))
    .map((place) => ({ place, gain: gain(red, place) }))
    .sort((one, other) => other.gain - one.gain);
  const black: number[] = [];
  let [sum, silent] = [0, 1];
  for (const touch of touches) {
    if (touch.gain < NEARLY * (touches[0]?.gain ?? 0) || 1 - silent > SOUNDS) break;
    black.push(touch.place);
    sum += touch.gain;
    silent *= 1 - chance(setting, red, touch.place);
  }
  return black.length < 2 ? null : { move: { kind: 'sweep', setting, red, black }, gain: sum };
}
