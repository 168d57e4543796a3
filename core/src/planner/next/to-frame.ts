import type { SwitchMap } from '../../continuity/index.js';
import { inPattern } from '../../switch/index.js';
import type { Ask } from '../../log/index.js';

/**
 * All contacts tied together against the frame, through all settings: one bundle for each. It counts for the insulation,
 * not for the pattern. null without a frame, or when every setting has it already.
 */
export function frameAsk({ structure, tape }: SwitchMap): Ask | null {
  const frame = structure.terminals.find(({ role }) => role === 'frame');
  const contacts = structure.terminals.filter(inPattern).map(({ id }) => id);
  if (!frame || contacts.length === 0) return null;
  const settings = structure.settings.filter(({ need }) => need === 'required').map(({ id }) => id);
  const done = new Set(
    tape.flatMap(({ reading: { setting, red, black }, standing }) => {
      const whole = contacts.every((id) => red.includes(id) || black.includes(id));
      const framed = red.includes(frame.id) || black.includes(frame.id);
      return standing === 'counts' && whole && framed ? [setting] : [];
    }),
  );
  const left = settings.filter((id) => !done.has(id));
  return left.length > 0 ? { kind: 'bundle', red: contacts, black: [frame.id], settings: left } : null;
}
