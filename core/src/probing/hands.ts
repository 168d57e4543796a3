import type { PromptId, ReadingId, TerminalId } from '../switch/index.js';
import type { Message } from './message.js';
import type { Found, Sense } from './task.js';

/** Readings that are to be read again, the first one next. */
export interface Again {
  readings: readonly ReadingId[];
  /** Whatever is read now takes the old one's place; else what is still between the bands stands beside it. */
  replaces: boolean;
}

/** What the hands have begun and not ended: plain data, kept by nobody but the page that is open. */
export interface ProbingHands {
  /** A tone from the beeper, or ohms from the display. */
  sense: Sense;
  /** What was tapped of a prompt that is answered by several at once. */
  tapped: { prompt: PromptId | null; values: Found } | null;
  typed: string;
  message: Message | null;
  again: Again;
  /** The first terminal of a pair of the person's own choice. */
  picked: TerminalId | null;
  picking: boolean;
}

const NOTHING_AGAIN: Again = { readings: [], replaces: true };

/** Hands that have begun nothing. */
export const idleHands = (sense: Sense): ProbingHands => ({
  sense,
  tapped: null,
  typed: '',
  message: null,
  again: NOTHING_AGAIN,
  picked: null,
  picking: false,
});
