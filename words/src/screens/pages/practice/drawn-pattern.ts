/** What drawn pattern says. */
export const DRAWN_PATTERN_TEXT = {
  lugsCannotBeDrawnGive: (terminals: string | number, terminals2: string | number) =>
    `“${terminals}” lugs cannot be drawn. Enter a whole number from 2 to ${terminals2}.`,
  positionSaysNothingThatJoins: (value: string | number, part: string | number, size: string | number) =>
    `Position ${value}: “${part}” names nothing that joins. Write lugs from 1 to ${size} with a dash between, such as 1-2, 3-4-5.`,
  nothingJoinsInAnyPosition: 'Nothing joins in any position. Write at least one pair, such as 1-2.',
};
