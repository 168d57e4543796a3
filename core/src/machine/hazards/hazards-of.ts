import { asAnswered } from '../../log/index.js';
import { join } from '../../partition/index.js';
import type { SettingId, SupplyId } from '../../switch/index.js';
import { positionsOf } from '../../switch/index.js';
import { standsOf, type ContactsAt } from '../power/contacts.js';
import { wiredTerminals, type InSetting } from '../power/in-setting.js';
import { isNote } from '../power/meeting.js';
import { powered } from '../power/power.js';
import { Contacts, settingOf, type Combination } from '../standing/combinations.js';
import { makesBeforeOf, type InPlace, type MakesBefore } from '../standing/in-place.js';
import type { Circuit } from '../wiring/circuit.js';
import type { Machine } from '../wiring/machine.js';
import type { Hazard } from './hazard.js';

/** A hazard, where it was found first, and in how many combinations or steps it is. */
export interface FoundHazard {
  hazard: Hazard;
  combination: Combination;
  /** The handle that passes, by place; null: it stands so. */
  handle: number | null;
  times: number;
}

/** In more combinations than this it is not worked out what happens while a handle passes. */
const MOST_PASSED = 512;

/** What a machine does, and whose contacts stand in it. */
export interface Worked {
  machine: Machine;
  combinations: readonly Combination[];
  /** What it does in each of them. */
  results: readonly InSetting[];
  inPlace: InPlace;
}

/**
 * What can hurt: in every combination, and, of few enough, while one handle goes a step on and the others stand. With several handles
 * alike ones are told once; of one handle each setting and each step is told.
 */
export function hazardsOf(worked: Worked): FoundHazard[] {
  const { machine, combinations, results } = worked;
  const found = new Map<string, FoundHazard>();
  const alone = machine.handles.length === 1;
  const tell = (hazard: Hazard, combination: Combination, handle: number | null) => {
    const key = `${alone ? combination.join() : ''} ${sameHazard(hazard, handle)}`;
    const known = found.get(key);
    if (known) known.times += 1;
    else found.set(key, { hazard, combination, handle, times: 1 });
  };
  combinations.forEach((combination, at) => {
    const result = results[at] as InSetting;
    for (const hazard of [...inStanding(result), ...wronglyFed(machine.circuit, result)])
      tell(hazard, combination, null);
  });
  combinations.forEach((combination, at) => {
    if (springs(machine, combination)) return;
    for (const hazard of startStays(machine.circuit, results[at] as InSetting))
      tell(hazard, combination, null);
  });
  if (combinations.length <= MOST_PASSED) passed(worked, tell);
  return [...found.values()];
}

/** What a hazard is of, without where. */
function sameHazard(hazard: Hazard, handle: number | null): string {
  const certain = 'certain' in hazard && hazard.certain;
  const what = 'supplies' in hazard ? hazard.supplies : 'loads' in hazard ? hazard.loads : [hazard.load];
  return [hazard.kind, handle, certain, ...what.toSorted()].join(' ');
}

/** What can hurt in one setting. */
function inStanding({ setting, loads, shorts, maybeShorts, met }: InSetting): Hazard[] {
  const states = [...loads];
  // A load of which nothing is known does not hide one that is known to be live.
  const idle = states.every(([, { does }]) => does === 'off' || does === 'floating' || does === 'not-known');
  const live = states.filter(([, { does }]) => does === 'floating').map(([id]) => id);
  return [
    ...shorts.map((supplies): Hazard => ({ kind: 'short', setting, supplies, certain: true })),
    ...maybeShorts.map((supplies): Hazard => ({ kind: 'short', setting, supplies, certain: false })),
    ...met.map(({ how, supplies, certain }): Hazard => ({
      ...{ kind: 'sources-meet', how, setting, supplies },
      certain: certain && how !== 'not-said',
    })),
    ...(idle && live.length > 0 ? [{ kind: 'live-at-off' as const, setting, loads: live }] : []),
  ];
}

/** Loads that are fed with what hurts them. */
function wronglyFed({ loads }: Circuit, { setting, loads: states }: InSetting): Hazard[] {
  return loads.flatMap(({ id, kind, make }): Hazard[] => {
    const state = states.get(id);
    if (!state) return [];
    if (make === 'three-phase' && state.does === 'stalled')
      return [{ kind: 'phase-lost', setting, load: id }];
    if (!state.volts) return [];
    const { at, rated } = state.volts;
    if (at > rated) return [{ kind: 'over-volts', setting, load: id, at, rated }];
    // Heaters and lamps in series are low on purpose, and so is a motor in star.
    const inStar = make === 'three-phase' && Math.abs(at / rated - 1 / Math.sqrt(3)) < 0.03;
    return (kind === 'motor' && !inStar) || kind === 'electronics'
      ? [{ kind: 'under-volts', setting, load: id, at, rated }]
      : [];
  });
}

