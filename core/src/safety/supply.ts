import { deedsOf, recordsOf, type Log, type SupplyKind } from '../log/index.js';

/** Live parts to earth: at least so many ohms (common practice; the shop's own limits and local rules win). */
export const LEAST_INSULATION = 1e6;

/** Up to here nothing of the mains is in it, in volts. */
const EXTRA_LOW = 50;

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

/** Whether the machine is fed from the mains; null: nobody has said. */
export function isOnMains(log: Log): boolean | null {
  const supply = supplyOf(log);
  return supply === null ? null : supply === 'plug-in' || supply === 'fixed';
}
