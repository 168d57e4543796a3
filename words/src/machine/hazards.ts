import type { FoundHazard, MeetingKind } from '@which-way/core/machine';
import type { LoadMake, Supply } from '@which-way/core/log';
import type { SettingId, SupplyId } from '@which-way/core/switch';
import { handleName, standingName, standingsWords } from './handles.js';
import { supplyAmong } from './loads.js';
import { placeLabel, type MachineNames } from './places.js';
import { ohms } from '../quantity.js';

/** What it comes to where potentials of two sources, or of one behind two fuses, lie together. */
function meetingWords(how: MeetingKind, ids: readonly SupplyId[], supplies: readonly Supply[]): string {
  const direct = supplies.some(({ id, kind }) => ids.includes(id) && kind === '+');
  switch (how) {
    case 'short':
      return 'A short.';
    case 'back-feed':
      return 'One feeds back into the other and can kill on the line; pulling one fuse or plug leaves it live.';
    case 'parallel':
      return 'Two batteries in parallel: a flat one draws heavy current from the full one. If you mean it, say so.';
    case 'not-said':
      return direct
        ? 'If they are two batteries, a flat one draws heavy current from the full one. If they are one battery behind two fuses, only a fuse is bypassed. Say which it is.'
        : 'If they are two sources, one feeds back into the other and can kill on the line. If they are one source behind two fuses, pulling one leaves it live. Say which it is.';
    case 'past-fuse':
      return 'One source behind two fuses: no short, and one of the fuses no longer protects.';
    case 'on-purpose':
      return 'You said that is on purpose. Both need a fuse.';
    case 'shared-point':
      return 'They share nothing else, so no current flows between them. From here on they share this point.';
  }
}

/** Where a hazard is: in a standing, or while a handle goes a step on. */
function whereWords({ hazard, combination, handle }: FoundHazard, { job, machine }: MachineNames): string {
  const { handles } = machine;
  const here = standingsWords(handles, combination, job);
  const passing = handle === null ? undefined : handles[handle];
  if (!passing) return handles.length === 1 ? `At ${here}` : `With ${here}:`;
  if (handles.length > 1) return `With ${here}, while ${handleName(passing, job)} moves one step,`;
  return `From ${here} to ${'to' in hazard ? standingName(passing, hazard.to as SettingId) : '?'}`;
}

type Hazard = FoundHazard['hazard'];
/** Hazards of potentials: they have their supplies. */
type OfSupplies = Extract<Hazard, { supplies: SupplyId[] }>;

/** A hazard in a sentence, with where it was found first. */
export function hazardWords(found: FoundHazard, names: MachineNames): string {
  const { hazard, times } = found;
  const others = times > 1 ? ` So it is in ${times - 1} more.` : '';
  const says = 'supplies' in hazard ? supplyHazard(hazard, names) : loadHazard(hazard, names);
  return `${whereWords(found, names)} ${says}${others}`;
}

const loadName = (id: string, { machine }: MachineNames): string =>
  machine.circuit.loads.find((one) => one.id === id)?.name ?? 'a load';

/** What potentials do. */
function supplyHazard(hazard: OfSupplies, names: MachineNames): string {
  const { supplies } = names.machine.circuit;
  const met = supplies
    .filter(({ id }) => hazard.supplies.includes(id))
    .map((supply) => supplyAmong(supply, supplies))
    .join(' and ');
  switch (hazard.kind) {
    case 'short':
      return `${met} ${hazard.certain ? 'meet' : 'may meet: not all of it is known'}.`;
    case 'sources-meet': {
      const certain = hazard.certain || hazard.how === 'not-said';
      return `${met} ${certain ? 'are' : 'may be'} joined. ${meetingWords(hazard.how, hazard.supplies, supplies)}`;
    }
    case 'sources-meet-in-passing':
      return `${met} ${hazard.seen ? 'are joined' : 'may be joined'} in passing. ${meetingWords(hazard.how, hazard.supplies, supplies)}`;
    case 'short-in-passing':
      return hazard.certain
        ? `${met} meet in passing: it was seen to make before it breaks.`
        : `${met} would meet in passing if the next contact makes before the last breaks: that is not known.`;
    case 'live-at-off': {
      const stays = hazard.loads.map((id) => loadName(id, names)).join(' and ');
      return `nothing runs, and ${stays} stays live${met === '' ? '' : ` from ${met}`}: only the return is broken.`;
    }
  }
}

