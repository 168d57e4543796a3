import type { LineId, RecordId } from './id.js';

/** Where the energy comes from. */
export const SUPPLIES = ['plug-in', 'fixed', 'battery', 'extra-low'] as const;
export type SupplyKind = (typeof SUPPLIES)[number];

/** What a line of the list is about; `own` is a line of the shop's own. */
export const SAFETY_LINES = [
  'isolate',
  'lock',
  'prove-tester',
  'prove-dead',
  'prove-again',
  'discharge',
  'other-circuits',
  'meter',
  'own',
] as const;
export type SafetyLineKind = (typeof SAFETY_LINES)[number];

/** A line as it stood when the list was begun. Without words of its own it says the standard ones. */
export interface SafetyLine {
  id: LineId;
  kind: SafetyLineKind;
  text: string | null;
  why: string | null;
}

export const TESTERS = ['two-pole', 'meter-on-volts', 'pen'] as const;
export type Tester = (typeof TESTERS)[number];

/** What was answered to a line. */
export type SafetyAnswer =
  | { kind: 'done'; note: string }
  | { kind: 'not-applicable'; reason: string }
  /** The tester, and the known source that it was tried on. */
  | { kind: 'proved'; tester: Tester; source: string }
  /** The highest voltage found between any conductors and to earth, with the switch in every position. */
  | { kind: 'dead'; volts: number; everyPosition: boolean }
  /** Stored energy: volts found, and volts after it went through a resistor. */
  | { kind: 'discharged'; before: number; after: number };

/** The list of a job, as it was begun. */
export interface SafetyList {
  supply: SupplyKind;
  lines: SafetyLine[];
  /** The shop's note on local codes, as it stood. */
  codeNote: string;
}

/** A live measurement: recorded, never used for mapping. */
export interface LiveRecord {
  id: RecordId;
  where: string;
  volts: number;
  /** Why it could not be done dead. */
  reason: string;
  /** The competent person who did it. */
  by: string;
}
