import { resistanceWithDiodes, type Diode, type Resistance } from '../network/index.js';
import type { Instrument } from '../sense/index.js';
import { seededRandom, type TerminalId } from '../switch/index.js';
import { type Lead, type Value } from '../log/index.js';
import { NO_METER_FAULTS } from './faults.js';
import type { SimulatedContact, SimulatedSwitch } from './simulated-switch.js';

/** More than this many ohms is over range on the simulated meter. */
const OVER_RANGE_OHMS = 40e6;

/** Where the simulated hands are: which places the terminals have, where the handle is, what the dial is set to. */
export interface SimulatedBench {
  place(terminal: TerminalId): number | null;
  position(): number;
  dial(): 'ohms' | 'tone';
  /** Where the handle was before: on it depend contacts that make from one side only; null: it has not moved yet. */
  cameFrom?(): number | null;
  /** Strokes of the handle so far, which clean dirty contacts. */
  strokes?(): number;
  /** Readings taken before this one, on which warmth, charge and sleep depend; and how often this very pair was read. */
  readBefore?(red: Lead, black: Lead): { all: number; pair: number };
  /** Whether the clip on a terminal was found silent, and so put on anew. */
  clippedAnew?(terminal: TerminalId): boolean;
  /** Readings since the leads were last held together. */
  sinceCheck?(): number;
}

/**
 * The simulated meter on a simulated switch, behind the same door as a real one. What it shows depends only on the seed,
 * what is touched and what the bench says came before: the same story gives the same displays.
 */
export function simulatedMeter(hidden: SimulatedSwitch, bench: SimulatedBench): Instrument {
  const faults = { ...NO_METER_FAULTS, ...hidden.meter.faults };
  const asleep = () => faults.autoOffAfter > 0 && (bench.sinceCheck?.() ?? 0) >= faults.autoOffAfter;
  const show = (ohms: number, noise: number): Value => {
    if (bench.dial() === 'tone') {
      const threshold = hidden.meter.beeperOhms * (faults.lowBattery ? 0.3 : 1);
      return { kind: 'tone', sounded: ohms < threshold };
    }
    const seen = faults.lowBattery ? ohms * 1.2 : ohms;
    if (seen > OVER_RANGE_OHMS) return { kind: 'over' };
    const step = stepAt(seen, hidden.meter.resolutionOhms);
    const counts = Math.round(seen / step + (noise - 0.5) * 0.6);
    return { kind: 'ohms', ohms: Number((Math.max(0, counts) * step).toPrecision(12)) };
  };
  const nothing = (): Value =>
    bench.dial() === 'tone' ? { kind: 'tone', sounded: false } : { kind: 'over' };
  return {
    name: 'Simulated meter',
    leadsTogether: () => show(hidden.meter.leadOhms, 0.5),
    touchClip: (terminal) =>
      asleep() || isDead(hidden, bench, terminal) ? nothing() : show(hidden.meter.leadOhms, 0.5),
    probe(red, black) {
      if (asleep()) return nothing();
      const before = bench.readBefore?.(red, black) ?? { all: 0, pair: 0 };
      const touched = [...red, ...black].map((terminal) => bench.place(terminal) ?? hidden.terminals);
      const noise = noiseFor(hidden.seed, bench.position(), touched);
      const seen = seenBetween(hidden, bench, red, black, before);
      if (seen === 'unsteady')
        return bench.dial() === 'tone' ? { kind: 'tone', sounded: noise < 0.5 } : { kind: 'unsteady' };
      // Who reads a pair again has the hands off the tips by then.
      const held = red.length + black.length === 2 && before.pair === 0;
      const fingers = held ? faults.fingersOhms : 0;
      const withSkin = fingers > 0 ? 1 / (1 / seen + 1 / fingers) : seen;
      if (faults.slowOverRange && withSkin > OVER_RANGE_OHMS && before.pair === 0 && bench.dial() === 'ohms')
        return show((0.3 + noise) * 1e7, noise);
      return show(withSkin, noise);
    },
  };
}

/** The step of the display: ranges grow by tens from the lowest, each of 4000 counts. */
function stepAt(ohms: number, resolution: number): number {
  let step = resolution;
  while (ohms > step * 4000 && step < 1e9) step *= 10;
  return step;
}

