import { comesAndGoes, isOfSwitch, type Fault } from '@which-way/core/machine';
import type { Load, Supply } from '@which-way/core/log';
import { handleName } from './handles.js';
import { supplyName } from './loads.js';
import { handleAt, placeLabel, wireWords, type MachineNames } from './places.js';

/** What the things of a machine are called: terminals by place, wires by id. */
export interface FaultNames {
  label: (place: number) => string;
  tag: (wire: string) => string;
  loads: readonly Load[];
  supplies: readonly Supply[];
  /** It was seen to come and go. */
  atTimes?: boolean;
}

/** A fault in a sentence. */
export function faultWords(fault: Fault, names: FaultNames): string {
  const { label, tag, loads, supplies } = names;
  if (names.atTimes && comesAndGoes(fault)) return faultAtTimes(fault, names);
  switch (fault.kind) {
    case 'none':
      return 'Nothing shown here is faulty';
    case 'never-closes':
      return `Contact ${fault.contact.map(label).join('–')} does not close`;
    case 'never-opens':
      return `${fault.contact.map(label).join('–')} does not open: welded, or bridged`;
    case 'high':
      return `Contact ${fault.contact.map(label).join('–')} has high resistance`;
    case 'wire-off':
      return `Wire ${tag(fault.wire)} is off or broken`;
    case 'wires-swapped':
      return `Wires ${fault.wires.map(tag).join(' and ')} are swapped`;
    case 'load-open':
      return `${loads.find(({ id }) => id === fault.load)?.name ?? 'A load'} is open: burnt out`;
    case 'supply-missing': {
      const supply = supplies.find(({ id }) => id === fault.supply);
      return `${supply ? supplyName(supply) : 'A supply'} is missing`;
    }
  }
}

/** What a contact that is suspected for its load passed all the same, and what would clear it. */
export const PASSED_WORDS = {
  ohms: 'It reads closed, but a meter’s small current can’t clear it. Measure its voltage drop under load.',
  tone: 'It beeps, which can’t clear it. Measure it in ohms, then its voltage drop under load.',
} as const;

/** A fault that comes and goes, in a sentence. */
function faultAtTimes(fault: Fault, { label, tag, loads, supplies }: FaultNames): string {
  switch (fault.kind) {
    case 'never-closes':
      return `Contact ${fault.contact.map(label).join('–')} fails to close now and then`;
    case 'never-opens':
      return `${fault.contact.map(label).join('–')} sticks or is bridged now and then`;
    case 'high':
      return `Contact ${fault.contact.map(label).join('–')} is dirty or worn: high resistance now and then`;
    case 'wire-off':
      return `Wire ${tag(fault.wire)} is loose, or broken inside`;
    case 'load-open':
      return `${loads.find(({ id }) => id === fault.load)?.name ?? 'A load'} has a loose contact or a break in it`;
    case 'supply-missing': {
      const supply = supplies.find(({ id }) => id === fault.supply);
      return `${supply ? supplyName(supply) : 'A supply'} comes and goes`;
    }
    default:
      return faultWords(fault, { label, tag, loads, supplies });
  }
}

/** A fault of a machine in a sentence; of one of several switches, with which one it is. */
export function machineFaultWords(fault: Fault, names: MachineNames, atTimes: boolean): string {
  const { circuit, handles } = names.machine;
  const words = faultWords(fault, {
    label: (place) => placeLabel(place, names),
    tag: (wire) => wireWords(wire, names).replace(/^wire /, ''),
    loads: circuit.loads,
    supplies: circuit.supplies,
    atTimes,
  });
  if (handles.length < 2 || !isOfSwitch(fault) || !('contact' in fault)) return words;
  const handle = handleAt(fault.contact[0], names);
  return handle
    ? `${handleName(handle, names.job)}: ${words.charAt(0).toLowerCase()}${words.slice(1)}`
    : words;
}
