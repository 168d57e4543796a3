import { factAt, type Settled, type SwitchMap } from '../continuity/index.js';
import type { SettingId } from '../switch/index.js';
import { ORDINARY_HANDS } from './hands.js';

/** How much is left at most, in the settings found so far. */
export interface Forecast {
  readings: number;
  touches: number;
  seconds: number;
}

/**
 * The most that the position-first plan still asks for. A sweep of m costs its first move (both leads), m - 1
 * moves of one lead, and m reads; touches are m + 1. Positions not found yet are not in it.
 */
export function forecast(map: SwitchMap): Forecast {
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

/** The same for one setting, with one turn to come to it. */
export function forecastIn(map: SwitchMap, setting: SettingId): Forecast {
  const left = leftIn(map, setting);
  return cost({ ...left, turns: left.readings > 0 ? 1 : 0 });
}

/** The same in readings and sweeps. */
export function leftIn(map: SwitchMap, setting: SettingId): { readings: number; sweeps: number } {
  const settled = map.settings.get(setting)?.settled;
  return settled ? mostLeft(settled, map.contacts) : { readings: 0, sweeps: 0 };
}

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
function mostLeft(settled: Settled, places: readonly number[]): { readings: number; sweeps: number } {
  const triedInVain = new Set(settled.lookAgain.map(({ a, b }) => pairKey(a, b)));
  let readings = 0;
  let sweeps = 0;
  const seen = new Set<string>();
  places.forEach((red, at) => {
    let row = 0;
    for (const black of places.slice(at + 1)) {
      if (factAt(settled, red, black).state !== 'unknown' || triedInVain.has(pairKey(red, black))) continue;
      const nets = pairKey(settled.nets[red] as number, settled.nets[black] as number);
      if (seen.has(nets)) continue;
      seen.add(nets);
      row += 1;
    }
    readings += row;
    if (row > 0) sweeps += 1;
  });
  return { readings, sweeps };
}
