import {
  faultModel,
  nextTest,
  rankFaults,
  wiredTerminals,
  type ContactRead,
  type NextTest,
  type Observation,
  type RankedFault,
} from '@which-way/core/circuit';
import { factAt } from '@which-way/core/continuity';
import { combinationKey, systemPartsTriedOf, systemSeenOf, type Log } from '@which-way/core/log';
import {
  healthySystem,
  settingOf,
  type Combination,
  type System,
  type SystemHandle,
} from '@which-way/core/system';
import type { LoadId, SettingId } from '@which-way/core/switch';
import { useMemo } from 'react';

/** The hunt for the fault that explains what was seen of a system. */
export type Hunt =
  | {
      seen: Observation[];
      ranked: RankedFault[];
      next: NextTest | null;
    }
  /** Switches of which nobody has said in full what they should do. */
  | { unsaid: SystemHandle[] };

/** What was read of every switch by its own job: each setting of a handle once, told of the first combination that has it. */
function readingsOf(system: System, combinations: readonly Combination[]): ContactRead[] {
  const wired = wiredTerminals(system.machine);
  return system.handles.flatMap((handle, at) => {
    if (handle.of !== 'switch' || !handle.map) return [];
    const { map, from, size } = handle;
    const own = wired.filter((place) => place >= from && place < from + size).map((place) => place - from);
    return handle.settings.flatMap((setting) => {
      const settled = map.settings.get(setting)?.settled;
      const where = combinations.find((one) => one[at] === setting);
      if (!settled || !where) return [];
      return own.flatMap((a, index) =>
        own.slice(index + 1).flatMap((b): ContactRead[] => {
          const { state, joined } = factAt(settled, a, b);
          if (state !== 'measured') return [];
          return [
            { setting: settingOf(system, where), contact: [a + from, b + from], joins: joined === true },
          ];
        }),
      );
    });
  });
}

/** Ranks the faults of a system by what was seen of its loads, read of its contacts and tried of its parts. */
export function useHunt(log: Log, system: System, combinations: readonly Combination[]): Hunt {
  const model = useMemo(() => {
    const found = healthySystem(system, combinations);
    return 'unsaid' in found ? found : faultModel(system.machine, found.healthy);
  }, [system, combinations]);
  const read = useMemo(() => readingsOf(system, combinations), [system, combinations]);
  return useMemo(() => {
    if ('unsaid' in model) return model;
    const seen = systemSeenOf(log).map(({ at, load, seen: what }): Observation => ({
      setting: combinationKey(at) as SettingId,
      load: (system.sameAs.get(load) ?? load) as LoadId,
      seen: what,
    }));
    if (seen.length === 0) return { seen, ranked: [], next: null };
    const evidence = { seen, read, tried: systemPartsTriedOf(log) };
    const ranked = rankFaults(model, evidence);
    return { seen, ranked, next: nextTest(model, ranked, evidence) };
  }, [model, read, log, system]);
}
