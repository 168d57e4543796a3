import type { SwitchMap } from '../continuity/index.js';
import { type Passing, recordsOf } from '../log/index.js';
import { requiredSettings, type SettingId, type TerminalId } from '../switch/index.js';
import { truthTable } from './truth-table.js';

/** A moving contact that leaves one throw for another between two neighbouring settings: what happens on the way nobody sees. */
export interface BetweenThrows {
  moving: TerminalId;
  throws: [TerminalId, TerminalId];
  settings: [SettingId, SettingId];
  /** What slow passes showed each way; null: not tried. */
  up: Passing | null;
  down: Passing | null;
}

/**
 * Every such step of the handle, with what was seen on it. Only of a switch with one handle: with more it is not said which one
 * turns.
 */
export function betweenThrows(map: SwitchMap): BetweenThrows[] {
  if (map.structure.actuators.length !== 1) return [];
  const settings = requiredSettings(map.structure).map(({ id }) => id);
  const passings = recordsOf(map.log, 'passing-probed');
  const rows = truthTable(map).poles.flatMap((pole) => pole.rows);
  const closedOf = (moving: TerminalId, setting: SettingId) =>
    rows.filter(
      (row) =>
        row.moving === moving &&
        row.cells.some((cell) => cell.setting === setting && cell.fact.joined === true),
    );
  const commons = [...new Set(rows.flatMap(({ moving }) => moving ?? []))];
  return commons.flatMap((moving) =>
    settings.slice(1).flatMap((to, at): BetweenThrows[] => {
      const from = settings[at] as SettingId;
      const [one, ...more] = closedOf(moving, from);
      const [other, ...others] = closedOf(moving, to);
      if (!one || !other || more.length > 0 || others.length > 0 || one === other) return [];
      const throws = [one, other].map(({ terminals }) =>
        terminals[0] === moving ? terminals[1] : terminals[0],
      ) as [TerminalId, TerminalId];
      const key = throws.toSorted().join();
      const seen = (way: Passing['way']) =>
        passings.find(
          (passing) =>
            passing.way === way &&
            passing.throws.toSorted().join() === key &&
            passing.settings.join() === [from, to].join(),
        ) ?? null;
      return [{ moving, throws, settings: [from, to], up: seen('up'), down: seen('down') }];
    }),
  );
}
