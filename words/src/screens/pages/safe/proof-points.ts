/** What proof points says. */
export const PROOF_POINTS_TEXT = {
  earthOnALead: 'Earth on a lead',
  neutralOnALead: 'Neutral on a lead',
  measuredBetween: 'Measured between',
  isNotHere: (name: string | number) => `${name} is not here`,
  oneMoreConductor: 'One more conductor',
  oneMore: 'one more',
  add: 'Add',
  noEarthHere: 'No earth here',
};
