/** What wire ends says. */
export const WIRE_ENDS_TEXT = {
  itsFarEnd: 'Its far end',
  notSaidSeveralWhereIt: 'not entered; several where it runs on from one to the next',
  nameSuppliesAndLoadsBelow: 'Name supplies and loads below; then each is one tap.',
  aGuess: 'A guess: ',
  takeIt: '. Use it',
};
