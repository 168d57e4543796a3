import { makeOf, type Load } from '../../log/index.js';
import type { InSetting } from '../power/in-setting.js';
import { MADE_FOR, type LoadState } from '../power/load-state.js';
import type { Powered } from '../power/power.js';
import { endKey, type Circuit } from '../wiring/circuit.js';
import type { Hazard } from './hazard.js';

// What burns or endangers a motor by how its windings are fed (common practice).

/** Windings that are fed in a way that burns them. */
export function wronglyWound(circuit: Circuit, { setting, loads: states, known }: InSetting): Hazard[] {
  return circuit.loads.flatMap((load): Hazard[] => {
    const state = states.get(load.id);
    if (!state || state.does === 'not-known') return [];
    if (fedTogether(circuit, known, load, state)) return [{ kind: 'fed-together', setting, load: load.id }];
    const [armature, field] = state.fed ?? [];
    const make = makeOf(load);
    const apart = make === 'series-wound' || make === 'shunt-wound';
    return apart && armature && !field ? [{ kind: 'field-lost', setting, load: load.id }] : [];
  });
}

/** Whether both windings of two speeds, or two taps of one, are fed at once. */
export function fedTogether(
  { endNode }: Circuit,
  { nets }: Powered,
  load: Load,
  { fed, does }: LoadState,
): boolean {
  const make = makeOf(load);
  if (make === 'two-speed') return fed?.[0] === true && fed[1] === true;
  if (make !== 'tapped' || does === 'off' || does === 'floating') return false;
  const taps = (['T1', 'T2', 'T3'] as const).map((tap) => nets[endNode.get(endKey(load.id, tap)) as number]);
  return new Set(taps).size < taps.length;
}

/** Windings on iron, of a motor or of a transformer, that half of the wave alone reaches (common practice). */
export const halfFed = ({ loads }: Circuit, { setting, loads: states }: InSetting): Hazard[] =>
  loads.flatMap((load): Hazard[] => {
    const make = makeOf(load);
    const iron = load.kind === 'electronics' || (make !== undefined && MADE_FOR[make] === 'AC');
    return iron && states.get(load.id)?.half ? [{ kind: 'half-wave', setting, load: load.id }] : [];
  });

/** Motors whose start winding is fed in no setting in which they are: told where that is first. */
export function neverStarted(
  { loads }: Circuit,
  results: readonly InSetting[],
): { hazard: Hazard; at: number }[] {
  return loads.flatMap((load) => {
    const make = makeOf(load);
    if (make !== 'run-start' && make !== 'reversible') return [];
    const states = results.map(({ loads: all }) => all.get(load.id));
    if (states.some((state) => state?.does === 'not-known' || (state?.fed?.[0] && state.fed[1]))) return [];
    const at = states.findIndex((state) => state?.fed?.[0] === true);
    const setting = results[at]?.setting;
    return setting ? [{ hazard: { kind: 'no-start' as const, setting, load: load.id }, at }] : [];
  });
}

/** Start windings that stay fed; `certain`: the handle is known to rest there. */
export function startStays(
  { loads }: Circuit,
  { setting, loads: does }: InSetting,
  certain: boolean,
): Hazard[] {
  return loads.flatMap((load): Hazard[] =>
    makeOf(load) === 'run-start' && does.get(load.id)?.fed?.[1] === true
      ? [{ kind: 'start-stays', setting, load: load.id, certain }]
      : [],
  );
}