function noiseFor(seed: number, position: number, touched: number[]): number {
  const mixed = touched.reduce((sum, place) => Math.imul(sum, 31) + place + 1, seed + position * 7919);
  return seededRandom(mixed)();
}

function seenBetween(
  hidden: SimulatedSwitch,
  bench: SimulatedBench,
  red: Lead,
  black: Lead,
  before: { all: number; pair: number },
): number | 'unsteady' {
  const size = hidden.terminals;
  const contacts = contactsNow(hidden, bench);
  const { network, diodes } = partsNow(hidden, bench, before);
  const flickering = hidden.contacts.filter(
    (contact) => contact.fault?.kind === 'unsteady' && isClosed(contact, bench, hidden.seed),
  );
  const clips: Resistance[] = [];
  const clip = (lead: Lead, node: number) => {
    for (const terminal of lead) {
      const place = bench.place(terminal);
      const loose = lead.length > 1 && isDead(hidden, bench, terminal);
      if (place !== null && place < size && !loose) clips.push({ a: place, b: node, ohms: 0 });
    }
  };
  clip(red, size);
  clip(black, size + 1);
  const between = (through: Resistance[]) =>
    resistanceWithDiodes(size + 2, [...through, ...network, ...clips], diodes, size, size + 1) +
    hidden.meter.leadOhms;
  const closed = between(contacts);
  if (flickering.length === 0) return closed;
  const without = between(
    contacts.filter(({ a, b }) => !flickering.some((one) => one.a === a && one.b === b)),
  );
  return without > 2 * closed ? 'unsteady' : closed;
}

/** Whether the clip on a terminal makes no contact; put on anew, it does. */
function isDead({ meter }: SimulatedSwitch, bench: SimulatedBench, terminal: TerminalId): boolean {
  const dead = meter.faults?.deadClip ?? null;
  return dead !== null && bench.place(terminal) === dead && !(bench.clippedAnew?.(terminal) ?? false);
}

function isClosed({ a, b, closedIn, fault }: SimulatedContact, bench: SimulatedBench, seed: number): boolean {
  if (fault?.kind === 'welded') return true;
  if (fault?.kind === 'broken' || !closedIn.includes(bench.position())) return false;
  if (fault?.kind === 'sometimes') return noiseFor(seed, bench.strokes?.() ?? 0, [a, b]) >= fault.misses;
  if (fault?.kind !== 'one-sided') return true;
  const from = bench.cameFrom?.() ?? null;
  return from === null || (fault.makes === 'up' ? from < bench.position() : from > bench.position());
}

function contactsNow({ contacts, seed }: SimulatedSwitch, bench: SimulatedBench): Resistance[] {
  return contacts
    .filter((contact) => isClosed(contact, bench, seed))
    .map(({ a, b, ohms, fault }) => ({ a, b, ohms: ohms + extraOhms(fault, bench) }));
}

function extraOhms(fault: SimulatedContact['fault'], bench: SimulatedBench): number {
  if (fault?.kind === 'burnt') return fault.ohms;
  return fault?.kind === 'dirty' ? fault.ohms * 0.5 ** (bench.strokes?.() ?? 0) : 0;
}

function partsNow(
  { parts = [], positions, seed }: SimulatedSwitch,
  bench: SimulatedBench,
  before: { all: number; pair: number },
): { network: Resistance[]; diodes: Diode[] } {
  const network: Resistance[] = [];
  const diodes: Diode[] = [];
  parts.forEach(({ a, b, form, ohms }, at) => {
    const ends = { a, b };
    switch (form) {
      case 'resistor':
      case 'leak':
        network.push({ ...ends, ohms });
        break;
      case 'lamp':
        network.push({ ...ends, ohms: ohms * (1 + 3 * 0.6 ** before.all) });
        break;
      case 'motor':
        network.push({
          ...ends,
          ohms: ohms * (0.85 + 0.3 * seededRandom(seed + at * 131 + bench.position())()),
        });
        break;
      case 'suppressor':
        network.push({ ...ends, ohms: ohms * 12 ** before.pair });
        break;
      case 'potentiometer':
        network.push({ ...ends, ohms: (ohms * (bench.position() + 1)) / positions.length });
        break;
      case 'diode':
        diodes.push({ ...ends, ohms });
        break;
    }
  });
  return { network, diodes };
}
