import type { TerminalId } from '../../switch/index.js';
import { leaksOf } from '../../verify/index.js';
import { endKey, endsOf, type Circuit } from '../wiring/circuit.js';
import type { InSetting } from '../power/in-setting.js';
import type { Powered } from '../power/power.js';
import { readableOf } from '../wiring/handles.js';
import type { Machine } from '../wiring/machine.js';
import type { Hazard } from './hazard.js';

/** Above so many volts a touch can hurt (IEC 61140: extra-low voltage, from memory). */
const TOUCHED = { AC: 50, DC: 120 } as const;

/** A leak that was read on a switch, by the places of its terminals in the machine. */
interface Leak {
  toFrame: boolean;
  /** Its two sides; of the metal nothing. */
  sides: readonly [readonly number[], readonly number[]];
  ohms: number;
}

/** Leaks that were read on the switches of a machine. */
export function leaksIn({ handles }: Machine): Leak[] {
  return readableOf(handles).flatMap(({ map, from }) => {
    const placeOf = new Map(map.structure.terminals.map(({ id }, at) => [id, from + at]));
    const metal = new Set(
      map.structure.terminals.flatMap(({ id, role }) => (role === 'frame' || role === 'earth' ? [id] : [])),
    );
    const side = (ids: readonly TerminalId[]) =>
      ids.flatMap((id) => (metal.has(id) ? [] : (placeOf.get(id) ?? [])));
    return leaksOf(map).map(({ red, black, quantity, toFrame }): Leak => ({
      toFrame,
      sides: [side(red), side(black)],
      ohms: quantity.ohms,
    }));
  });
}

/** Whether a touch of what leaks from these places hurts; null: nobody has said the volts there. */
function hurts({ nets, potentials }: Powered, places: readonly number[]): boolean | null {
  const there = places.flatMap((place) => potentials.get(nets[place] as number) ?? []);
  if (there.some(({ volts, current }) => volts !== null && volts > TOUCHED[current])) return true;
  return there.some(({ volts }) => volts === null) ? null : false;
}

/**
 * What leaks in a setting: to what a hand touches, from something live; and across an open contact, to a load that is off and, through
 * the leak, not dead.
 */
export function leaksLive(
  circuit: Circuit,
  leaks: readonly Leak[],
  { setting, known, loads }: InSetting,
): Hazard[] {
  const { nets, live } = known;
  const isLive = (place: number) => live.has(nets[place] as number);
  const held = new Set(circuit.supplies.map(({ id }) => nets[circuit.supplyNode.get(id) as number]));
  return leaks.flatMap(({ toFrame, sides, ohms }): Hazard[] => {
    const [one, other] = sides;
    // Twelve volts beside the mains are twelve volts.
    const hurt = hurts(known, sides.flat().filter(isLive));
    if (hurt === false) return [];
    const certain = hurt === true;
    if (toFrame) {
      const on = sides.flat().filter(isLive);
      return on.length > 0 ? [{ kind: 'leak-to-frame', setting, places: on, ohms, certain }] : [];
    }
    const across = one.some(isLive) ? other : other.some(isLive) ? one : [];
    // What a pole holds is at that potential, whatever leaks to it.
    const dead = across.filter((place) => !isLive(place) && !held.has(nets[place] as number));
    const reached = new Set(dead.map((place) => nets[place]));
    return circuit.loads
      .filter(({ id }) => loads.get(id)?.does === 'off')
      .filter((load) =>
        endsOf(load).some((end) => reached.has(nets[circuit.endNode.get(endKey(load.id, end)) as number])),
      )
      .map(({ id }): Hazard => ({
        kind: 'leak-across',
        setting,
        load: id,
        places: sides.flat(),
        ohms,
        certain,
      }));
  });
}
