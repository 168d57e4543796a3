import type { FoundHazard, MeetingKind } from '@which-way/core/machine';
import type { Supply } from '@which-way/core/log';
import type { SettingId, SupplyId } from '@which-way/core/switch';
import { handleName, standingName, standingsWords } from './handles.js';
import { supplyAmong } from './loads.js';
import type { MachineNames } from './places.js';

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
  if (handles.length > 1) return `With ${here}, while ${handleName(passing, job)} goes a step on,`;
  return `From ${here} to ${'to' in hazard ? standingName(passing, hazard.to as SettingId) : '?'}`;
}

/** A hazard in a sentence, with where it was found first. */
export function hazardWords(found: FoundHazard, names: MachineNames): string {
  const { hazard, times } = found;
  const { loads, supplies } = names.machine.circuit;
  const load = (id: string) => loads.find((one) => one.id === id)?.name ?? 'a load';
  const met = (ids: readonly string[]) =>
    supplies
      .filter(({ id }) => ids.includes(id))
      .map((supply) => supplyAmong(supply, supplies))
      .join(' and ');
  const others = times > 1 ? ` So it is in ${times - 1} more.` : '';
  const volts = (value: number) => `${Number(value.toPrecision(3))} V`;
  const certain = !('certain' in hazard) || hazard.certain || ('how' in hazard && hazard.how === 'not-said');
  const may = certain ? 'are' : 'may be';
  const says = (words: string) => `${whereWords(found, names)} ${words}${others}`;
  switch (hazard.kind) {
    case 'short':
      return says(`${met(hazard.supplies)} ${hazard.certain ? 'meet' : 'may meet: not all of it is known'}.`);
    case 'sources-meet':
      return says(
        `${met(hazard.supplies)} ${may} joined. ${meetingWords(hazard.how, hazard.supplies, supplies)}`,
      );
    case 'sources-meet-in-passing':
      return says(
        `${met(hazard.supplies)} ${hazard.seen ? 'are joined' : 'may be joined'} in passing. ${meetingWords(hazard.how, hazard.supplies, supplies)}`,
      );
    case 'over-volts':
      return says(
        `${load(hazard.load)} gets ${volts(hazard.at)} and is made for ${volts(hazard.rated)}: too much, it burns out.`,
      );
    case 'under-volts':
      return says(
        `${load(hazard.load)} gets ${volts(hazard.at)} and is made for ${volts(hazard.rated)}: it may not start, or overheat.`,
      );
    case 'phase-lost':
      return says(`${load(hazard.load)} has lost a phase: it may not start, or run overloaded and burn out.`);
    case 'live-at-off':
      return says(
        `nothing runs, and ${hazard.loads.map(load).join(' and ')} stays live: only the return is broken.`,
      );
    case 'short-in-passing':
      return says(
        `${met(hazard.supplies)} ${
          hazard.certain
            ? 'meet in passing: it was seen to make before it breaks.'
            : 'would meet in passing if the next contact makes before the last breaks: that is not known.'
        }`,
      );
    case 'reversed-at-once':
      return says(
        `${load(hazard.load)} is turned about with no stop between: a running motor may go on, and an arc may carry over.`,
      );
    case 'start-stays':
      return says(`the start winding of ${load(hazard.load)} stays fed: it burns.`);
  }
}