/** What a load gets, or a terminal does. */
function loadHazard(hazard: Exclude<Hazard, OfSupplies>, names: MachineNames): string {
  if (hazard.kind === 'leak-to-frame') {
    const lugs = hazard.places.map((place) => placeLabel(place, names)).join(', ');
    const many = hazard.places.length > 1;
    return `${lugs} ${many ? 'are' : 'is'} live and ${many ? 'leak' : 'leaks'} to the frame (${ohms(hazard.ohms)}): touching the metal may give a shock. Don’t use it like this.`;
  }
  const name = loadName(hazard.load, names);
  if (hazard.kind === 'leak-across') {
    const contact = hazard.places.map((place) => placeLabel(place, names)).join('–');
    return `${name} is off, not dead: ${contact} leaks (${ohms(hazard.ohms)}) while it is open. Isolate before you touch.`;
  }
  const make = names.machine.circuit.loads.find((one) => one.id === hazard.load)?.make;
  const volts = (value: number) => `${Number(value.toPrecision(3))} V`;
  const speeds = make === 'two-speed' ? `both windings of ${name}` : `two taps of ${name}`;
  switch (hazard.kind) {
    case 'over-volts':
      return `${name} gets ${volts(hazard.at)} and is made for ${volts(hazard.rated)}: too much, it burns out.`;
    case 'under-volts':
      return `${name} gets ${volts(hazard.at)} and is made for ${volts(hazard.rated)}: it may not start, or overheat.`;
    case 'phase-lost':
      return `${name} has lost a phase: it may not start, or run overloaded and burn out.`;
    case 'reversed-at-once':
      return `${name} reverses without stopping: a running motor may keep turning, and an arc may carry over.`;
    case 'start-stays':
      return hazard.certain
        ? `the start winding of ${name} stays energised and will burn out.`
        : `the start winding of ${name} burns out if the handle stays there. Say under Terminals whether it springs back.`;
    case 'restarts':
      return hazard.certain
        ? `${name} starts by itself when power comes back after a cut. Use a start button and a holding contact.`
        : `${name} starts by itself after a power cut if the handle stays there. Say under Terminals whether it springs back.`;
    case 'half-wave':
      return `${name} runs through a diode: its iron saturates, and it overheats and burns out.`;
    case 'chatters':
      return `${name} chatters: its own contact keeps cutting off its coil.`;
    case 'no-start':
      return `${name} is powered but its start winding never is: it hums and overheats, and runs either way when pushed.`;
    case 'field-lost':
      return `the armature of ${name} is powered without its field: it may race until it breaks, or burn out.`;
    case 'fed-together':
      return `${speeds} are powered together: that burns it out.`;
    case 'fed-together-in-passing':
      return `${speeds} ${hazard.certain ? 'are' : 'may be'} powered together while the handle moves. Use a break-before-make switch.`;
    case 'left-open':
      return openWords(name, make, '');
    case 'left-open-in-passing':
      return `${openWords(name, make, hazard.certain ? ' for a moment' : ', perhaps for a moment')} Use a make-before-break switch.`;
  }
}

/** What comes of something that must stay closed, and is open. */
const openWords = (name: string, make: LoadMake | undefined, when: string): string =>
  make === 'alternator'
    ? `${name} is cut off from its battery${when}: with the engine running that destroys it, and what it feeds.`
    : `the secondary of ${name} is open${when}: under load its voltage can kill.`;
