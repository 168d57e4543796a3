/** What side by side view says. */
export const SIDE_BY_SIDE_VIEW_TEXT = {
  theOldOneAndFrom: (name: string | number, name2: string | number) =>
    `The old one and ${name} from the terminal side, standing at ${name2}`,
  wireByWire: 'Wire by wire',
  old: 'Old',
  drawn: 'Drawn',
  lugOnLug: 'Lug on lug',
  asTheyLie: 'Real layout',
  standingAt: 'Standing at',
  bothFromTheTerminalSide:
    'Both from the terminal side. How the new one’s terminals lie on it is not known: look at its labels.',
  aDashedBlackLineIs: ' A dashed black line is a junction that has to be added.',
  amberItJoinsHereWhat: ' Amber: it joins here what the old one does not.',
  terminalByTerminal: 'Terminal by terminal',
  joinedByAJunction: 'joined by a junction',
};
