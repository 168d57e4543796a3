import type { SwitchMap } from '../../continuity/index.js';
import { liveEvents, type ExpectedTable } from '../../log/index.js';
import { partitionFromGroups, type Pattern } from '../../partition/index.js';
import { requiredSettings } from '../../switch/index.js';

/** The table that the switch should follow, as it was said last; null where nobody has. */
export const expectedOf = ({ log }: SwitchMap): ExpectedTable | null =>
  liveEvents(log, 'expected').at(-1)?.what.table ?? null;

/**
 * That table as a pattern over all terminals of the switch, setting by setting in handle order; null unless something is said of
 * every pair in every setting that counts.
 */
export function expectedPattern(map: SwitchMap): { pattern: Pattern; table: ExpectedTable } | null {
  const table = expectedOf(map);
  const settings = requiredSettings(map.structure);
  if (!table || settings.length === 0) return null;
  const place = new Map(map.structure.terminals.map(({ id }, at) => [id, at]));
  const pattern: Pattern = settings.flatMap(({ id }) => {
    const said = table.settings.find(({ setting }) => setting === id);
    if (!said || said.unsaid.length > 0) return [];
    return [
      partitionFromGroups(
        map.structure.terminals.length,
        said.joined.map((group) => group.flatMap((terminal) => place.get(terminal) ?? [])),
      ),
    ];
  });
  return pattern.length === settings.length ? { pattern, table } : null;
}
