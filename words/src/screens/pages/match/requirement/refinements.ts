/** What refinements says. */
export const REFINEMENTS_TEXT = {
  howFarItMayBe: 'How far it may be adapted',
  junctionsThatMayBeAdded: 'Junctions that may be added',
  positionsMayLieUnusedBetween: 'unused positions may lie in between',
  itMayHavePositionsTo: 'it may have positions to spare',
  itMustSpringBackWhere: 'it must spring back where the old one does, and stay where that stays',
  and: ' and ',
  mustNeverMeet: ' must never meet',
  remove: 'Remove',
  twoSuppliesOn: 'Two supplies on',
  oneSupply: 'One supply',
  and2: 'and',
  theOtherSupply: 'The other supply',
  mustNeverMeet2: 'must never meet',
};
