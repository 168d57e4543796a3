import type { ActuatorId, PositionId } from './id.js';

/** Where the handle is seen in a position: an angle clockwise from the top as seen from the front, or keys held down. */
export type Pose = { kind: 'angle'; degrees: number } | { kind: 'keys'; down: number[] };

/** A place where an actuator rests or is held. */
export interface Position {
  id: PositionId;
  /** What the front says; null for a position without a name or a visible sign. */
  name: string | null;
  rests: 'maintained' | 'momentary';
  /** Where a momentary position springs back to, if known. */
  returnsTo: PositionId | null;
  /** null: nobody has said where the handle points. */
  pose: Pose | null;
}

export const ACTUATOR_FORMS = [
  'rotary',
  'lever',
  'toggle',
  'rocker',
  'slide',
  'trigger',
  'push',
  'push-push',
  'push-pull',
  'pull',
  'key',
  'key-bank',
  'pot-switch',
] as const;
export type ActuatorForm = (typeof ACTUATOR_FORMS)[number];

/** How the list of positions came to an end: said beforehand, by a stop, or by coming back to the start. */
export type ClosedBy = 'declared' | 'stop' | 'round';

/** What the hand moves. */
export interface Actuator {
  id: ActuatorId;
  name: string;
  form: ActuatorForm;
  /** In the order in which the handle passes them. */
  positions: Position[];
  /** null while there may be positions that nobody has found yet. */
  closed: ClosedBy | null;
}
