/** What ranked faults says. */
export const RANKED_FAULTS_TEXT = {
  oneFaultIsAssumedChances: 'One fault is assumed. These are likelihoods, not proof.',
  whatMayExplainIt: 'What may explain it',
  explains: 'explains ',
  ofText: ' of ',
  theLikeliestExplainsNotAll:
    'The likeliest doesn’t explain everything: there may be two faults, or something was seen wrong.',
  and: 'and ',
  moreThatMayBeIt: ' more that may be it.',
};
