import { cellOf, PairMarks } from '../../partition/index.js';
import type { Settled, SwitchMap } from '../../continuity/index.js';
import type { SettingId } from '../../switch/index.js';
import { ORDINARY_HANDS } from '../hands/hands.js';

/** How much is left, in the settings found so far. */
export interface Forecast {
  /** At most, whatever the order: each reading settles a pair of nets at least. */
  readings: number;
  /** Those readings made row by row. */
  touches: number;
  seconds: number;
}

/**
 * The most readings that are still asked for, and what they take row by row. A sweep of m costs its first move (both leads),
 * m - 1 moves of one lead, and m reads; touches are m + 1. Positions not found yet are not in it.
 */
export function mostLeft(map: SwitchMap): Forecast {
  const left = map.structure.settings.flatMap(({ id, need }) =>
    need === 'required' ? [leftIn(map, id)] : [],
  );
  const sum = (of: (one: { readings: number; sweeps: number }) => number) =>
    left.reduce((total, one) => total + of(one), 0);
  return cost({
    readings: sum(({ readings }) => readings),
    sweeps: sum(({ sweeps }) => sweeps),
    turns: left.filter(({ readings }) => readings > 0).length,
  });
}

/** The most that is left in one setting, with one turn to come to it. */
export function mostLeftIn(map: SwitchMap, setting: SettingId): Forecast {
  const left = leftIn(map, setting);
  return cost({ ...left, turns: left.readings > 0 ? 1 : 0 });
}

/** The most that is left in one setting, in readings and sweeps. */
export function leftIn(map: SwitchMap, setting: SettingId): ReadingsLeft {
  const settled = map.settings.get(setting)?.settled;
  if (!settled) return { readings: 0, sweeps: 0 };
  const known = worked.get(settled);
  if (known && known.places === map.contacts) return known.left;
  const left = unknownIn(settled, map.contacts);
  worked.set(settled, { places: map.contacts, left });
  return left;
}

interface ReadingsLeft {
  readings: number;
  sweeps: number;
}

/** Worked out once for each settling; the same without it. */
const worked = new WeakMap<Settled, { places: readonly number[]; left: ReadingsLeft }>();

function cost({ readings, sweeps, turns }: { readings: number; sweeps: number; turns: number }): Forecast {
  const { moveLead, moveBoth, turn, read } = ORDINARY_HANDS;
  const seconds = sweeps * moveBoth + (readings - sweeps) * moveLead + readings * read + turns * turn;
  return { readings, touches: readings + sweeps, seconds };
}

export const pairKey = (a: number, b: number): string => (a < b ? `${a},${b}` : `${b},${a}`);

/**
 * The most that is left in one setting: as if every pair that is unknown were open. A join settles at least as
 * much as an open, so no run of answers needs more readings; each sweep adds one touch for the lead that stays. A pair
 * that was read without deciding anything is not asked again by itself.
 */
function unknownIn({ terminals, facts, nets, lookAgain }: Settled, places: readonly number[]): ReadingsLeft {
  const size = terminals.length;
  const leaveOut = PairMarks.of(
    size,
    lookAgain.map(({ a, b }) => [a, b] as const),
  );
  const seen = PairMarks.none(size);
  let readings = 0;
  let sweeps = 0;
  places.forEach((red, at) => {
    let row = 0;
    for (let next = at + 1; next < places.length; next += 1) {
      const black = places[next] as number;
      if (facts[cellOf(size, red, black)]?.state !== 'unknown' || leaveOut.has(red, black)) continue;
      const [netA, netB] = [nets[red] as number, nets[black] as number];
      if (seen.has(netA, netB)) continue;
      seen.mark(netA, netB);
      row += 1;
    }
    readings += row;
    if (row > 0) sweeps += 1;
  });
  return { readings, sweeps };
}
