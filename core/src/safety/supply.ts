import { deedsOf, recordsOf, type Log, type SupplyKind } from '../log/index.js';

/** Live parts to earth: at least so many ohms (common practice; the shop's own limits and local rules win). */
export const LEAST_INSULATION = 1e6;

/** Up to here nothing of the mains is in it, in volts AC. */
const EXTRA_LOW = 50;
/** The same in volts DC (the limits of extra-low voltage of IEC 61140, from memory). */
const EXTRA_LOW_DC = 120;

/** The kind of supply of the machine, as it was made safe, else as its supplies say; null: nobody has said. */
export function supplyOf(log: Log): SupplyKind | null {
  const list = deedsOf(log, 'safety-begun').at(-1)?.list.supply;
  if (list) return list;
  const supplies = recordsOf(log, 'supply-named');
  if (supplies.length === 0) return null;
  const mains = supplies.some(
    ({ current, volts, kind }) => current === 'AC' && kind !== 'N' && (volts ?? EXTRA_LOW) >= EXTRA_LOW,
  );
  return mains ? 'plug-in' : 'extra-low';
}

/** Whether the case of the machine could give a shock: it is on the mains, or on that many volts; null: nobody has said. */
export function canShock(log: Log): boolean | null {
  const supply = supplyOf(log);
  if (supply === null) return null;
  const direct = recordsOf(log, 'supply-named').some(
    ({ current, volts }) => current === 'DC' && (volts ?? 0) > EXTRA_LOW_DC,
  );
  return direct || supply === 'plug-in' || supply === 'fixed';
}
