import type { DeviceId, EventId } from '../switch/index.js';
import type { Deed } from './deed.js';

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
  /** The version of its kind's body; older ones are upgraded when they are read. */
  schema: number;
  what: What;
}
