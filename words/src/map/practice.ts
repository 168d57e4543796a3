import type { ContactFault, MeterFaults, Misassembly, SimulatedPart } from '@which-way/core/simulated';

/** Faults of simulated contacts, as they are told afterwards. */
export const CONTACT_FAULT_WORDS: Record<ContactFault['kind'], string> = {
  dirty: 'dirty; it came clean as it was worked',
  burnt: 'burnt',
  welded: 'welded, closed everywhere',
  broken: 'broken, closed nowhere',
  unsteady: 'unsteady',
  'one-sided': 'makes only when the handle comes from one side',
  sometimes: 'did not make every time; only working it again and again shows that',
};

export const SIMULATED_PART_WORDS: Record<SimulatedPart['form'], string> = {
  resistor: 'A resistor',
  lamp: 'A lamp, warm at first',
  motor: 'A motor winding',
  suppressor: 'A suppressor that charges',
  diode: 'A diode',
  potentiometer: 'A potentiometer on the shaft',
  leak: 'A leak',
};

export const METER_FAULT_WORDS: Record<keyof MeterFaults, string> = {
  fingersOhms: 'Fingers were on both tips',
  deadClip: 'One clip was dead',
  autoOffAfter: 'The meter went to sleep',
  lowBattery: 'The meter’s battery was low',
  slowOverRange: 'The meter was slow to show over range',
};

/** How a switch was put together wrong; what it should do is then known. */
export const MISASSEMBLY_WORDS: Record<Misassembly, string> = {
  shifted: 'Assembled one detent off',
  reversed: 'The positions run the other way round',
  swapped: 'Two wires are swapped',
  bridged: 'Two lugs are bridged',
};
