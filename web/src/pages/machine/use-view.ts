import {
  behaviourOf,
  combinationsOf,
  hazardsOf,
  inCombinations,
  type Combination,
  type FoundHazard,
  type InPlace,
  type InSetting,
  type LoadBehaviour,
  type Machine,
} from '@which-way/core/machine';
import type { LoadId, SettingId } from '@which-way/core/switch';
import { handleKey } from '@which-way/words/machine/handles';
import { useMemo, useState } from 'react';

/** What a machine does in every combination that is looked at. */
export interface WorkedOut {
  combinations: Combination[];
  results: InSetting[];
  behaviours: Map<LoadId, LoadBehaviour>;
  hazards: FoundHazard[];
}

/** A machine as it stands, and what it does. */
export interface MachineView {
  machine: Machine;
  standing: Combination;
  /** What it does as it stands. */
  now: InSetting;
  /** null: so many combinations that somebody has to choose which handles are turned. */
  all: WorkedOut | null;
  turn: (handle: number, setting: SettingId) => void;
}

const NONE: ReadonlySet<number> = new Set();

/**
 * A machine with what stands in it, to be turned by hand.
 * @param still handles that stand as they do in the table
 */
export function useView(machine: Machine, inPlace: InPlace, still: ReadonlySet<number> = NONE): MachineView {
  const [turned, setTurned] = useState<ReadonlyMap<string, SettingId>>(new Map());
  const standing = useMemo(
    () =>
      machine.handles.map((handle): SettingId => {
        const setting = turned.get(handleKey(handle));
        return setting && handle.settings.includes(setting) ? setting : (handle.settings[0] as SettingId);
      }),
    [machine, turned],
  );
  const now = useMemo(
    () => inCombinations(machine, [standing], inPlace)[0] as InSetting,
    [machine, standing, inPlace],
  );
  // How handles stand matters to the table only where some of them are not turned in it.
  const held = still.size > 0 ? standing : undefined;
  const all = useMemo(() => {
    const combinations = combinationsOf(machine, held, (at) => !still.has(at));
    return combinations && workedOut(machine, combinations, inPlace);
  }, [machine, held, still, inPlace]);
  const turn = (handle: number, setting: SettingId) =>
    setTurned((before) => {
      const of = machine.handles[handle];
      return of ? new Map(before).set(handleKey(of), setting) : before;
    });
  return { machine, standing, now, all, turn };
}

function workedOut(machine: Machine, combinations: Combination[], inPlace: InPlace): WorkedOut {
  const results = inCombinations(machine, combinations, inPlace);
  const behaviours = new Map(
    machine.circuit.loads.map(({ id }): [LoadId, LoadBehaviour] => [
      id,
      behaviourOf(id, combinations, results),
    ]),
  );
  return {
    combinations,
    results,
    behaviours,
    hazards: hazardsOf({ machine, combinations, results, inPlace }),
  };
}
