import { tableFamily, type Family } from '../kind.js';

const DIAGONALS = ['N', 'N E', 'E', 'S E', 'S', 'S W', 'W', 'N W'];
const SOURCE = 'common practice: a diagonal closes both neighbours';

/** Joysticks whose diagonals close two contacts, with a common or each contact by itself. */
export const JOYSTICKS: readonly Family[] = [
  tableFamily(
    'joystick',
    SOURCE,
    'C N E S W',
    `CENTRE: | ${DIAGONALS.map((to) => `${to.replace(' ', '')}: C-${to.replace(' ', '-')}`).join(' | ')}`,
  ),
  tableFamily(
    'joystick-contacts',
    SOURCE,
    'N1 N2 E1 E2 S1 S2 W1 W2',
    `CENTRE: | ${DIAGONALS.map(
      (to) =>
        `${to.replace(' ', '')}: ${to
          .split(' ')
          .map((one) => `${one}1-${one}2`)
          .join(' ')}`,
    ).join(' | ')}`,
  ),
];
