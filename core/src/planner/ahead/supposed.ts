import { areApart, copyState, merge, netOf, type NetState } from '../../continuity/index.js';
import { seededRandom } from '../../switch/index.js';
import type { Chance } from '../chance/chance.js';
import { experienceOf } from '../chance/experience.js';
import { copyField, takeReading, unknownPairsOf, type Field, type FieldSetting } from '../field/field.js';

/** Whether two terminals join in a setting, as far as it is known or supposed. */
export type JoinedAt = (setting: number, a: number, b: number) => boolean;

/** Lugs for each join that is to be expected in a setting while nothing is known (tuned on the generated switches). */
const LUGS_A_JOIN = 2.7;

/** How much oftener the likelier of two pairs is drawn: by its chance to this power (tuned likewise). */
const SHARPNESS = 3;

/** How often the chances of a setting are looked at anew while its joins are supposed. */
const LOOKS = 8;

/**
 * What a switch will probably turn out to be: what is known, and of each setting as many joins as are to be expected, a pair
 * for each low bundle among them; drawn by their chances, always alike. Expected are as many as the settings that are mapped
 * have, else a join for every few terminals, never more than the chances add up to. The settings are supposed in turn, each as
 * if those before it had been read, so that what is supposed has the regularity of a real switch. A supposition to count
 * with, nothing more.
 * @param chanceOf what the chances would be once a field is known.
 */
export function supposedJoins(field: Field, chanceOf: (field: Field) => Chance): JoinedAt {
  const { usual, joins } = experienceOf(field);
  const likely = usual > 0 ? usual : field.places.length / LUGS_A_JOIN;
  const read = copyField(field);
  const random = seededRandom(2);
  const supposed = field.settings.map((_, setting) => {
    const state = supposeSetting(read, setting, {
      chanceOf,
      expected: Math.max(0, likely - joins.get(setting)),
      random,
    });
    takeAll(read, setting, state);
    return state;
  });
  return (setting, a, b) => {
    const nets = supposed[setting] as NetState;
    return netOf(nets, a) === netOf(nets, b);
  };
}

interface Supposing {
  chanceOf: (field: Field) => Chance;
  /** Joins to be expected beyond those that are known. */
  expected: number;
  random: () => number;
}

function supposeSetting(field: Field, setting: number, { chanceOf, expected, random }: Supposing): NetState {
  const { nets, clauses } = field.settings[setting] as FieldSetting;
  const state = copyState(nets);
  const first = drawnInTurn(field, setting, { chance: chanceOf(field), random });
  for (const { red, black } of clauses) {
    const within = (a: number, b: number) => red.includes(a) && black.includes(b);
    const best = first.find(({ pair: [a, b] }) => within(a, b) || within(b, a));
    if (best) merge(state, ...best.pair);
  }
  const chances = first.reduce((sum, { likely }) => sum + likely, 0);
  let left = Math.round(Math.min(expected, chances)) - clauses.length;
  const atOnce = Math.max(1, Math.ceil(left / LOOKS));
  // What is supposed already of this setting makes the rest likelier or less so.
  for (let pairs = first; left > 0;) {
    let taken = 0;
    for (const { pair } of pairs) {
      if (taken === Math.min(left, atOnce)) break;
      if (netOf(state, pair[0]) !== netOf(state, pair[1]) && merge(state, ...pair)) taken += 1;
    }
    if (taken === 0) break;
    left -= taken;
    const meanwhile = withNets(field, setting, state);
    pairs = drawnInTurn(meanwhile, setting, { chance: chanceOf(meanwhile), random });
  }
  return state;
}

/**
 * The unknown pairs of a setting as drawn without putting back, the likelier the sooner: each waits for a time that is drawn
 * (exponentially, at a rate by its chance), and the order is theirs.
 */
function drawnInTurn(
  field: Field,
  setting: number,
  { chance, random }: { chance: Chance; random: () => number },
): { pair: [number, number]; likely: number }[] {
  return unknownPairsOf(field, setting)
    .map((pair) => {
      const likely = chance(setting, ...pair);
      return { pair, likely, waits: -Math.log(1 - random()) / Math.max(likely, 1e-4) ** SHARPNESS };
    })
    .sort((one, other) => one.waits - other.waits);
}

function withNets(field: Field, setting: number, state: NetState): Field {
  const settings = field.settings.map((one, at) =>
    at === setting ? { ...one, nets: copyState(state) } : one,
  );
  return { ...field, settings };
}

/** Takes a supposed setting as if every pair of it had been read. */
function takeAll(field: Field, setting: number, state: NetState): void {
  const { places } = field;
  for (const [at, a] of places.entries())
    for (const b of places.slice(at + 1)) {
      const { nets } = field.settings[setting] as FieldSetting;
      if (netOf(nets, a) === netOf(nets, b) || areApart(nets, a, b)) continue;
      const closed = netOf(state, a) === netOf(state, b);
      takeReading(field, { setting, red: [a], black: [b], closed });
    }
}
