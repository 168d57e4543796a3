import type { TerminalId } from './id.js';

/** A place where a wire or probe lands: post, lug, tab, screw, pin, pigtail; or the frame. */
export interface Terminal {
  id: TerminalId;
  /** What the repairer calls it; unique among the terminals in use. */
  label: string;
  /** What is stamped on it, as read; null when there is nothing or nothing legible. */
  marking: string | null;
  /** The frame (bush, shaft, bracket, can) counts for insulation, not for the completeness of the pattern. */
  role: 'contact' | 'frame';
}
