import type { TerminalLook, TerminalRole } from '@which-way/core/switch';

export const ROLE_WORDS: Record<TerminalRole, string> = {
  contact: 'Terminal',
  dummy: 'Tie lug',
  lamp: 'Lamp tab',
  coil: 'Coil end',
  frame: 'FRAME',
  earth: 'Earth tab',
  electronics: 'Electronics',
  track: 'Potentiometer',
};

/** What saying so changes; nothing for an ordinary terminal. */
export const ROLE_ABOUT: Record<TerminalRole, string> = {
  contact: '',
  dummy:
    'Marked as having no contact behind it. It is probed all the same; two wires on it may rely on it as a splice.',
  lamp: 'A neon or LED reads open on most meters: that it joins nothing is normal. It is read both ways round. Its return may be neutral or earth. A low reading here may be the lamp: you are asked which.',
  coil: 'End of a coil on the switch, such as a no-volt release. A low reading here may be the coil: you are asked which.',
  frame: 'Used for insulation checks only, not the connection pattern.',
  earth:
    'No contact, and never a spare tie: to the case it reads next to nothing in every position. It isn’t part of the pattern.',
  electronics: 'Not tested by ohms: only the bare contacts are mapped and judged.',
  track:
    'End or wiper of the potentiometer on the same shaft: record its ends, wiper and taper. It isn’t part of the pattern.',
};

export const LOOK_WORDS: Record<TerminalLook, string> = {
  'dark-screw': 'dark screw',
  'wide-tab': 'wide tab',
  'set-apart': 'set apart',
  'coloured-insert': 'coloured insert',
  'own-side': 'on its own side',
};
