import type { LoadId, SettingId } from '../../switch/index.js';
import type { Observation } from '../hunt/index.js';
import { NOT_KNOWN, besideKey, type LoadDoes, type LoadState } from './load-state.js';
import type { InSetting } from './in-setting.js';

/** A load that does otherwise with the switch as it is than with the switch as it should be. */
export interface DoesOtherwise {
  setting: SettingId;
  load: LoadId;
  is: LoadState;
  should: LoadState;
}

/** What the differences of a switch do in its machine, and how much of a complaint they explain. */
export interface SwitchInMachine {
  otherwise: DoesOtherwise[];
  explained: Observation[];
  /** What was seen and does not come of this switch. */
  left: Observation[];
}

const RUNS: ReadonlySet<LoadDoes> = new Set(['full', 'part', 'reversed']);

/** Whether what a load does is what was seen of it. */
function isSeen(seen: Observation['seen'], does: LoadDoes, should: LoadDoes): boolean {
  switch (seen) {
    case 'right':
      return does === should;
    case 'off':
      return !RUNS.has(does);
    case 'on':
      if (should === 'reversed') return does === 'reversed';
      return does === 'full' || (does === 'part' && should === 'part');
    case 'weak':
      return does === 'part' && should !== 'part';
    case 'reversed':
      // The wrong way is forward where it should turn back.
      return should === 'reversed' ? does === 'full' || does === 'part' : does === 'reversed';
    case 'sometimes':
      // What the switch does otherwise it may do otherwise at times only.
      return does !== should;
  }
}

/** Compares what a machine does with the switch as mapped with what it should do. What is not known on either side is left out. */
export function switchInMachine(
  mapped: readonly InSetting[],
  should: readonly InSetting[],
  observations: readonly Observation[],
): SwitchInMachine {
  const stateAt = (all: readonly InSetting[], setting: SettingId, load: LoadId) =>
    all.find((one) => one.setting === setting)?.loads.get(load) ?? NOT_KNOWN;
  const doesAt = (all: readonly InSetting[], setting: SettingId, load: LoadId) =>
    stateAt(all, setting, load).does;
  const otherwise = mapped.flatMap(({ setting, loads }) =>
    [...loads].flatMap(([load, is]): DoesOtherwise[] => {
      const wanted = stateAt(should, setting, load);
      const known = is.does !== 'not-known' && wanted.does !== 'not-known';
      const differs = is.does !== wanted.does || besideKey(is) !== besideKey(wanted);
      return known && differs ? [{ setting, load, is, should: wanted }] : [];
    }),
  );
  const comes = ({ setting, load, seen }: Observation) =>
    isSeen(seen, doesAt(mapped, setting, load), doesAt(should, setting, load));
  return {
    otherwise,
    explained: observations.filter(comes),
    left: observations.filter((one) => !comes(one)),
  };
}
