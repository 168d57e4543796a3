import { id, LABEL_LETTERS, object, oneOf, orNull, says, text, type TypeOf } from '../schema/index.js';
import type { TerminalId } from './id.js';

/**
 * `dummy`: a tie lug, said to have no contact behind it; it is probed like the others, and two wires may rely on it as a
 * splice. `lamp`: the tab of a pilot lamp, which may join nothing that a meter sees. `coil`: an end of a
 * coil on the switch, as of a no-volt release. `frame`: bush, shaft, bracket, can;
 * counts for insulation, not for the completeness of the pattern. `earth`: an earth tab, never a contact and never a spare tie.
 * `electronics`: leads to a trigger's electronics or a dimmer, not tested by ohms. `track`: end or wiper of a potentiometer
 * on the same shaft.
 */
export const TERMINAL_ROLES = [
  'contact',
  'dummy',
  'lamp',
  'coil',
  'frame',
  'earth',
  'electronics',
  'track',
] as const;
export type TerminalRole = (typeof TERMINAL_ROLES)[number];

const IN_PATTERN: ReadonlySet<TerminalRole> = new Set(['contact', 'dummy', 'lamp', 'coil']);

/** Whether a terminal of this role counts for the pattern, and is probed for it. */
export const inPattern = ({ role }: { role: TerminalRole }): boolean => IN_PATTERN.has(role);

const PART_BEHIND: ReadonlySet<TerminalRole> = new Set(['lamp', 'coil']);

/** Whether a part that may read as low as a contact is behind a terminal of this role: a cold lamp, a winding. */
export const hasPartBehind = ({ role }: { role: TerminalRole }): boolean => PART_BEHIND.has(role);

/** What a terminal looks like where that is a hint at the common (common practice). */
export const TERMINAL_LOOKS = ['dark-screw', 'wide-tab', 'set-apart', 'coloured-insert', 'own-side'] as const;
export type TerminalLook = (typeof TERMINAL_LOOKS)[number];

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
