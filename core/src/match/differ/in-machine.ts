import {
  contactsWithPart,
  inEverySetting,
  inSetting,
  isNote,
  withNets,
  withPart,
  type Healthy,
  type LaidPart,
  type LoadState,
  type Machine,
  type Met,
} from '../../machine/index.js';
import type { SwitchMap } from '../../continuity/index.js';
import type { SettingId } from '../../switch/index.js';
import type { Difference } from './differences.js';

const RUNS: ReadonlySet<LoadState['does']> = new Set(['full', 'part', 'reversed']);

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
    for (const { id, name } of machine.circuit.loads) {
      const [was, is] = [old?.loads.get(id)?.does, fresh?.loads.get(id)?.does];
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
  const passing = new Set(
    before.hazards.flatMap((one) =>
      one.kind === 'short-in-passing' && one.certain ? [`${one.from} ${one.to}`] : [],
    ),
  );
  // What is known of the old one to meet in passing is no difference; what it only might is no excuse.
  for (const one of after.hazards)
    if (one.kind === 'short-in-passing' && !passing.has(`${one.from} ${one.to}`)) {
      if (one.certain) add('supplies-meet-in-passing', '');
      else add('in-passing-unknown', '', 'question');
    }
  for (const place of spare) {
    const contacts = contactsWithPart(map, { ...laid, positions: [{ from: SPARE, to: place }] }, SPARE);
    const { loads, shorts, met } = inSetting(machine.circuit, SPARE, contacts);
    if (shorts.length + hurting(met).length > 0) add('supplies-meet-in-spare', String(place));
    else if ([...loads.values()].some(({ does }) => RUNS.has(does))) add('spare-feeds', String(place));
  }
  return found;
}

/** Potentials that meet and hurt. */
const hurting = (met: readonly Met[]) =>
  met.filter(({ how }) => !isNote(how)).map(({ supplies }) => supplies);

/** Stands for a position that no setting of the old one has. */
const SPARE = 'spare' as SettingId;
