import type { ActuatorForm, Position } from './actuator.js';
import type { ChangeNamed } from './changes/structure-change.js';
import type { ActuatorId, NewId, PositionId, SettingId, TerminalId } from './id.js';
import type { PlainLayout } from './layout.js';
import type { Setting } from './setting.js';
import type { Terminal } from './terminal.js';

/** The least that has to be known to begin: how many terminals, and how many positions or that nobody knows. */
export interface NewSwitch {
  terminals: number;
  /** null: not known; the first is the one it stands in. */
  positions: number | null;
  form: ActuatorForm;
  layout: PlainLayout;
  /** Names where they are known, in handle order. */
  positionNames?: readonly (string | null)[];
  /** Labels where they are known; else 1, 2, 3 ... */
  labels?: readonly string[];
}

/** The change that describes a new switch with one actuator. */
export function describeSwitch(fresh: NewSwitch, newId: NewId): ChangeNamed<'described'> {
  const actuator = newId<ActuatorId>();
  const positions = Array.from({ length: fresh.positions ?? 1 }, (_, index) =>
    newPosition(fresh.positionNames?.[index] ?? null, newId),
  );
  return {
    change: 'described',
    terminals: Array.from({ length: fresh.terminals }, (_, index) =>
      newTerminal(fresh.labels?.[index] ?? String(index + 1), newId),
    ),
    actuators: [
      {
        id: actuator,
        name: 'Handle',
        form: fresh.form,
        positions,
        closed: fresh.positions === null ? null : 'declared',
      },
    ],
    settings: positions.map(({ id }) => settingAt(actuator, id, newId)),
    layout: { kind: fresh.layout },
  };
}

/** A contact terminal without a marking. */
export function newTerminal(label: string, newId: NewId): Terminal {
  return { id: newId<TerminalId>(), label, marking: null, role: 'contact' };
}

/** A maintained position. */
export function newPosition(name: string | null, newId: NewId): Position {
  return { id: newId<PositionId>(), name, rests: 'maintained', returnsTo: null, pose: null };
}

/** The required setting of a switch with one actuator. */
export function settingAt(actuator: ActuatorId, position: PositionId, newId: NewId): Setting {
  return { id: newId<SettingId>(), at: { [actuator]: position }, condition: null, need: 'required' };
}