/** Whether some handle springs back from where it stands. */
const springs = ({ handles }: Machine, combination: Combination): boolean =>
  handles.some((handle, at) => {
    if (handle.of === 'device' || !handle.map) return false;
    const structure = asAnswered(handle.map.structure, handle.map.log);
    const setting = structure.settings.find(({ id }) => id === combination[at]);
    return (
      setting !== undefined && positionsOf(structure, setting).some(({ rests }) => rests === 'momentary')
    );
  });

/** Start windings that stay fed. */
function startStays({ loads, endNode }: Circuit, { setting, known, loads: does }: InSetting): Hazard[] {
  return loads.flatMap(({ id, make }): Hazard[] => {
    if (make !== 'run-start') return [];
    const { nets, live } = known;
    const net = (end: string) => nets[endNode.get(`${id} ${end}`) as number] as number;
    const fed = live.has(net('S')) !== live.has(net('C')) && does.get(id)?.does !== 'not-known';
    return fed ? [{ kind: 'start-stays', setting, load: id }] : [];
  });
}

function passed(
  { machine, combinations, results, inPlace }: Worked,
  tell: (hazard: Hazard, combination: Combination, handle: number) => void,
): void {
  const contacts = new Contacts(machine, inPlace);
  const places = new Map(combinations.map((one, at) => [settingOf(machine, one), at]));
  const standing = (at: number): HandleStop => ({
    contacts: contacts.at(combinations[at] as Combination),
    result: results[at] as InSetting,
  });
  combinations.forEach((combination, at) => {
    machine.handles.forEach((handle, place) => {
      const next = handle.settings[handle.settings.indexOf(combination[place] as SettingId) + 1];
      const to = next && places.get(settingOf(machine, combination.with(place, next)));
      if (to === undefined) return;
      const makes = makesBeforeOf(handle, inPlace);
      for (const hazard of inPassing(machine.circuit, standing(at), standing(to), makes))
        tell(hazard, combination, place);
    });
  });
}

/** A machine as it stands, with its contacts. */
interface HandleStop {
  contacts: ContactsAt;
  result: InSetting;
}

/** What joins for a moment where the next contact makes before the last one breaks: both settings' nets together. */
function inPassing(circuit: Circuit, from: HandleStop, to: HandleStop, makesBefore: MakesBefore): Hazard[] {
  const ends = { from: from.result.setting, to: to.result.setting };
  const turned = circuit.loads.flatMap(({ id }): Hazard[] => {
    const does = [from, to].map(({ result }) => result.loads.get(id)?.does);
    const both = does.includes('reversed') && (does.includes('full') || does.includes('part'));
    return both ? [{ kind: 'reversed-at-once', ...ends, load: id }] : [];
  });
  if (makesBefore === false) return turned;
  const wired = wiredTerminals(circuit);
  const [one] = standsOf(from.contacts, wired) ?? [];
  const [other] = standsOf(to.contacts, wired) ?? [];
  if (!one || !other) return turned;
  const passing = powered(
    circuit,
    join(one, other).flatMap((root, place): [number, number][] => (root === place ? [] : [[root, place]])),
  );
  const keyOf = (supplies: readonly SupplyId[]) => supplies.toSorted().join();
  const here = new Set(
    [from, to].flatMap(({ result }) =>
      [...result.shorts, ...result.met.map(({ supplies }) => supplies)].map(keyOf),
    ),
  );
  const fresh = passing.meetings.filter(({ supplies }) => !here.has(keyOf(supplies)));
  const seen = makesBefore === true;
  return [
    ...turned,
    ...fresh.flatMap(({ how, supplies }): Hazard[] => {
      if (how === 'short') return [{ kind: 'short-in-passing', ...ends, supplies, certain: seen }];
      // What hurts nobody where it stays hurts nobody in passing.
      if (isNote(how)) return [];
      const certain = seen && how !== 'not-said';
      return [{ kind: 'sources-meet-in-passing', how, ...ends, supplies, seen, certain }];
    }),
  ];
}
