import {
  behaviourOf,
  combinationsOf,
  inCombinations,
  systemHazards,
  systemOf,
  type Behaviour,
  type Combination,
  type FactsOf,
  type System,
  type SystemHazard,
} from '@which-way/core/system';
import type { InSetting } from '@which-way/core/circuit';
import type { Log } from '@which-way/core/log';
import type { LoadId, SettingId } from '@which-way/core/switch';
import { useMemo, useState } from 'react';
import type { Member } from './use-members.js';

/** A system as it stands, and what it does in every combination that is looked at. */
export interface SystemView {
  system: System;
  standing: Combination;
  /** What it does as it stands. */
  now: InSetting;
  /** null: so many that somebody has to choose which handles are turned. */
  all: {
    combinations: Combination[];
    results: InSetting[];
    behaviours: Map<LoadId, Behaviour>;
    hazards: SystemHazard[];
  } | null;
  turn: (handle: number, setting: SettingId) => void;
}

export function useSystem(
  log: Log,
  members: readonly Member[],
  facts: FactsOf,
  still: ReadonlySet<number>,
): SystemView {
  const [turned, setTurned] = useState<ReadonlyMap<string, SettingId>>(new Map());
  const system = useMemo(
    () => systemOf(log, new Map(members.map(({ job, map }) => [job, map]))),
    [log, members],
  );
  const keyOf = (at: number) => {
    const handle = system.handles[at];
    return handle?.of === 'switch' ? handle.job : (handle?.device.id ?? '');
  };
  const standing = system.handles.map(({ settings }, at): SettingId => {
    const setting = turned.get(keyOf(at));
    return setting && settings.includes(setting) ? setting : (settings[0] as SettingId);
  });
  const stands = standing.join();
  const now = useMemo(
    () => inCombinations(system, [standing], facts)[0] as InSetting,
    // Its joined name stands for the combination.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [system, stands, facts],
  );
  // What the handles do that are not turned in the table matters to it only where there are some.
  const stillAt = [...still].map((at) => standing[at]).join();
  const all = useMemo(() => {
    const combinations = combinationsOf(system, standing, (at) => !still.has(at));
    if (!combinations) return null;
    const results = inCombinations(system, combinations, facts);
    const behaviours = new Map(
      system.machine.loads.map(({ id }): [LoadId, Behaviour] => [id, behaviourOf(id, combinations, results)]),
    );
    const hazards = systemHazards(system, combinations, results, facts);
    return { combinations, results, behaviours, hazards };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [system, stillAt, still, facts]);
  const turn = (handle: number, setting: SettingId) =>
    setTurned((before) => new Map(before).set(keyOf(handle), setting));
  return { system, standing, now, all, turn };
}
