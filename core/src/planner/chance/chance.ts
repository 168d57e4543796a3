import { Reals } from '../../grid/index.js';
import { netOf } from '../../continuity/index.js';
import { experienceOf, type Experience } from './experience.js';
import { featuresOf } from './features.js';
import { isUnknown, type Field } from '../field/field.js';
import { likenessOf, type Likeness } from './likeness.js';
import { PRIOR_WEIGHTS } from './prior-weights.js';
import { priorChance, type PriorWeights } from './prior.js';

/** How likely two terminals join in a setting, by place; between 0 and 1. Comes from outside where there is a prediction. */
export type Chance = (setting: number, a: number, b: number) => number;

/**
 * The learnt chance that two terminals join in a setting: a small network over what the settings showed, its weights
 * trained by `npm run train-prior` on generated families. A low bundle makes each of its pairs likelier: at least
 * one of them joins, so the chance of each is divided by the chance of any (Bayes' rule, pairs taken as independent).
 */
export function learntChance(field: Field, weights: PriorWeights = PRIOR_WEIGHTS): Chance {
  const { size } = field;
  // Worked out when it is first asked for: most planners ask for few of these, and one for none.
  let seen: { experience: Experience; likeness: Likeness } | null = null;
  const known = new Map<number, Reals>();
  const bundled = new Map<number, Map<number, number> | null>();
  const plain = (setting: number, a: number, b: number): number => {
    seen ??= lookAt(field);
    const { experience, likeness } = seen;
    const [low, high] = [Math.min(a, b), Math.max(a, b)];
    const chance = priorChance(featuresOf({ field, experience, likeness }, setting, low, high), weights);
    return hinted(field, low, high, chance);
  };
  const likelier = (setting: number): Map<number, number> | null => {
    const before = bundled.get(setting);
    if (before !== undefined) return before;
    const live = (field.settings[setting]?.clauses.length ?? 0) > 0;
    const found = live ? likelierByBundles(field, setting, plain) : null;
    bundled.set(setting, found);
    return found;
  };
  return (setting, a, b) => {
    let cells = known.get(setting);
    if (!cells) known.set(setting, (cells = Reals.filled(size * size, -1)));
    const cell = a < b ? a * size + b : b * size + a;
    const before = cells.get(cell);
    if (before >= 0) return before;
    const value = Math.min(0.98, likelier(setting)?.get(cell) ?? plain(setting, a, b));
    cells.set(cell, value);
    return value;
  };
}

/** How much likelier a terminal that looks like a common joins another: a small weight (common practice, from memory). */
const COMMON_ODDS = 1.5;

/** The chance where just one of the two looks like a common, as odds: never to certainty. */
function hinted({ commons }: Field, a: number, b: number, chance: number): number {
  if (!commons || commons.has(a) === commons.has(b)) return chance;
  return (COMMON_ODDS * chance) / (1 + (COMMON_ODDS - 1) * chance);
}

/** The chance of each pair in a low bundle, by cell of the smaller and the larger place. */
function likelierByBundles(field: Field, setting: number, plain: Chance): Map<number, number> {
  const chances = new Map<number, number>();
  for (const { red, black } of field.settings[setting]?.clauses ?? []) {
    const cells: [number, number][] = [];
    let none = 1;
    for (const one of red)
      for (const other of black) {
        if (!isUnknown(field, setting, one, other)) continue;
        const chance = plain(setting, one, other);
        none *= 1 - chance;
        cells.push([Math.min(one, other) * field.size + Math.max(one, other), chance]);
      }
    for (const [cell, chance] of cells)
      chances.set(cell, Math.max(chances.get(cell) ?? 0, chance / Math.max(1e-6, 1 - none)));
  }
  return chances;
}

function lookAt(field: Field): { experience: Experience; likeness: Likeness } {
  const experience = experienceOf(field);
  return { experience, likeness: likenessOf(field, experience) };
}

/** The chance for two nets: that of the pair across them of which it is highest. */
export function netChance(field: Field, chance: Chance, setting: number): Chance {
  const members = new Map<number, number[]>();
  const nets = field.settings[setting]?.nets;
  if (!nets) return chance;
  for (const place of field.places) {
    const net = netOf(nets, place);
    const list = members.get(net);
    if (list) list.push(place);
    else members.set(net, [place]);
  }
  return (_, a, b) => {
    let most = 0;
    for (const one of members.get(netOf(nets, a)) ?? [a])
      for (const other of members.get(netOf(nets, b)) ?? [b])
        most = Math.max(most, chance(setting, one, other));
    return most;
  };
}
