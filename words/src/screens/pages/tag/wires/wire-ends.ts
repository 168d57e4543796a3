/** What wire ends says. */
export const WIRE_ENDS_TEXT = {
  itsFarEnd: 'Its far end',
  notSaidSeveralWhereIt: 'not said; several where it goes on from one to the next',
  nameSuppliesAndLoadsBelow: 'Name supplies and loads below; then each is one tap.',
  aGuess: 'A guess: ',
  takeIt: '. Use it',
};
