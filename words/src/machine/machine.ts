import {
  comesAndGoes,
  type Fault,
  type Hazard,
  type InSetting,
  type LoadComplaint,
  type LoadDoes,
  type LoadState,
  type Machine,
} from '@which-way/core/circuit';
import { joinedSourcesWords } from './joined-sources.js';
import type { Conducts, Load, LoadEnd, LoadMake, LoadSeen, Supply } from '@which-way/core/log';
import type { PresetName } from '@which-way/core/match';
import type { LoadId, Structure, SupplyId } from '@which-way/core/switch';
import { settingName } from '../terminals.js';

export const DOES_WORDS: Record<LoadDoes, string> = {
  off: 'off',
  full: 'full',
  part: 'part',
  reversed: 'reversed',
  braked: 'braked',
  floating: 'off, yet live',
  stalled: 'fed, does not turn',
  'not-known': 'not known',
};

export const MAKE_WORDS: Record<LoadMake, string> = {
  'permanent-magnet': 'permanent magnet, DC',
  universal: 'series or universal',
  capacitor: 'capacitor-run, three leads',
  'run-start': 'split phase: run and start',
  reversible: 'run and start winding apart, four leads',
  'three-phase': 'three-phase, six ends',
};

const END_WORDS: Partial<Record<LoadEnd, string>> = {
  '+': '+ (forward)',
  C: 'common',
  A: 'A (forward)',
  R: 'run',
  S: 'start',
  M1: 'run 1',
  M2: 'run 2',
  S1: 'start 1',
  S2: 'start 2',
};

/** An end of a load, as it is chosen. */
export const endWords = ({ name }: Pick<Load, 'name'>, end: LoadEnd): string =>
  `${name}, ${END_WORDS[end] ?? `end ${end}`}`;

/** A supply by its name or its kind. */
export const supplyName = ({ name, kind }: Pick<Supply, 'name' | 'kind'>): string => name || kind;

const figure = (value: number): string => String(Number(value.toPrecision(3)));
export const wattsWords = (watts: number | null): string =>
  watts === null ? 'not known' : `${figure(Math.round(watts))} W`;

/** What a load does, with its share where it is a part. */
export const stateWords = ({ does, share }: LoadState): string =>
  does === 'part' && share !== null ? `part, ${Math.round(share * 100)} %` : DOES_WORDS[does];

/** What happens in a setting, in a sentence. */
export function settingSentence(
  structure: Structure,
  { setting, loads, watts }: InSetting,
  all: readonly Load[],
): string {
  const name = settingName(structure, setting);
  const said = (['full', 'part', 'reversed', 'braked', 'stalled', 'floating', 'not-known'] as const).flatMap(
    (does) => {
      const named = all.filter(({ id }) => loads.get(id)?.does === does);
      const shares = new Set(named.map(({ id }) => Math.round((loads.get(id)?.share ?? 0) * 100)));
      const [share] = shares;
      const how = does !== 'part' ? DOES_WORDS[does] : shares.size === 1 ? `at ${share} %` : 'in part';
      return named.length > 0 ? [`${named.map(({ name: one }) => one).join(' and ')} ${how}`] : [];
    },
  );
  const what = said.length > 0 ? said.join('; ') : 'everything off';
  // The figure and its unit stay on one line.
  const figures = watts !== null && watts > 0 ? `, ${wattsWords(watts).replace(' ', '\u00a0')}` : '';
  return `At ${name}: ${what}${figures}`;
}

