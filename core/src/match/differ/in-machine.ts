import {
  contactsWithPart,
  inEverySetting,
  inSetting,
  isNote,
  isSignal,
  besideKey,
  withNets,
  withPart,
  type Hazard,
  type Healthy,
  type LaidPart,
  type LoadState,
  type Machine,
  type Met,
} from '../../machine/index.js';
import type { SwitchMap } from '../../continuity/index.js';
import type { SettingId } from '../../switch/index.js';
import { of, type Difference } from './difference.js';

const RUNS: ReadonlySet<LoadState['does']> = new Set(['full', 'part', 'reversed']);

/** What hurts while the handle passes: as a difference, and as a question where it is not known. */
const GAINED: Partial<Record<Hazard['kind'], [Difference['code'], Difference['code']]>> = {
  'short-in-passing': ['supplies-meet-in-passing', 'in-passing-unknown'],
  'sources-meet-in-passing': ['supplies-meet-in-passing', 'in-passing-unknown'],
  'fed-together-in-passing': ['fed-together', 'fed-together-unknown'],
  'left-open-in-passing': ['left-open', 'left-open-unknown'],
};

const isCertain = (hazard: Hazard): boolean => !('certain' in hazard) || hazard.certain;

/** A hazard with where it is, whatever is known of it. */
const placeOf = (hazard: Hazard): string =>
  [
    hazard.kind,
    ...('from' in hazard ? [hazard.from, hazard.to] : []),
    ...('load' in hazard ? [hazard.load] : []),
  ].join(' ');

/**
 * What a part in its place would do in the machine that the switch, as it should be, does not: a brake or a stop that is lost, a
 * load that stays live at OFF, a short, what a position to spare would feed. What is not known of either is no difference here.
 */
export function machineDifferences(
  map: SwitchMap,
  machine: Machine,
  healthy: readonly Healthy[],
  laid: LaidPart,
  spare: readonly number[],
): Difference[] {
  const netsAt = new Map(healthy.map(({ setting, nets }) => [setting, nets]));
  const asked = laid.positions.map(({ from }) => from).filter((setting) => netsAt.has(setting));
  const before = inEverySetting(machine, withNets(netsAt));
  const after = inEverySetting(machine, withPart(laid));
  const found: Difference[] = [];
  const add = (code: Difference['code'], about: string, gravity: Difference['gravity'] = 'safety') => {
    if (!found.some((one) => one.code === code && one.about === about)) found.push({ code, gravity, about });
  };
  asked.forEach((setting, at) => {
    const [old, fresh] = [before, after].map(({ settings }) =>
      settings.find((one) => one.setting === setting),
    );
    for (const load of machine.circuit.loads) {
      const { id, name } = load;
      const [had, has] = [old?.loads.get(id), fresh?.loads.get(id)];
      if (isSignal(load)) {
        const known = had && has && had.does !== 'not-known' && has.does !== 'not-known';
        if (known && besideKey(had) !== besideKey(has)) add('load-differs', name);
        continue;
      }
      const [was, is] = [had?.does, has?.does];
      if (!was || !is || was === is || was === 'not-known' || is === 'not-known') continue;
      if (was === 'braked') add('brake-lost', name);
      else if (was === 'off' && is === 'floating') add('live-at-off', name);
      else if (RUNS.has(is) && !RUNS.has(was)) add('runs-on', name);
      else add('load-differs', name);
    }
    const meets = (one: typeof old) =>
      [...(one?.shorts ?? []), ...hurting(one?.met ?? [])].map((short) => short.toSorted().join());
    const was = new Set(meets(old));
    if (meets(fresh).some((short) => !was.has(short))) add('short-in-machine', String(at));
  });
  // What is known of the old one to hurt is no difference; what it only might is no excuse.
  const known = new Set(before.hazards.filter(isCertain).map(placeOf));
  for (const one of after.hazards) {
    const gained = GAINED[one.kind];
    if (!gained || known.has(placeOf(one)) || ('how' in one && isNote(one.how))) continue;
    const about = 'load' in one ? (machine.circuit.loads.find(({ id }) => id === one.load)?.name ?? '') : '';
    if (isCertain(one)) add(gained[0], about);
    else add(gained[1], about, 'question');
  }
  for (const place of spare) {
    const difference = ofSpare(map, machine, laid, place);
    if (difference) add(difference.code, difference.about);
  }
  return found;
}

/** What a position to spare would do in the machine; null: nothing. */
function ofSpare(map: SwitchMap, machine: Machine, laid: LaidPart, place: number): Difference | null {
  const contacts = contactsWithPart(map, { ...laid, positions: [{ from: SPARE, to: place }] }, SPARE);
  const { loads, shorts, met } = inSetting(machine.circuit, SPARE, contacts);
  if (shorts.length + hurting(met).length > 0) return of('supplies-meet-in-spare', 'safety', String(place));
  const runs = machine.circuit.loads.filter(({ id }) => {
    const state = loads.get(id);
    return state && RUNS.has(state.does) && !state.signal;
  });
  // Names after the place, each behind a bar.
  const names = runs.map(({ name }) => name.replaceAll('|', ' '));
  return runs.length > 0 ? of('spare-feeds', 'safety', [place, ...names].join('|')) : null;
}

/** Potentials that meet and hurt. */
const hurting = (met: readonly Met[]) =>
  met.filter(({ how }) => !isNote(how)).map(({ supplies }) => supplies);

/** Stands for a position that no setting of the old one has. */
const SPARE = 'spare' as SettingId;
