import { id, LABEL_LETTERS, object, oneOf, orNull, says, text, type TypeOf } from '../schema/index.js';
import type { TerminalId } from './id.js';

/**
 * `dummy`: a lug that is said to have no contact behind it; it is probed like the others, and two wires may rely on it
 * as a splice. `frame`: bush, shaft, bracket, can; counts for insulation, not for the completeness of the pattern.
 */
export const TERMINAL_ROLES = ['contact', 'dummy', 'frame'] as const;
export type TerminalRole = (typeof TERMINAL_ROLES)[number];

/** What a terminal is called, and what is stamped on it. */
export const labelSchema = says(
  'What the repairer calls it; unique among the terminals in use.',
  text(LABEL_LETTERS, 1),
);
export const stampSchema = says(
  'What is stamped on it, as read; null when there is nothing or nothing legible.',
  orNull(text(LABEL_LETTERS)),
);

export const terminalSchema = object({
  id: id<TerminalId>(),
  label: labelSchema,
  marking: stampSchema,
  role: oneOf(TERMINAL_ROLES),
});
/** A place where a wire or probe lands: post, lug, tab, screw, pin, pigtail; or the frame. */
export type Terminal = TypeOf<typeof terminalSchema>;
