import { isOfSwitch, type Fault, type LoadDoes } from '@which-way/core/circuit';
import { joinedSourcesWords } from './joined-sources.js';
import type { DeviceContact, DeviceKind, Load, SystemPoint, Supply } from '@which-way/core/log';
import {
  AT_WORK,
  pinsOf,
  UNREAD,
  type LoadBehaviour,
  type HandleSettings,
  type SystemHandle,
  type SystemHazard,
} from '@which-way/core/system';
import type { JobId, SettingId, WireId } from '@which-way/core/switch';
import { DOES_WORDS, endWords, faultWords, supplyName } from './machine.js';
import { settingName } from '../terminals.js';
import { newestTag } from '../tag/wires.js';

export const DEVICE_WORDS: Record<DeviceKind, string> = {
  float: 'float',
  thermostat: 'thermostat',
  door: 'door contact',
  relay: 'relay contact',
};

/** What a device is like at rest and at work. */
const DEVICE_STATE_WORDS: Record<DeviceKind, { rest: string; work: string }> = {
  float: { rest: 'water low', work: 'water high' },
  thermostat: { rest: 'cold', work: 'warm' },
  door: { rest: 'open', work: 'shut' },
  relay: { rest: 'at rest', work: 'pulled in' },
};

/** What its contact does, in the words of the device. */
export function contactWords(kind: DeviceKind, contact: DeviceContact): string {
  const { rest, work } = DEVICE_STATE_WORDS[kind];
  switch (contact) {
    case 'makes':
      return `closes when ${work}`;
    case 'breaks':
      return `closes when ${rest}`;
    case 'changes-over':
      return `changes over: 1 when ${rest}, 2 when ${work}`;
  }
}

/**
 * Titles without the words that all of them begin with, as long as something is left of each: 'Stairs, foot' and 'Stairs, head' are
 * 'foot' and 'head'.
 */
export function shortTitles(titles: readonly string[]): string[] {
  if (titles.length < 2) return [...titles];
  const words = withoutShared(titles.map((title) => title.split(' ')));
  return withoutShared(words.map((one) => one.toReversed())).map((one) => one.toReversed().join(' '));
}

/** Lists without what all of them begin with; one word of each stays. */
function withoutShared(lists: readonly string[][]): string[][] {
  const same = (at: number) => lists.every((one) => at < one.length - 1 && one[at] === lists[0]?.[at]);
  let from = 0;
  while (same(from)) from += 1;
  return lists.map((one) => one.slice(from));
}

/** What the jobs of a system are called. */
export type JobNames = (job: JobId) => string;

/** A handle by a name that stays, whatever its job is called by now. */
export const handleKey = (handle: SystemHandle): string =>
  handle.of === 'switch' ? handle.job : handle.device.id;

export const handleName = (handle: SystemHandle, names: JobNames): string =>
  handle.of === 'switch' ? names(handle.job) : handle.device.name;

/** How a handle stands. */
export function standingName(handle: SystemHandle, setting: SettingId): string {
  if (handle.of === 'device')
    return DEVICE_STATE_WORDS[handle.device.kind][setting === AT_WORK ? 'work' : 'rest'];
  if (setting === UNREAD || !handle.map) return 'not known';
  return settingName(handle.map.structure, setting);
}

/** How all handles stand, in a line. */
export const standingsWords = (
  handles: readonly SystemHandle[],
  combination: readonly SettingId[],
  names: JobNames,
): string =>
  handles
    .map(
      (handle, at) => `${handleName(handle, names)} at ${standingName(handle, combination[at] as SettingId)}`,
    )
    .join(', ');

const orList = (words: readonly string[]): string =>
  words.length <= 1 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;

/** When a load runs, in a sentence. */
export function behaviourWords(
  of: Pick<Load, 'name'>,
  behaviour: LoadBehaviour,
  handles: readonly SystemHandle[],
  names: JobNames,
): string {
  const load = { name: of.name.charAt(0).toUpperCase() + of.name.slice(1) };
  const name = (at: number) => handleName(handles[at] as SystemHandle, names);
  const part = ({ handle, settings }: HandleSettings) => {
    const turned = handles[handle] as SystemHandle;
    return `${name(handle)} is at ${orList(settings.map((one) => standingName(turned, one)))}`;
  };
  switch (behaviour.kind) {
    case 'not-known':
      return `${load.name}: not known in every combination.`;
    case 'never':
      return `${load.name} never runs.`;
    case 'always':
      return `${load.name} always runs.`;
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
      return `${load.name} runs as soon as ${behaviour.parts.map(part).join(' or ')}.`;
  }
}

/** Up to so many loads are told one by one. */
const FEW_LOADS = 3;

/** What loads do in one combination, in a line; of many, those that are not off. */
export function doesWords(loads: readonly Load[], does: (load: Load) => LoadDoes): string {
  const told = loads.length <= FEW_LOADS ? loads : loads.filter((load) => does(load) !== 'off');
  if (told.length === 0) return 'everything off';
  const names = new Map<LoadDoes, string[]>();
  for (const load of told) names.set(does(load), [...(names.get(does(load)) ?? []), load.name]);
  const words =
    loads.length <= FEW_LOADS
      ? told.map((load) => `${load.name} ${DOES_WORDS[does(load)]}`)
      : [...names].map(([what, list]) => `${list.join(' and ')} ${DOES_WORDS[what]}`);
  return `${words.join(', ')}${told.length < loads.length ? ', all else off' : ''}`;
}

