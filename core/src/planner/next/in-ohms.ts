import type { SwitchMap } from '../../continuity/index.js';
import { liveEvents, type Ask } from '../../log/index.js';
import type { SettingId } from '../../switch/index.js';

/**
 * The next of the contacts that a person wants read in ohms, in the order of the settings given; null: nobody asked, or all are read.
 */
export function inOhmsAsk({ log, tape, structure }: SwitchMap, order: readonly SettingId[]): Ask | null {
  const wanted = liveEvents(log, 'ohms-asked').at(-1)?.what.contacts ?? [];
  if (wanted.length === 0) return null;
  const inUse = new Set(structure.terminals.map(({ id }) => id));
  const keyOf = (setting: SettingId, ends: readonly string[]) => [setting, ...ends.toSorted()].join();
  const read = new Set(
    tape.flatMap(({ reading: { setting, red, black }, evidence, standing }) =>
      standing === 'counts' && evidence.by === 'ohms' && red.length + black.length === 2
        ? [keyOf(setting, [...red, ...black])]
        : [],
    ),
  );
  for (const setting of order)
    for (const contact of wanted) {
      const [red, black] = contact.terminals;
      const left = contact.setting === setting && !read.has(keyOf(setting, contact.terminals));
      if (left && inUse.has(red) && inUse.has(black)) return { kind: 'pair', setting, red, black };
    }
  return null;
}
