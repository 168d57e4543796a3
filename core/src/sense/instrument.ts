import type { Lead, Value } from '../log/index.js';
import type { TerminalId } from '../switch/index.js';

/**
 * The one door for whatever measures: a meter that talks, or the simulated one.
 * It measures what is on the leads now, with the handle where it is now.
 */
export interface Instrument {
  name: string;
  /** One measurement between the leads. The lead zero is in it, as on a real display. */
  probe(red: Lead, black: Lead): Value;
  /** The lone lead on a terminal that the other lead is clipped to: a dead clip shows nothing. */
  touchClip(terminal: TerminalId): Value;
  /** The leads held together. */
  leadsTogether(): Value;
}
