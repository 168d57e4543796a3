import { seededRandom } from '../switch/index.js';
import {
  CONTACT_FAULTS,
  NO_METER_FAULTS,
  SIMULATED_PARTS,
  type ContactFault,
  MISASSEMBLIES,
  type MeterFaults,
  type Misassembly,
  type SimulatedPart,
} from './faults.js';
import { misassembled } from './misassembly.js';
import type { SimulatedSwitch } from './simulated-switch.js';

/** A simulated switch with faults that the seed decides: so many on contacts, parts and the meter together. */
export function withSurprises(hidden: SimulatedSwitch, seed: number, count: number): SimulatedSwitch {
  const random = seededRandom(seed);
  let made = hidden;
  for (let at = 0; at < count; at += 1) made = oneMore(made, random);
  return made;
}

function oneMore(hidden: SimulatedSwitch, random: () => number): SimulatedSwitch {
  const kind = random();
  const from =
    kind < 0.6 && hidden.contacts.length > 0
      ? CONTACT_FAULTS
      : kind < 0.8 && hidden.terminals > 2
        ? SIMULATED_PARTS
        : METER_FAULTS;
  return withFault(hidden, pick<SurpriseKind>(from, random), random);
}

/** Everything that may be wrong with a simulated switch or its meter. */
export type SurpriseKind = ContactFault['kind'] | SimulatedPart['form'] | keyof MeterFaults | Misassembly;

export const METER_FAULTS: readonly (keyof MeterFaults)[] = [
  'fingersOhms',
  'deadClip',
  'autoOffAfter',
  'lowBattery',
  'slowOverRange',
];

/** A simulated switch with one fault of a kind; where it sits, and how bad it is, chance decides. */
export function withFault(
  hidden: SimulatedSwitch,
  kind: SurpriseKind,
  random: () => number,
): SimulatedSwitch {
  const contact = CONTACT_FAULTS.find((one) => one === kind);
  if (contact) {
    const index = Math.floor(random() * hidden.contacts.length);
    const fault = contactFault(contact, random);
    return {
      ...hidden,
      contacts: hidden.contacts.map((one, at) => (at === index ? { ...one, fault } : one)),
    };
  }
  const how = MISASSEMBLIES.find((one) => one === kind);
  if (how) return misassembled(hidden, how, random);
  const form = SIMULATED_PARTS.find((one) => one === kind);
  if (form) return { ...hidden, parts: [...(hidden.parts ?? []), partOf(form, hidden.terminals, random)] };
  const faults = {
    ...NO_METER_FAULTS,
    ...hidden.meter.faults,
    ...meterFault(kind as keyof MeterFaults, hidden.terminals, random),
  };
  return { ...hidden, meter: { ...hidden.meter, faults } };
}

const pick = <Item>(items: readonly Item[], random: () => number): Item =>
  items[Math.floor(random() * items.length)] as Item;

function contactFault(kind: ContactFault['kind'], random: () => number): ContactFault {
  switch (kind) {
    case 'dirty':
      return { kind, ohms: 8 + Math.round(random() * 60) };
    case 'burnt':
      return { kind, ohms: 3 + Math.round(random() * 40) };
    case 'one-sided':
      return { kind, makes: random() < 0.5 ? 'up' : 'down' };
    case 'sometimes':
      return { kind, misses: 0.1 + Math.round(random() * 3) / 10 };
    default:
      return { kind };
  }
}

/** Ohms that such parts have, about (from memory). */
const PART_OHMS: Record<SimulatedPart['form'], number> = {
  resistor: 470,
  lamp: 12,
  motor: 28,
  suppressor: 900,
  diode: 1200,
  potentiometer: 4700,
  leak: 1.8e6,
};

function partOf(form: SimulatedPart['form'], terminals: number, random: () => number): SimulatedPart {
  const a = Math.floor(random() * terminals);
  const b = (a + 1 + Math.floor(random() * (terminals - 1))) % terminals;
  return { a, b, form, ohms: PART_OHMS[form] };
}

function meterFault(kind: keyof MeterFaults, terminals: number, random: () => number): Partial<MeterFaults> {
  switch (kind) {
    case 'fingersOhms':
      return { fingersOhms: 6e5 };
    case 'deadClip':
      // One of the two that the first bundle ties: a clip that is never put on is no lesson.
      return { deadClip: Math.floor(random() * Math.min(2, terminals)) };
    case 'autoOffAfter':
      return { autoOffAfter: 25 + Math.floor(random() * 40) };
    default:
      return { [kind]: true };
  }
}
