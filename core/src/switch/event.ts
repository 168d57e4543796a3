import type { ActuatorForm, ClosedBy, Position } from './actuator.js';
import type {
  ActuatorId,
  DeviceId,
  EntryId,
  EventId,
  PartId,
  PositionId,
  PromptId,
  ReadingId,
  SettingId,
  TerminalId,
} from './id.js';
import type { Marking, NoteField } from './intake.js';
import type { MeterProfile } from './meter.js';
import type { Prompt } from './prompt.js';
import type { Reading, Value } from './reading.js';
import type { Setting } from './setting.js';
import type { Terminal } from './terminal.js';

/** The version of the event's own shape; older ones are upgraded when they are read. */
export const EVENT_SCHEMA = 1;

/** How the terminals lie on the part. */
export const LAYOUTS = ['two-rows', 'one-row', 'circle', 'list'] as const;
export type Layout = (typeof LAYOUTS)[number];

/** A change to what the switch is made of. Nothing is ever deleted; what is retired keeps its readings, parked. */
export type StructureChange =
  | {
      change: 'described';
      terminals: Terminal[];
      actuators: {
        id: ActuatorId;
        name: string;
        form: ActuatorForm;
        positions: Position[];
        closed: ClosedBy | null;
      }[];
      settings: Setting[];
      layout: Layout;
    }
  | { change: 'terminal-added'; terminal: Terminal }
  | { change: 'terminal-renamed'; terminal: TerminalId; label: string; marking: string | null }
  | { change: 'terminal-retired'; terminal: TerminalId }
  | {
      change: 'position-added';
      actuator: ActuatorId;
      position: Position;
      after: PositionId | null;
      settings: Setting[];
    }
  | { change: 'position-renamed'; position: PositionId; name: string | null }
  | { change: 'position-retired'; position: PositionId }
  | { change: 'positions-closed'; actuator: ActuatorId; by: ClosedBy }
  | { change: 'setting-added'; setting: Setting }
  | { change: 'setting-needed'; setting: SettingId; need: Setting['need'] }
  | { change: 'laid-out'; layout: Layout };

/** What a foreign path is: conducts, but is not a contact. */
export const PART_FORMS = [
  'lamp',
  'coil',
  'motor',
  'resistor',
  'suppressor',
  'diode',
  'jumper',
  'circuit',
] as const;

/** A table that the switch is expected to follow: per setting, groups of terminals that join. */
export interface ExpectedTable {
  /** Where it came from: clicked in by hand, or a known switch of the library. */
  source: { kind: 'drawn' } | { kind: 'library'; entry: EntryId; name: string };
  /** Settings that it speaks of; a setting that is not listed is not compared. */
  settings: { setting: SettingId; joined: TerminalId[][] }[];
}

/** A replacement that a person chose, with the terminal map that was shown. */
export interface ChosenReplacement {
  entry: EntryId;
  name: string;
  terminals: { from: TerminalId; to: string }[];
  positions: { from: SettingId; to: string }[];
}

/** What happened. Every decision that affects what is derived is one of these. */
export type Deed =
  | {
      kind: 'answered';
      /** How the hands did it: one pair, one lead swept over many, or a pair held while the handle turns. */
      act: 'pair' | 'sweep' | 'turn' | 'bundle';
      /** The prompt that this answers; null for a pair of the person's own choice. */
      prompt: PromptId | null;
      source: 'typed' | 'meter' | 'simulated';
      /** Taken with wires still on: an open proves apart, a closed proves nothing. */
      inCircuit: boolean;
      readings: Reading[];
    }
  /** Undo and redo of a whole act. `basedOn` as in restructured when the act changed the structure, else null. */
  | { kind: 'withdrawn'; target: EventId; basedOn: number | null }
  | { kind: 'restored'; target: EventId; basedOn: number | null }
  | {
      kind: 'superseded';
      reading: ReadingId;
      replacement: Reading | null;
      source: 'typed' | 'meter' | 'simulated';
    }
  /** `basedOn`: the structure revision that the writer had seen; a stale one is refused by the server. */
  | { kind: 'restructured'; change: StructureChange; basedOn: number }
  | {
      kind: 'explained';
      readings: ReadingId[];
      as: 'contact' | 'part' | 'leak' | 'potentiometer';
      note: string;
    }
  | { kind: 'assumed'; assumption: { kind: 'blocks-apart'; blocks: TerminalId[][] }; by: string }
  | {
      kind: 'part-declared';
      part: {
        id: PartId;
        form: (typeof PART_FORMS)[number];
        terminals: [TerminalId, TerminalId];
        ohms: number | null;
      };
    }
  | { kind: 'meter-checked'; leadsTogether: Value; meter: MeterProfile }
  | { kind: 'prompt-shown'; prompt: Prompt }
  | { kind: 'skipped'; prompt: Prompt; reason: 'later' | 'cannot-reach' }
  | { kind: 'expected'; table: ExpectedTable | null }
  | { kind: 'chosen'; replacement: ChosenReplacement | null }
  /** What was told and seen at intake; the newest of a field counts, an empty text clears it. */
  | { kind: 'noted'; field: NoteField; text: string }
  /** A marking as it was read; the newest of an id counts, no runs removes it. */
  | { kind: 'transcribed'; marking: Marking }
  | { kind: 'signed'; by: string; note: string };

export type DeedKind = Deed['kind'];
export const DEED_KINDS: readonly DeedKind[] = [
  'answered',
  'withdrawn',
  'restored',
  'superseded',
  'restructured',
  'explained',
  'assumed',
  'part-declared',
  'meter-checked',
  'prompt-shown',
  'skipped',
  'expected',
  'chosen',
  'noted',
  'transcribed',
  'signed',
];

/** One entry of a job's append-only log. Live events are ordered by (clock, device). */
export interface JobEvent<What extends Deed = Deed> {
  id: EventId;
  /** One writer: a tab from load to unload. No two writers share an id. */
  device: DeviceId;
  /** Counts this device's events of this job, from 1, without gaps. */
  sequence: number;
  /** Logical (Lamport) clock: greater than every clock that the writer had seen. */
  clock: number;
  /** Wall clock of the writer, ISO 8601; for people, and for learning how fast the hands are. */
  at: string;
  schema: number;
  what: What;
}
