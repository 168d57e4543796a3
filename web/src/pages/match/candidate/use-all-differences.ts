import type { MatchedEntry } from '@which-way/contract';
import { healthyOf, machineOfSwitch } from '@which-way/core/machine';
import type { SwitchMap } from '@which-way/core/continuity';
import {
  machineDifferences,
  type Difference,
  type MapRequirement,
  type MatchResult,
} from '@which-way/core/match';
import type { SettingId } from '@which-way/core/switch';
import { useMemo } from 'react';

/** What differs by itself, and what it would do otherwise in the machine where the wires have ends; safety first. */
export function useAllDifferences(
  map: SwitchMap,
  { settings }: MapRequirement & { kind: 'requirement' },
  { known, differences }: MatchedEntry,
  result: Extract<MatchResult, { terminals: unknown }>,
): Difference[] {
  return useMemo(() => {
    const [machine, healthy] = [machineOfSwitch(map), healthyOf(map)];
    if (!machine || !healthy) return differences;
    const laid = {
      part: known,
      terminals: result.terminals,
      positions: result.positions.map(({ from, to }) => ({ from: settings[from] as SettingId, to })),
    };
    const more = machineDifferences(map, machine, healthy, laid, result.sparePositions).filter(
      ({ code, about }) => !differences.some((one) => one.code === code && one.about === about),
    );
    const [grave, others] = [true, false].map((is) =>
      differences.filter(({ gravity }) => (gravity === 'safety') === is),
    );
    const isGrave = ({ gravity }: Difference) => gravity === 'safety';
    return [
      ...[...(grave ?? []), ...more.filter(isGrave)],
      ...[...(others ?? []), ...more.filter((one) => !isGrave(one))],
    ];
  }, [map, settings, known, differences, result]);
}