/** Words for the places of a system. */
export interface SystemNames {
  job: JobNames;
  handles: readonly SystemHandle[];
  loads: readonly Load[];
  supplies: readonly Supply[];
}

/** A place in a system, as it is chosen and told. */
export function pointWords(point: SystemPoint, { job, handles, loads, supplies }: SystemNames): string {
  switch (point.at) {
    case 'terminal': {
      const found = handles.find((one) => one.of === 'switch' && one.job === point.job);
      const map = found?.of === 'switch' ? found.map : null;
      const label = map?.structure.terminals.find(({ id }) => id === point.terminal)?.label;
      return `${job(point.job)}, terminal ${label ?? '?'}`;
    }
    case 'wire': {
      const found = handles.find((one) => one.of === 'switch' && one.job === point.job);
      const map = found?.of === 'switch' ? found.map : null;
      return `${job(point.job)}, ${map ? newestTag(map, point.wire) : 'a wire'}`;
    }
    case 'device': {
      const found = handles.find((one) => one.of === 'device' && one.device.id === point.device);
      return `${found?.of === 'device' ? found.device.name : 'a device'}, pin ${point.pin}`;
    }
    case 'supply': {
      const supply = supplies.find(({ id }) => id === point.supply);
      return supply ? supplyName(supply) : 'a supply that was taken away';
    }
    case 'load': {
      const load = loads.find(({ id }) => id === point.load);
      return load ? endWords(load, point.end) : 'a load that was taken away';
    }
  }
}

/** A wire of any of the jobs, with whose it is. */
export function wireWords(wire: string, { job, handles }: Pick<SystemNames, 'job' | 'handles'>): string {
  for (const handle of handles)
    if (handle.of === 'switch' && handle.map) {
      const text = newestTag(handle.map, wire as WireId);
      if (text !== 'a wire') return `${text} of ${job(handle.job)}`;
    }
  return 'a wire';
}

/** A terminal or a pin by its place in the machine. */
export function placeLabel(
  place: number,
  { handles }: Pick<SystemNames, 'handles'>,
  owner: readonly number[],
): string {
  const handle = handles[owner[place] ?? -1];
  if (!handle) return '?';
  const at = place - handle.from;
  if (handle.of === 'switch') return handle.map?.structure.terminals[at]?.label ?? '?';
  return pinsOf(handle.device)[at] ?? '?';
}

/** A fault of a system in a sentence: of a switch, with which one it is. */
export function systemFaultWords(
  fault: Fault,
  names: SystemNames,
  owner: readonly number[],
  atTimes = false,
): string {
  const words = faultWords(fault, {
    label: (place) => placeLabel(place, names, owner),
    tag: (wire) => wireWords(wire, names).replace(/^wire /, ''),
    loads: names.loads,
    supplies: names.supplies,
    atTimes,
  });
  const at =
    isOfSwitch(fault) && 'contact' in fault ? names.handles[owner[fault.contact[0]] ?? -1] : undefined;
  return at ? `${handleName(at, names.job)}: ${words.charAt(0).toLowerCase()}${words.slice(1)}` : words;
}

/** A hazard of a system in a sentence, with where it was found. */
export function systemHazardWords(
  { hazard, combination, handle, times }: SystemHazard,
  { job, handles, loads, supplies }: SystemNames,
): string {
  const load = (id: string) => loads.find((one) => one.id === id)?.name ?? 'a load';
  const met = (ids: readonly string[]) =>
    supplies
      .filter(({ id }) => ids.includes(id))
      .map(supplyName)
      .join(' and ');
  const where = `With ${standingsWords(handles, combination, job)}`;
  const others = times > 1 ? ` So it is in ${times - 1} more.` : '';
  const passes = `${where}, while ${handle === null ? 'a handle' : handleName(handles[handle] as SystemHandle, job)} goes a step on,`;
  switch (hazard.kind) {
    case 'short':
      return `${where}: ${met(hazard.supplies)} ${hazard.certain ? 'meet' : 'may meet: not all of it is known'}.${others}`;
    case 'sources-joined':
      return `${where}: ${met(hazard.supplies)} are joined. ${joinedSourcesWords(hazard.supplies, supplies)}${others}`;
    case 'sources-joined-in-passing':
      return `${passes} ${met(hazard.supplies)} ${hazard.seen ? 'are joined' : 'may be joined'}. ${joinedSourcesWords(hazard.supplies, supplies)}${others}`;
    case 'live-at-off':
      return `${where}: nothing runs, and ${hazard.loads.map(load).join(' and ')} stays live: only the return is broken.${others}`;
    case 'short-in-passing':
      return `${passes} ${met(hazard.supplies)} ${
        hazard.certain
          ? 'meet in passing: it was seen to make before it breaks.'
          : 'would meet in passing if the next contact makes before the last breaks: that is not known.'
      }${others}`;
    case 'reversed-at-once':
      return `${passes} ${load(hazard.load)} is turned about with no stop between: a running motor may go on, and an arc may carry over.${others}`;
    case 'start-stays':
      return `${where}: the start winding of ${load(hazard.load)} stays fed: it burns.${others}`;
  }
}
