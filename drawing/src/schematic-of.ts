import { isSettled, type SwitchMap } from '@which-way/core/continuity';
import { positionsOf, type SettingId, type TerminalId } from '@which-way/core/switch';
import { truthTable, type Row } from '@which-way/core/table';
import type { DrawnMoving, Schematic } from './schematic.js';

/** What things are called: drawings have no words of their own. */
export interface Called {
  terminal: (id: TerminalId) => string;
  setting: (id: SettingId) => string;
}

/** The schematic of what is known, with the arms as they stand in one setting; null shows them on nothing. */
export function schematicOf(map: SwitchMap, shown: SettingId | null, called: Called): Schematic {
  const { structure } = map;
  const returning = new Set(
    structure.settings
      .filter((setting) => positionsOf(structure, setting).some(({ rests }) => rests === 'momentary'))
      .map(({ id }) => id),
  );
  const throwOf = ({ terminals, cells }: Row, common: TerminalId) => {
    const closed = cells.filter(({ fact }) => isSettled(fact) && fact.joined);
    return {
      label: called.terminal(terminals[0] === common ? terminals[1] : terminals[0]),
      closedAt: closed.map(({ setting }) => ({
        name: called.setting(setting),
        returns: returning.has(setting),
      })),
      now: closed.some(({ setting }) => setting === shown),
    };
  };
  return {
    linked: structure.actuators.length === 1,
    poles: truthTable(map).poles.map(({ rows }) => {
      const commons = [...new Set(rows.flatMap(({ moving }) => moving ?? []))];
      return commons.map((common): DrawnMoving => ({
        label: called.terminal(common),
        throws: rows.filter(({ moving }) => moving === common).map((row) => throwOf(row, common)),
      }));
    }),
  };
}
