import { leaksOf } from '../../verify/index.js';
import type { InSetting } from '../power/in-setting.js';
import { readableOf } from '../wiring/handles.js';
import type { Machine } from '../wiring/machine.js';
import type { Hazard } from './hazard.js';

/** Above this many volts AC a touch can hurt (IEC 61140: extra-low voltage, from memory). */
const TOUCHED = 50;

/** A leak to the frame, by the places of its terminals in the machine. */
interface FrameLeak {
  places: readonly number[];
  ohms: number;
}

/** Leaks to the frame that were read on the switches of a machine that is on AC, or may be on such volts. */
export function frameLeaksOf({ handles, circuit }: Machine): FrameLeak[] {
  const mains = circuit.supplies.some(
    ({ current, volts, kind }) =>
      current === 'AC' && kind !== 'N' && kind !== 'earth' && (volts ?? Infinity) > TOUCHED,
  );
  if (!mains) return [];
  return readableOf(handles).flatMap(({ map, from }) => {
    const placeOf = new Map(map.structure.terminals.map(({ id }, at) => [id, from + at]));
    const metal = new Set(
      map.structure.terminals.flatMap(({ id, role }) => (role === 'frame' || role === 'earth' ? [id] : [])),
    );
    return leaksOf(map)
      .filter(({ toFrame }) => toFrame)
      .map(({ red, black, quantity }) => ({
        places: [...red, ...black].flatMap((id) => (metal.has(id) ? [] : (placeOf.get(id) ?? []))),
        ohms: quantity.ohms,
      }));
  });
}

/** Leaks that lie on something live: what a hand touches may be live through them. */
export function leaksLive(
  leaks: readonly FrameLeak[],
  { setting, known: { nets, live } }: InSetting,
): Hazard[] {
  return leaks.flatMap(({ places, ohms }): Hazard[] => {
    const on = places.filter((place) => live.has(nets[place] as number));
    return on.length > 0 ? [{ kind: 'leak-to-frame', setting, places: on, ohms }] : [];
  });
}
