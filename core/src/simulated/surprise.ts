import { seededRandom } from '../switch/index.js';
import { NO_METER_FAULTS, type ContactFault, type MeterFaults, type SimulatedPart } from './faults.js';
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
  if (kind < 0.6 && hidden.contacts.length > 0) {
    const index = Math.floor(random() * hidden.contacts.length);
    const fault = anyContactFault(random);
    return {
      ...hidden,
      contacts: hidden.contacts.map((one, at) => (at === index ? { ...one, fault } : one)),
    };
  }
  if (kind < 0.8 && hidden.terminals > 2) {
    return { ...hidden, parts: [...(hidden.parts ?? []), anyPart(hidden.terminals, random)] };
  }
  const faults = anyMeterFault(hidden.terminals, random);
  return {
    ...hidden,
    meter: { ...hidden.meter, faults: { ...NO_METER_FAULTS, ...hidden.meter.faults, ...faults } },
  };
}

const pick = <Item>(items: readonly Item[], random: () => number): Item =>
  items[Math.floor(random() * items.length)] as Item;

function anyContactFault(random: () => number): ContactFault {
  return pick<ContactFault>(
    [
      { kind: 'dirty', ohms: 8 + Math.round(random() * 60) },
      { kind: 'burnt', ohms: 3 + Math.round(random() * 40) },
      { kind: 'welded' },
      { kind: 'broken' },
      { kind: 'unsteady' },
      { kind: 'one-sided', makes: random() < 0.5 ? 'up' : 'down' },
    ],
    random,
  );
}

function anyPart(terminals: number, random: () => number): SimulatedPart {
  const a = Math.floor(random() * terminals);
  const b = (a + 1 + Math.floor(random() * (terminals - 1))) % terminals;
  const [form, ohms] = pick<[SimulatedPart['form'], number]>(
    [
      ['resistor', 470],
      ['lamp', 12],
      ['motor', 28],
      ['suppressor', 900],
      ['diode', 1200],
      ['potentiometer', 4700],
      ['leak', 1.8e6],
    ],
    random,
  );
  return { a, b, form, ohms };
}

function anyMeterFault(terminals: number, random: () => number): Partial<MeterFaults> {
  return pick<Partial<MeterFaults>>(
    [
      { fingersOhms: 6e5 },
      { deadClip: Math.floor(random() * terminals) },
      { autoOffAfter: 25 + Math.floor(random() * 40) },
      { lowBattery: true },
      { slowOverRange: true },
    ],
    random,
  );
}
