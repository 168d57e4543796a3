import type { TerminalId } from './id.js';

/**
 * `dummy`: a lug that is said to have no contact behind it; it is probed like the others, and two wires may rely on it
 * as a splice. `frame`: bush, shaft, bracket, can; counts for insulation, not for the completeness of the pattern.
 */
export const TERMINAL_ROLES = ['contact', 'dummy', 'frame'] as const;
export type TerminalRole = (typeof TERMINAL_ROLES)[number];

/** A place where a wire or probe lands: post, lug, tab, screw, pin, pigtail; or the frame. */
export interface Terminal {
  id: TerminalId;
  /** What the repairer calls it; unique among the terminals in use. */
  label: string;
  /** What is stamped on it, as read; null when there is nothing or nothing legible. */
  marking: string | null;
  role: TerminalRole;
}
