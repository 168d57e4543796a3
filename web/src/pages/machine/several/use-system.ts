import {
  behaviourOf,
  combinationsOf,
  inCombinations,
  systemHazards,
  systemOf,
  type LoadBehaviour,
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
    behaviours: Map<LoadId, LoadBehaviour>;
    hazards: SystemHazard[];
  } | null;
  turn: (handle: number, setting: SettingId) => void;
}

const keyOf = (handle: System['handles'][number]): string =>
  handle.of === 'switch' ? handle.job : handle.device.id;

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
  const standing = useMemo(
    () =>
      system.handles.map((handle): SettingId => {
        const setting = turned.get(keyOf(handle));
        return setting && handle.settings.includes(setting) ? setting : (handle.settings[0] as SettingId);
      }),
    [system, turned],
  );
  const now = useMemo(
    () => inCombinations(system, [standing], facts)[0] as InSetting,
    [system, standing, facts],
  );
  // How handles stand matters to the table only where some of them are not turned in it.
  const held = still.size > 0 ? standing : null;
  const all = useMemo(() => {
    const from = held ?? system.handles.map(({ settings }) => settings[0] as SettingId);
    const combinations = combinationsOf(system, from, (at) => !still.has(at));
    if (!combinations) return null;
    const results = inCombinations(system, combinations, facts);
    const behaviours = new Map(
      system.machine.loads.map(({ id }): [LoadId, LoadBehaviour] => [
        id,
        behaviourOf(id, combinations, results),
      ]),
    );
    const hazards = systemHazards(system, combinations, results, facts);
    return { combinations, results, behaviours, hazards };
  }, [system, held, still, facts]);
  const turn = (handle: number, setting: SettingId) =>
    setTurned((before) => {
      const of = system.handles[handle];
      return of ? new Map(before).set(keyOf(of), setting) : before;
    });
  return { system, standing, now, all, turn };
}
