import type { HandleSettings, LoadBehaviour, MachineHandle } from '@which-way/core/machine';
import type { Load } from '@which-way/core/log';
import { handleName, standingName, type JobNames } from './handles.js';

const orList = (words: readonly string[]): string =>
  words.length <= 1 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;

/** When a load runs, in a sentence. */
export function behaviourWords(
  of: Pick<Load, 'name'>,
  behaviour: LoadBehaviour,
  handles: readonly MachineHandle[],
  names: JobNames,
): string {
  const load = { name: of.name.charAt(0).toUpperCase() + of.name.slice(1) };
  const name = (at: number) => handleName(handles[at] as MachineHandle, names);
  const part = ({ handle, settings }: HandleSettings) => {
    const turned = handles[handle] as MachineHandle;
    return `${name(handle)} is at ${orList(settings.map((one) => standingName(turned, one)))}`;
  };
  switch (behaviour.kind) {
    case 'not-known':
      return `${load.name}: not known in every combination.`;
    case 'never':
      return `${load.name} never runs.`;
    case 'always':
      return `${load.name} always runs.`;
    case 'holds':
      return `${load.name} keeps running once started: a coil holds itself in.`;
    case 'mixed':
      return `${load.name}: no short rule; see the table.`;
    case 'follows':
      return `${load.name} runs while ${part(behaviour.part)}, whatever the others do.`;
    case 'either': {
      const [one, other, ...more] = behaviour.handles;
      const which =
        more.length === 0 && one !== undefined && other !== undefined
          ? `either of ${name(one)} and ${name(other)}`
          : `any of ${behaviour.handles.map(name).join(', ')}`;
      return `${load.name} changes whenever ${which} moves.`;
    }
    case 'all':
      return `${load.name} runs only while ${behaviour.parts.map(part).join(' and ')}.`;
    case 'any':
      return `${load.name} runs whenever ${behaviour.parts.map(part).join(' or ')}.`;
  }
}
