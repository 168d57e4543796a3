import type { FoundHazard } from '@which-way/core/machine';
import type { Supply } from '@which-way/core/log';
import type { SettingId, SupplyId } from '@which-way/core/switch';
import { handleName, standingName, standingsWords } from './handles.js';
import { supplyName } from './loads.js';
import type { MachineNames } from './places.js';

/** What may come of two live potentials of one kind that are joined: which of the two it is, nobody has said. */
function joinedSourcesWords(ids: readonly SupplyId[], supplies: readonly Supply[]): string {
  const direct = supplies.some(({ id, kind }) => ids.includes(id) && kind === '+');
  return direct
    ? 'If they are two batteries, a flat one draws heavy current from the full one. If they are one battery behind two fuses, only a fuse is bypassed.'
    : 'If they are two sources, one feeds back into the other and can kill on the line. If they are one source behind two fuses, pulling one leaves it live.';
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
      .map(supplyName)
      .join(' and ');
  const others = times > 1 ? ` So it is in ${times - 1} more.` : '';
  const says = (words: string) => `${whereWords(found, names)} ${words}${others}`;
  switch (hazard.kind) {
    case 'short':
      return says(`${met(hazard.supplies)} ${hazard.certain ? 'meet' : 'may meet: not all of it is known'}.`);
    case 'sources-joined':
      return says(`${met(hazard.supplies)} are joined. ${joinedSourcesWords(hazard.supplies, supplies)}`);
    case 'sources-joined-in-passing':
      return says(
        `${met(hazard.supplies)} ${hazard.seen ? 'are joined' : 'may be joined'} in passing. ${joinedSourcesWords(hazard.supplies, supplies)}`,
      );
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
