import { asAnswered, restsUnsaid } from '../../log/index.js';
import { join } from '../../partition/index.js';
import type { LoadId, SettingId, SupplyId } from '../../switch/index.js';
import { positionsOf } from '../../switch/index.js';
import { joinsOf, standsOf, type ContactsAt } from '../power/contacts.js';
import { wiredTerminals, type InSetting } from '../power/in-setting.js';
import { isNote } from '../power/meeting.js';
import type { Powered } from '../power/power.js';
import { powered } from '../power/settled.js';
import { Contacts, isBarred, settingOf, type Combination } from '../standing/combinations.js';
import { makesBeforeOf, type InPlace, type MakesBefore } from '../standing/in-place.js';
import { endKey, endsOf, type Circuit } from '../wiring/circuit.js';
import type { Machine } from '../wiring/machine.js';
import { isReturn } from '../wiring/sources.js';
import type { Hazard } from './hazard.js';
import { chattering, restarting } from './coils.js';
import { leaksIn, leaksLive } from './leaks.js';
import { hasToStayClosed, inTheGap, leftOpen } from './left-open.js';
import { fedTogether, halfFed, neverStarted, startStays, wronglyWound } from './windings.js';

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
export function hazardsOf(all: Worked): FoundHazard[] {
  const { machine } = all;
  // Where an interlock keeps the handles from standing so, nothing can hurt.
  const may = all.combinations.map((one) => !isBarred(machine, one));
  const combinations = all.combinations.filter((_, at) => may[at]);
  const results = all.results.filter((_, at) => may[at]);
  const worked = { ...all, combinations, results };
  const found = new Map<string, FoundHazard>();
  const alone = machine.handles.length === 1;
  const tell = (hazard: Hazard, combination: Combination, handle: number | null) => {
    const key = `${alone ? combination.join() : ''} ${sameHazard(hazard, handle)}`;
    const known = found.get(key);
    if (known) known.times += 1;
    else found.set(key, { hazard, combination, handle, times: 1 });
  };
  const leaks = leaksIn(machine);
  combinations.forEach((combination, at) => {
    const result = results[at] as InSetting;
    for (const hazard of [
      ...inStanding(machine.circuit, result),
      ...wronglyFed(machine.circuit, result),
      ...wronglyWound(machine.circuit, result),
      ...leftOpen(machine.circuit, result),
      ...leaksLive(machine.circuit, leaks, result),
      ...chattering(machine.circuit, result),
      ...halfFed(machine.circuit, result),
    ])
      tell(hazard, combination, null);
  });
  for (const { hazard, at } of neverStarted(machine.circuit, results))
    tell(hazard, combinations[at] as Combination, null);
  combinations.forEach((combination, at) => {
    const rests = restsThere(machine, combination);
    if (rests === false) return;
    const [result, sure] = [results[at] as InSetting, rests === true];
    for (const hazard of [
      ...startStays(machine.circuit, result, sure),
      ...restarting(machine.circuit, result, sure),
    ])
      tell(hazard, combination, null);
  });
  if (combinations.length <= MOST_PASSED) passed(worked, tell);
  return [...found.values()];
}

/** What a hazard is of, without where. */
function sameHazard(hazard: Hazard, handle: number | null): string {
  const certain = 'certain' in hazard && hazard.certain;
  const what: string[] = aboutOf(hazard);
  return [hazard.kind, handle, certain, ...what.toSorted()].join(' ');
}

/** What a hazard is about: loads, potentials or terminals. */
function aboutOf(hazard: Hazard): string[] {
  if ('loads' in hazard) return hazard.loads;
  if ('supplies' in hazard) return hazard.supplies;
  const places = 'places' in hazard ? hazard.places.map(String) : [];
  return 'load' in hazard ? [hazard.load, ...places] : places;
}

/** What can hurt in one setting. */
function inStanding(
  circuit: Circuit,
  { setting, loads, shorts, maybeShorts, met, known }: InSetting,
): Hazard[] {
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
    ...(idle && live.length > 0
      ? [{ kind: 'live-at-off' as const, setting, loads: live, supplies: reaching(circuit, known, live) }]
      : []),
  ];
}

/** Live poles that lie on an end of one of these loads. */
function reaching(
  { supplies, supplyNode, loads, endNode }: Circuit,
  { nets }: Powered,
  ids: LoadId[],
): SupplyId[] {
  const ends = new Set(
    loads
      .filter(({ id }) => ids.includes(id))
      .flatMap((load) => endsOf(load).map((end) => nets[endNode.get(endKey(load.id, end)) as number])),
  );
  return supplies
    .filter((supply) => !isReturn(supply) && ends.has(nets[supplyNode.get(supply.id) as number]))
    .map(({ id }) => id);
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

/** Whether every handle rests where it stands: false where one springs back, null where nobody has said whether one does. */
function restsThere({ handles }: Machine, combination: Combination): boolean | null {
  const rests = handles.map((handle, at): boolean | null => {
    if (handle.of === 'device' || !handle.map) return true;
    const { structure: found, log } = handle.map;
    const structure = asAnswered(found, log);
    const setting = structure.settings.find(({ id }) => id === combination[at]);
    const positions = setting ? positionsOf(structure, setting) : [];
    if (positions.some((one) => one.rests === 'momentary')) return false;
    const unsaid = restsUnsaid(found, log);
    return positions.some(({ id }) => unsaid.has(id)) ? null : true;
  });
  return rests.includes(false) ? false : rests.includes(null) ? null : true;
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
  if (makesBefore === false && !hasToStayClosed(circuit)) return turned;
  const wired = wiredTerminals(circuit);
  const [one] = standsOf(from.contacts, wired) ?? [];
  const [other] = standsOf(to.contacts, wired) ?? [];
  if (!one || !other) return turned;
  const seen = makesBefore === true;
  const gaps = seen
    ? []
    : inTheGap(circuit, [one, other], makesBefore === false, { from: from.result, to: to.result });
  if (makesBefore === false) return [...turned, ...gaps];
  const passing = powered(circuit, joinsOf(join(one, other)));
  const keyOf = (supplies: readonly SupplyId[]) => supplies.toSorted().join();
  const here = new Set(
    [from, to].flatMap(({ result }) =>
      [...result.shorts, ...result.met.map(({ supplies }) => supplies)].map(keyOf),
    ),
  );
  const fresh = passing.meetings.filter(({ supplies }) => !here.has(keyOf(supplies)));
  const together = circuit.loads.flatMap((load): Hazard[] => {
    const state = passing.loads.get(load.id);
    const stood = [from, to].some(({ result }) => {
      const was = result.loads.get(load.id);
      return !was || was.does === 'not-known' || fedTogether(circuit, result.known, load, was);
    });
    return !stood && state && fedTogether(circuit, passing, load, state)
      ? [{ kind: 'fed-together-in-passing', ...ends, load: load.id, certain: seen }]
      : [];
  });
  return [
    ...turned,
    ...gaps,
    ...together,
    ...fresh.flatMap(({ how, supplies, perhaps = false }): Hazard[] => {
      if (how === 'short')
        return [{ kind: 'short-in-passing', ...ends, supplies, certain: seen && !perhaps }];
      // What hurts nobody where it stays hurts nobody in passing.
      if (isNote(how)) return [];
      const certain = seen && !perhaps && how !== 'not-said';
      return [{ kind: 'sources-meet-in-passing', how, ...ends, supplies, seen, certain }];
    }),
  ];
}
