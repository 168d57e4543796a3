import type { Actuator, Position } from './actuator.js';
import type { StructureChange } from './event.js';
import type { PositionId, SettingId, TerminalId } from './id.js';
import { placeTerminals, type Layout, type PlacedTerminal } from './layout.js';
import type { Problem } from './problem.js';
import type { Setting } from './setting.js';
import type { Terminal } from './terminal.js';

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

/**
 * The structure after a change. Total: a change that names something that is not there (because its own
 * addition was undone) leaves the structure as it is.
 */
export function applyChange(structure: Structure, change: StructureChange): Structure {
  switch (change.change) {
    case 'described':
      return {
        terminals: change.terminals,
        actuators: change.actuators,
        settings: change.settings,
        layout: change.layout,
        merged: {},
        placed: [],
      };
    case 'terminal-added':
      return { ...structure, terminals: appendNew(structure.terminals, [change.terminal]) };
    case 'terminal-renamed':
      return {
        ...structure,
        terminals: structure.terminals.map((terminal) =>
          terminal.id === change.terminal
            ? { ...terminal, label: change.label, marking: change.marking }
            : terminal,
        ),
      };
    case 'relabelled': {
      const fresh = new Map(change.labels.map((one) => [one.terminal, one]));
      return {
        ...structure,
        terminals: structure.terminals.map((terminal) => {
          const { label, marking } = fresh.get(terminal.id) ?? terminal;
          return { ...terminal, label, marking };
        }),
      };
    }
    case 'terminal-role':
      return {
        ...structure,
        terminals: structure.terminals.map((terminal) =>
          terminal.id === change.terminal ? { ...terminal, role: change.role } : terminal,
        ),
      };
    case 'terminal-retired':
      return { ...structure, terminals: structure.terminals.filter(({ id }) => id !== change.terminal) };
    case 'position-added':
      return addPosition(structure, change);
    case 'position-renamed':
      return mapPositions(structure, (positions) =>
        positions.map((position) =>
          position.id === change.position ? { ...position, name: change.name } : position,
        ),
      );
    case 'position-posed':
      return mapPositions(structure, (positions) =>
        positions.map((position) =>
          position.id === change.position
            ? { ...position, rests: change.rests, returnsTo: change.returnsTo, pose: change.pose }
            : position,
        ),
      );
    case 'position-retired':
      return retirePosition(structure, change.position);
    case 'position-merged':
      return mergePosition(structure, change.position, change.into);
    case 'actuator-described':
      return {
        ...structure,
        actuators: structure.actuators.map((actuator) =>
          actuator.id === change.actuator ? { ...actuator, name: change.name, form: change.form } : actuator,
        ),
      };
    case 'actuator-added':
      return addActuator(structure, change);
    case 'positions-closed':
      return {
        ...structure,
        actuators: structure.actuators.map((actuator) =>
          actuator.id === change.actuator ? { ...actuator, closed: change.by } : actuator,
        ),
      };
    case 'setting-added':
      return { ...structure, settings: appendNew(structure.settings, [change.setting]) };
    case 'setting-needed':
      return {
        ...structure,
        settings: structure.settings.map((setting) =>
          setting.id === change.setting ? { ...setting, need: change.need } : setting,
        ),
      };
    case 'laid-out':
      return { ...structure, layout: change.layout };
    case 'placed':
      return { ...structure, placed: placeTerminals(structure.placed, change.spots) };
  }
}

/** The settings there are were with the new actuator at its home; those that it brings come after them. */
function addActuator(
  structure: Structure,
  { actuator, home, settings }: Extract<StructureChange, { change: 'actuator-added' }>,
): Structure {
  if (structure.actuators.some(({ id }) => id === actuator.id)) return structure;
  const before = structure.settings.map((setting) => ({
    ...setting,
    at: { ...setting.at, [actuator.id]: home },
  }));
  return {
    ...structure,
    actuators: [...structure.actuators, actuator],
    settings: appendNew(before, settings),
  };
}

function appendNew<Item extends { id: string }>(items: Item[], added: Item[]): Item[] {
  const known = new Set(items.map(({ id }) => id));
  return [...items, ...added.filter(({ id }) => !known.has(id))];
}