/** A hazard in a sentence. */
export function hazardWords(
  hazard: Hazard,
  structure: Structure,
  loads: readonly Load[],
  supplies: readonly Supply[],
): string {
  const load = (id: LoadId) => loads.find((one) => one.id === id)?.name ?? 'a load';
  const met = (ids: readonly SupplyId[]) =>
    supplies
      .filter(({ id }) => ids.includes(id))
      .map(supplyName)
      .join(' and ');
  switch (hazard.kind) {
    case 'short':
      return `At ${settingName(structure, hazard.setting)} ${met(hazard.supplies)} ${hazard.certain ? 'meet' : 'may meet: not all of it is known'}.`;
    case 'sources-joined':
      return `At ${settingName(structure, hazard.setting)} ${met(hazard.supplies)} are joined. ${joinedSourcesWords(hazard.supplies, supplies)}`;
    case 'sources-joined-in-passing':
      return `From ${settingName(structure, hazard.from)} to ${settingName(structure, hazard.to)} ${met(hazard.supplies)} ${hazard.seen ? 'are joined' : 'may be joined'} in passing. ${joinedSourcesWords(hazard.supplies, supplies)}`;
    case 'live-at-off':
      return `At ${settingName(structure, hazard.setting)} nothing runs, and ${hazard.loads.map(load).join(' and ')} stays live: only the return is broken.`;
    case 'short-in-passing':
      return `From ${settingName(structure, hazard.from)} to ${settingName(structure, hazard.to)} ${met(hazard.supplies)} ${
        hazard.certain
          ? 'meet in passing: it was seen to make before it breaks.'
          : 'would meet in passing if the next contact makes before the last breaks: that is not known.'
      }`;
    case 'reversed-at-once':
      return `From ${settingName(structure, hazard.from)} to ${settingName(structure, hazard.to)} ${load(hazard.load)} is turned about with no stop between: a running motor may go on, and an arc may carry over.`;
    case 'start-stays':
      return `At ${settingName(structure, hazard.setting)} the start winding of ${load(hazard.load)} stays fed: it burns.`;
  }
}

/** What was seen of a load, in a word. */
export const SEEN_WORDS: Record<LoadSeen['seen'] & string, string> = {
  right: 'as it should',
  off: 'off',
  on: 'on',
  weak: 'weak',
  reversed: 'the wrong way',
  sometimes: 'now and then',
};

/** What is wrong with a load, whatever the setting. */
export const COMPLAINT_WORDS: Record<LoadComplaint, string> = {
  'never-on': 'never on',
  'never-off': 'never off',
  weak: 'weak',
  'wrong-way': 'wrong way',
  sometimes: 'sometimes',
};

/** What is read between two places of a dead machine. */
export const CONDUCTS_WORDS: Record<Conducts, string> = {
  closed: 'About 0 Ω: joined',
  ohms: 'Some ohms',
  open: 'Open',
};

/** A place in the machine of one switch: a lug, where a supply comes in, an end of a load. */
export function machinePlace(
  node: number,
  machine: Pick<Machine, 'terminals' | 'supplies' | 'loads' | 'supplyNode' | 'endNode'>,
  label: (place: number) => string,
): string {
  if (node < machine.terminals.length) return `terminal ${label(node)}`;
  const supply = machine.supplies.find(({ id }) => machine.supplyNode.get(id) === node);
  if (supply) return `where ${supplyName(supply)} comes in`;
  const [key = ''] = [...machine.endNode].find(([, at]) => at === node) ?? [];
  const [id, end] = key.split(' ');
  const load = machine.loads.find((one) => one.id === id);
  return load ? endWords(load, end as LoadEnd) : '?';
}

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
      return 'Nothing of what is drawn here is wrong';
    case 'never-closes':
      return `Contact ${fault.contact.map(label).join('–')} does not close`;
    case 'never-opens':
      return `${fault.contact.map(label).join('–')} does not open: welded, or bridged`;
    case 'high':
      return `Contact ${fault.contact.map(label).join('–')} is of high resistance`;
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

/** A fault that comes and goes, in a sentence. */
function faultAtTimes(fault: Fault, { label, tag, loads, supplies }: FaultNames): string {
  switch (fault.kind) {
    case 'never-closes':
      return `Contact ${fault.contact.map(label).join('–')} fails to close now and then`;
    case 'never-opens':
      return `${fault.contact.map(label).join('–')} sticks or is bridged now and then`;
    case 'high':
      return `Contact ${fault.contact.map(label).join('–')} is dirty or worn: of high resistance now and then`;
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

export const PRESET_WORDS: Record<PresetName, string> = {
  'three-heat': 'Three heats: two elements in series, one, both',
  reversing: 'A motor forward and back, with a stop',
  'reversing-with-brake': 'A motor forward and back, braked between',
  'run-and-brake': 'A motor that is braked when let go',
  'two-way-at-the-line': 'One lamp from two places: the switch at the line',
  'two-way-at-the-lamp': 'One lamp from two places: the switch at the lamp',
  intermediate: 'One lamp from three places: the switch between',
  'manual-off-auto': 'By hand, off, or by a float or thermostat',
};
