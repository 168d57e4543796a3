import type { Actuator, Position } from '../actuator.js';
import type { ActuatorId, PositionId, TerminalId } from '../id.js';
import type { Structure } from '../structure.js';
import type { Terminal } from '../terminal.js';

/** The items, and behind them those of the added ones whose ids are new. */
export function appendNew<Item extends { id: string }>(
  items: readonly Item[],
  added: readonly Item[],
): Item[] {
  const known = new Set(items.map(({ id }) => id));
  return [...items, ...added.filter(({ id }) => !known.has(id))];
}

/** The structure with one terminal edited; as it is where the terminal is not in use. */
export function editTerminal(structure: Structure, id: TerminalId, edit: Partial<Terminal>): Structure {
  return {
    ...structure,
    terminals: structure.terminals.map((terminal) =>
      terminal.id === id ? { ...terminal, ...edit } : terminal,
    ),
  };
}

/** The structure with one handle edited. */
export function editActuator(structure: Structure, id: ActuatorId, edit: Partial<Actuator>): Structure {
  return {
    ...structure,
    actuators: structure.actuators.map((actuator) =>
      actuator.id === id ? { ...actuator, ...edit } : actuator,
    ),
  };
}

/** The structure with every handle's list of positions edited. */
export function mapPositions(
  structure: Structure,
  edit: (positions: Position[], of: Actuator) => Position[],
): Structure {
  return {
    ...structure,
    actuators: structure.actuators.map((actuator) => ({
      ...actuator,
      positions: edit(actuator.positions, actuator),
    })),
  };
}

/** The structure with one position edited. */
export function editPosition(structure: Structure, id: PositionId, edit: Partial<Position>): Structure {
  return mapPositions(structure, (positions) =>
    positions.map((position) => (position.id === id ? { ...position, ...edit } : position)),
  );
}

/** The structure without a position, and without the settings that name it. */
export function withoutPosition(structure: Structure, position: PositionId): Structure {
  const without = mapPositions(structure, (positions) => positions.filter(({ id }) => id !== position));
  return {
    ...without,
    settings: without.settings.filter((setting) => !Object.values(setting.at).includes(position)),
  };
}
