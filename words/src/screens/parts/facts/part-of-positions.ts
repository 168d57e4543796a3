/** What part of positions says. */
export const PART_OF_POSITIONS_TEXT = {
  positionsBefore: 'Positions before',
  positions: 'positions ',
  to: ' to ',
  ofText: ' of ',
  positionsAfter: 'Positions after',
};