function mapPositions(
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

function addPosition(
  structure: Structure,
  change: Extract<StructureChange, { change: 'position-added' }>,
): Structure {
  if (!structure.actuators.some(({ id }) => id === change.actuator)) return structure;
  const placed = mapPositions(structure, (positions, of) => {
    if (of.id !== change.actuator || positions.some(({ id }) => id === change.position.id)) return positions;
    const before = positions.findIndex(({ id }) => id === change.after);
    const place = change.after === null ? 0 : before < 0 ? positions.length : before + 1;
    return [...positions.slice(0, place), change.position, ...positions.slice(place)];
  });
  return { ...placed, settings: appendNew(placed.settings, change.settings) };
}

function retirePosition(structure: Structure, position: PositionId): Structure {
  const without = mapPositions(structure, (positions) => positions.filter(({ id }) => id !== position));
  return {
    ...without,
    settings: without.settings.filter((setting) => !Object.values(setting.at).includes(position)),
  };
}

/** A position goes, and each of its settings counts as the one that differs from it by the other position alone. */
function mergePosition(structure: Structure, position: PositionId, into: PositionId): Structure {
  const actuator = structure.actuators.find(({ positions }) =>
    [position, into].every((id) => positions.some((one) => one.id === id)),
  );
  if (!actuator || position === into) return structure;
  const merged = { ...structure.merged };
  for (const gone of structure.settings) {
    if (gone.at[actuator.id] !== position) continue;
    const at: Setting['at'] = { ...gone.at, [actuator.id]: into };
    const same = structure.settings.find(
      (one) =>
        one.condition === gone.condition && structure.actuators.every(({ id }) => one.at[id] === at[id]),
    );
    if (same) merged[gone.id] = same.id;
  }
  return { ...retirePosition(structure, position), merged };
}

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

/** What would be wrong with a change, made to this structure. Empty when it may be made. */
export function checkChange(structure: Structure, change: StructureChange): Problem[] {
  switch (change.change) {
    case 'described':
      return [
        ...(structure.terminals.length > 0 ? [problem('already-described', 'change')] : []),
        ...duplicateLabels(change.terminals.map(({ label }) => label)),
        ...(change.terminals.filter(({ role }) => role !== 'frame').length < 2
          ? [problem('too-few-terminals', 'change.terminals')]
          : []),
        ...(change.settings.length === 0 ? [problem('no-setting', 'change.settings')] : []),
      ];
    case 'terminal-added':
      return duplicateLabels([...structure.terminals.map(({ label }) => label), change.terminal.label]);
    case 'terminal-renamed': {
      const others = structure.terminals.filter(({ id }) => id !== change.terminal).map(({ label }) => label);
      return [
        ...missing(structure.terminals, change.terminal),
        ...duplicateLabels([...others, change.label]),
      ];
    }
    case 'relabelled':
      return [
        ...change.labels.flatMap(({ terminal }) => missing(structure.terminals, terminal)),
        ...duplicateLabels(applyChange(structure, change).terminals.map(({ label }) => label)),
      ];
    case 'terminal-role':
      return [...missing(structure.terminals, change.terminal), ...tooFewLeft(structure, change)];
    case 'terminal-retired':
      return [...missing(structure.terminals, change.terminal), ...tooFewLeft(structure, change)];
    case 'actuator-added':
      return change.actuator.positions.some(({ id }) => id === change.home)
        ? []
        : [problem('not-there', 'change.home', { id: change.home })];
    case 'placed':
      return change.spots.flatMap(({ terminal }) => missing(structure.terminals, terminal));
    case 'position-added':
    case 'positions-closed':
    case 'actuator-described':
      return missing(structure.actuators, change.actuator);
    case 'position-renamed':
    case 'position-posed':
    case 'position-retired':
      return missing(
        structure.actuators.flatMap(({ positions }) => positions),
        change.position,
      );
    case 'position-merged': {
      const all = structure.actuators.flatMap(({ positions }) => positions);
      return [...missing(all, change.position), ...missing(all, change.into)];
    }
    case 'setting-needed':
      return missing(structure.settings, change.setting);
    case 'setting-added':
    case 'laid-out':
      return [];
  }
}

function problem(code: string, path: string, params: Problem['params'] = {}): Problem {
  return { code, path, params };
}

function missing(items: { id: string }[], id: string): Problem[] {
  return items.some((item) => item.id === id) ? [] : [problem('not-there', 'change', { id })];
}

/** A switch keeps two terminals that count for its pattern. */
function tooFewLeft(
  structure: Structure,
  change: Extract<StructureChange, { change: 'terminal-role' | 'terminal-retired' }>,
): Problem[] {
  const goes = change.change === 'terminal-retired' || change.role === 'frame';
  const left = contactTerminals(structure).filter(({ id }) => !goes || id !== change.terminal);
  return left.length < 2 ? [problem('too-few-terminals', 'change.terminal')] : [];
}

function duplicateLabels(labels: string[]): Problem[] {
  const seen = new Set<string>();
  const problems: Problem[] = [];
  for (const label of labels) {
    const folded = label.trim().toLowerCase();
    if (folded === '') problems.push(problem('no-label', 'change.label'));
    else if (seen.has(folded)) problems.push(problem('label-taken', 'change.label', { label }));
    seen.add(folded);
  }
  return problems;
}

/** The terminals that count for the pattern: all but the frame. */
export function contactTerminals(structure: Structure): Terminal[] {
  return structure.terminals.filter(({ role }) => role !== 'frame');
}

/** Settings that count for completeness, in list order. */
export function requiredSettings(structure: Structure): Setting[] {
  return structure.settings.filter(({ need }) => need === 'required');
}

/** Whether every actuator's list of positions has come to an end. */
export function positionsClosed(structure: Structure): boolean {
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

/** Index of each setting by id. */
export function settingOrder(structure: Structure): Map<SettingId, number> {
  return new Map(structure.settings.map(({ id }, index) => [id, index]));
}

/** Index of each contact terminal by id. */
export function terminalOrder(structure: Structure): Map<TerminalId, number> {
  return new Map(contactTerminals(structure).map(({ id }, index) => [id, index]));
}
