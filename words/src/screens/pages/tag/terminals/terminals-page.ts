import { plural } from '../../../../plural.js';

/** What terminals page says. */
export const TERMINALS_PAGE_TEXT = {
  theSwitch: 'The switch',
  terminalsAndHandle: 'Terminals and handle',
  tapWhere: 'Tap where ',
  lies: ' lies',
  tapATerminalThenWhere: 'Tap a terminal, then where it lies',
  fillTheFreePlacesIn: 'Fill the free places in order',
  terminals: 'Terminals',
  count: (count: number) => plural(count, 'terminal'),
  features: 'Special features',
  none: 'none',
  edit: 'edit',
  oneMoreLug: 'One more lug',
  addTheFrame: 'Add frame (metal case)',
  frameIsBushShaftBracket:
    'FRAME is bush, shaft, bracket or can: it counts for insulation, not for the pattern. Tap a terminal to rename it, or to mark it as a tie lug, a lamp tab, an earth, electronics.',
};
