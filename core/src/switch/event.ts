import type { Actuator, ActuatorForm, ClosedBy, Pose, Position } from './actuator.js';
import type { Approach } from './approach.js';
import type {
  ActuatorId,
  DeviceId,
  EntryId,
  EventId,
  LineId,
  PositionId,
  PromptId,
  ReadingId,
  SettingId,
  TerminalId,
} from './id.js';
import type { Marking, NoteField, Sister } from './intake.js';
import type { Layout, PlacedTerminal } from './layout.js';
import type { MechanicsFact } from './mechanics.js';
import type { MeterProfile } from './meter.js';
import type { Photo } from './photo.js';
import type { Prompt } from './prompt.js';
import type { Reading, Value } from './reading.js';
import type { LiveRecord, SafetyAnswer, SafetyList } from './safety.js';
import type { Setting } from './setting.js';
import type { StripStep } from './strip.js';
import type { PathLink, PathTest } from './supply-path.js';
import type { Terminal, TerminalRole } from './terminal.js';
import type { Part, Wire } from './wire.js';
import type { WorthInputs } from './worth.js';

/** The version of the event's own shape; older ones are upgraded when they are read. */
export const EVENT_SCHEMA = 1;

/** A change to what the switch is made of. Nothing is ever deleted; what is retired keeps its readings, parked. */
export type StructureChange =
  | {
      change: 'described';
      terminals: Terminal[];
      actuators: Actuator[];
      settings: Setting[];
      layout: Layout;
    }
  | { change: 'terminal-added'; terminal: Terminal }
  | { change: 'terminal-renamed'; terminal: TerminalId; label: string; marking: string | null }
  /** Several at once: labels may be swapped, since only the outcome has to be free of twins. */
  | { change: 'relabelled'; labels: { terminal: TerminalId; label: string; marking: string | null }[] }
  | { change: 'terminal-role'; terminal: TerminalId; role: TerminalRole }
  | { change: 'terminal-retired'; terminal: TerminalId }
  | {
      change: 'position-added';
      actuator: ActuatorId;
      position: Position;
      after: PositionId | null;
      settings: Setting[];
    }
  | { change: 'position-renamed'; position: PositionId; name: string | null }
  /** Whether it is held or rests, where it springs back to, and where the handle is seen in it. */
  | {
      change: 'position-posed';
      position: PositionId;
      rests: Position['rests'];
      returnsTo: PositionId | null;
      pose: Pose | null;
    }
  | { change: 'position-retired'; position: PositionId }
  /** Found to be one and the same: what was read in the one counts for the other. */
  | { change: 'position-merged'; position: PositionId; into: PositionId }
  | { change: 'positions-closed'; actuator: ActuatorId; by: ClosedBy }
  | { change: 'actuator-described'; actuator: ActuatorId; name: string; form: ActuatorForm }
  /** One more on the same switch: the settings so far were with it at `home`; further settings are listed. */
  | { change: 'actuator-added'; actuator: Actuator; home: PositionId; settings: Setting[] }
  | { change: 'setting-added'; setting: Setting }
  | { change: 'setting-needed'; setting: SettingId; need: Setting['need'] }
  | { change: 'laid-out'; layout: Layout }
  | { change: 'placed'; spots: PlacedTerminal[] };

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

/** What a reading between closed and open may be: a bad contact joins, the others conduct without one. */
export const EXPLANATIONS = ['contact', 'part', 'leak', 'potentiometer'] as const;
export type Explanation = (typeof EXPLANATIONS)[number];

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
      as: Explanation;
      note: string;
    }
  | { kind: 'assumed'; assumption: { kind: 'blocks-apart'; blocks: TerminalId[][] }; by: string }
  /** A foreign path or an external jumper; the newest of an id counts. */
  | { kind: 'part-declared'; part: Part }
  | { kind: 'meter-checked'; leadsTogether: Value; meter: MeterProfile }
  /** The leads together did not read as they should: what was read since the last good check is doubtful. */
  | { kind: 'meter-failed'; leadsTogether: Value }
  | { kind: 'prompt-shown'; prompt: Prompt }
  | { kind: 'skipped'; prompt: Prompt; reason: 'later' | 'cannot-reach' }
  /** How it is to be mapped from now on; the newest counts. */
  | { kind: 'approached'; approach: Approach }
  /** A person wants every reading checked against a single slip. */
  | { kind: 'recheck-begun' }
  /** A person wants to go through the positions once more from the other side, with a pair that tells each. */
  | { kind: 'return-begun' }
  /** The only pairs that are to be read, for a quick check; the newest list counts. */
  | { kind: 'pairs-named'; pairs: [TerminalId, TerminalId][] }
  /** The lone lead touched every terminal that was clipped anew, once; `silent`: those whose clip makes no contact. */
  | { kind: 'clips-touched'; red: TerminalId[]; black: TerminalId[]; silent: TerminalId[] }
  | { kind: 'expected'; table: ExpectedTable | null }
  | { kind: 'chosen'; replacement: ChosenReplacement | null }
  /** What was told and seen at intake; the newest of a field counts, an empty text clears it. */
  | { kind: 'noted'; field: NoteField; text: string }
  /** A marking as it was read; the newest of an id counts, without runs and box it is gone. */
  | { kind: 'transcribed'; marking: Marking }
  | { kind: 'sister-noted'; sister: Sister }
  | { kind: 'photo-taken'; photo: Photo }
  | { kind: 'worth-noted'; inputs: WorthInputs }
  /** A list of its kind of supply is begun, or begun anew: answers to an earlier one no longer count. */
  | { kind: 'safety-begun'; list: SafetyList }
  | { kind: 'safety-answered'; line: LineId; answer: SafetyAnswer | null }
  /** Who answers for the list as it stands. */
  | { kind: 'safety-signed'; by: string }
  /** The machine had power again: what was proved dead is no longer proved. */
  | { kind: 're-energised'; reason: string }
  | { kind: 'live-recorded'; record: LiveRecord }
  /** Whether the wires are off the switch; with them on, readings are in circuit. */
  | { kind: 'wires-off'; off: boolean }
  /** The supply path as it is; the newest counts. */
  | { kind: 'path-laid'; links: PathLink[] }
  | { kind: 'path-tested'; test: PathTest }
  | { kind: 'wire-tagged'; wire: Wire }
  | { kind: 'stripped'; step: StripStep }
  | { kind: 'measured'; fact: MechanicsFact }
  | { kind: 'signed'; by: string; note: string }
  /**
   * Stands where an event stood that was refused and given up, under its own sequence, so that a device's numbers have no
   * gaps. `was`: its kind; `because`: the code of the refusal. Nothing is derived from it.
   */
  | { kind: 'left-out'; event: EventId; was: string; because: string };

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
  'meter-failed',
  'prompt-shown',
  'skipped',
  'approached',
  'recheck-begun',
  'return-begun',
  'pairs-named',
  'clips-touched',
  'expected',
  'chosen',
  'noted',
  'transcribed',
  'sister-noted',
  'photo-taken',
  'worth-noted',
  'safety-begun',
  'safety-answered',
  'safety-signed',
  're-energised',
  'live-recorded',
  'wires-off',
  'path-laid',
  'path-tested',
  'wire-tagged',
  'stripped',
  'measured',
  'signed',
  'left-out',
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
