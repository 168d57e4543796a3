import { resistanceBetween, type Resistance } from '../network/index.js';
import type { Instrument } from '../sense/index.js';
import { seededRandom, type Lead, type TerminalId, type Value } from '../switch/index.js';
import type { SimulatedSwitch } from './simulated-switch.js';

/** More than this many ohms is over range on the simulated meter. */
const OVER_RANGE_OHMS = 40e6;

/** Where the simulated hands are: which places the terminals have, where the handle is, what the dial is set to. */
export interface SimulatedBench {
  place(terminal: TerminalId): number | null;
  position(): number;
  dial(): 'ohms' | 'tone';
}

/**
 * The simulated meter on a simulated switch, behind the same door as a real one. The same probe gives the same
 * display every time: its last-digit noise is drawn from the seed and from what is touched.
 */
export function simulatedMeter(hidden: SimulatedSwitch, bench: SimulatedBench): Instrument {
  const show = (ohms: number, noise: number): Value => {
    if (bench.dial() === 'tone') return { kind: 'tone', sounded: ohms < hidden.meter.beeperOhms };
    if (ohms > OVER_RANGE_OHMS) return { kind: 'over' };
    const step = hidden.meter.resolutionOhms;
    const counts = Math.round(ohms / step + (noise - 0.5) * 0.6);
    return { kind: 'ohms', ohms: Number((Math.max(0, counts) * step).toFixed(3)) };
  };
  return {
    name: 'Simulated meter',
    leadsTogether: () => show(hidden.meter.leadOhms, 0.5),
    probe(red, black) {
      const ohms = seenBetween(hidden, bench, red, black);
      const touched = [...red, ...black].map((terminal) => bench.place(terminal) ?? hidden.terminals);
      return show(ohms, noiseFor(hidden.seed, bench.position(), touched));
    },
  };
}

function noiseFor(seed: number, position: number, touched: number[]): number {
  const mixed = touched.reduce((sum, place) => Math.imul(sum, 31) + place + 1, seed + position * 7919);
  return seededRandom(mixed)();
}

function seenBetween(hidden: SimulatedSwitch, bench: SimulatedBench, red: Lead, black: Lead): number {
  const size = hidden.terminals;
  const network: Resistance[] = hidden.contacts
    .filter(({ closedIn }) => closedIn.includes(bench.position()))
    .map(({ a, b, ohms }) => ({ a, b, ohms }));
  const clip = (lead: Lead, node: number, ohms: number) => {
    for (const terminal of lead) {
      const place = bench.place(terminal);
      if (place !== null && place < size) network.push({ a: place, b: node, ohms });
    }
  };
  clip(red, size, 0);
  clip(black, size + 1, 0);
  return resistanceBetween(size + 2, network, size, size + 1) + hidden.meter.leadOhms;
}
