import type { Actuator, Position } from './actuator.js';
import type { SettingId } from './id.js';
import type { Layout, PlacedTerminal } from './layout.js';
import type { Setting } from './setting.js';
import { inPattern, type Terminal } from './terminal.js';

/** What the switch is made of, as far as is known: the fold of the live structure changes. */
export interface Structure {
  /** In use, in the order in which they were added. */
  terminals: Terminal[];
  actuators: Actuator[];
  /** In use: every position that it names is in use. */
  settings: Setting[];
  layout: Layout;
  /** Settings that were found to be others: what was read in them counts there. */
  merged: Readonly<Record<SettingId, SettingId>>;
  /** Where terminals were put, in every layout that has places of its own. */
  placed: PlacedTerminal[];
}

export const EMPTY_STRUCTURE: Structure = {
  terminals: [],
  actuators: [],
  settings: [],
  layout: { kind: 'two-rows' },
  merged: {},
  placed: [],
};

/** The setting in which something read in a setting counts: another one where two were found to be the same. */
export function settingIn({ merged }: Structure, id: SettingId): SettingId {
  const passed = new Set<SettingId>();
  let counts = id;
  for (let next = merged[id]; next !== undefined && !passed.has(next); next = merged[next]) {
    passed.add(next);
    counts = next;
  }
  return counts;
}

/** The terminals that count for the pattern: not the frame, an earth, electronics or a potentiometer. */
export function contactTerminals(structure: Structure): Terminal[] {
  return structure.terminals.filter(inPattern);
}

/** Settings that count for completeness, in list order. */
export function requiredSettings(structure: Structure): Setting[] {
  return structure.settings.filter(({ need }) => need === 'required');
}

/** Whether every actuator's list of positions has come to an end. */
export function allPositionsClosed(structure: Structure): boolean {
  return structure.actuators.every(({ closed }) => closed !== null);
}

/** The positions of a setting, one per actuator, in the actuators' order. */
export function positionsOf(structure: Structure, setting: Setting): Position[] {
  return structure.actuators.flatMap(({ id, positions }) =>
    positions.filter((position) => position.id === setting.at[id]),
  );
}

/** Finds a terminal in use by what a person typed: its label or its marking, upper or lower case. */
export function terminalNamed(structure: Structure, typed: string): Terminal | undefined {
  const folded = typed.trim().toLowerCase();
  return (
    structure.terminals.find(({ label }) => label.toLowerCase() === folded) ??
    structure.terminals.find(({ marking }) => marking?.toLowerCase() === folded)
  );
}
