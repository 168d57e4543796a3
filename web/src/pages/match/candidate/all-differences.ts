import type { MatchedEntry } from '@which-way/contract';
import { healthyOf, machineOfSwitch } from '@which-way/core/machine';
import type { SwitchMap } from '@which-way/core/continuity';
import { machineDifferences, type Difference, type MapRequirement } from '@which-way/core/match';
import type { SettingId } from '@which-way/core/switch';
import { useEffect, useMemo, useState } from 'react';

type Found = MapRequirement & { kind: 'requirement' };

/** Where a part would lie: as it was matched, or as it would with the one thing that it falls short of. */
function laidBy({ result, near }: MatchedEntry) {
  if ('terminals' in result) return { fit: result, left: null };
  if (near && 'terminals' in near.result)
    return { fit: near.result, left: near.kind === 'all-but-position' ? near.position : null };
  return null;
}

/** What differs by itself, and what it would do otherwise in the machine where the wires have ends; safety first. */
function allDifferences(map: SwitchMap, { settings }: Found, entry: MatchedEntry): Difference[] {
  const { known, differences } = entry;
  const [machine, healthy, by] = [machineOfSwitch(map), healthyOf(map), laidBy(entry)];
  if (!machine || !healthy || !by) return differences;
  const { fit, left } = by;
  // Without a position the places of those behind it moved up by one.
  const kept = left === null ? settings : settings.filter((_, at) => at !== left);
  const laid = {
    part: known,
    terminals: fit.terminals,
    positions: fit.positions.map(({ from, to }) => ({ from: kept[from] as SettingId, to })),
  };
  const ofMachine = machineDifferences(map, machine, healthy, laid, fit.sparePositions).filter(
    ({ code, about }) => !differences.some((one) => one.code === code && one.about === about),
  );
  const isGrave = ({ gravity }: Difference) => gravity === 'safety';
  // Of a part that is ruled out only what is lost is told: nobody asks about the rest.
  const more = 'terminals' in entry.result ? ofMachine : ofMachine.filter(isGrave);
  return [
    ...[...differences.filter(isGrave), ...more.filter(isGrave)],
    ...[...differences, ...more].filter((one) => !isGrave(one)),
  ];
}

/** The differences of one candidate. */
export const useAllDifferences = (map: SwitchMap, found: Found, entry: MatchedEntry): Difference[] =>
  useMemo(() => allDifferences(map, found, entry), [map, found, entry]);

/**
 * The differences of all that are listed, by entry: what came with them at once, what they would do in the machine one by one, so that the
 * screen is never held up.
 */
export function useListedDifferences(
  map: SwitchMap,
  found: Found,
  candidates: readonly MatchedEntry[],
): (entry: MatchedEntry) => readonly Difference[] {
  const [worked, setWorked] = useState<{ map: SwitchMap; of: ReadonlyMap<MatchedEntry, Difference[]> }>({
    map,
    of: new Map(),
  });
  useEffect(() => {
    const done = new Map<MatchedEntry, Difference[]>();
    const left = machineOfSwitch(map) ? [...candidates] : [];
    let timer = 0;
    const next = () => {
      const entry = left.shift();
      if (!entry) return;
      done.set(entry, allDifferences(map, found, entry));
      setWorked({ map, of: new Map(done) });
      timer = window.setTimeout(next, 0);
    };
    timer = window.setTimeout(next, 0);
    return () => window.clearTimeout(timer);
  }, [map, found, candidates]);
  return (entry) => (worked.map === map ? worked.of.get(entry) : undefined) ?? entry.differences;
}
