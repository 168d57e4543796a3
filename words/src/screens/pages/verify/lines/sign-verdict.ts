/** What sign verdict says. */
export const SIGN_VERDICT_TEXT = {
  somethingWasReadOrChanged: 'Something was read or changed since: it is open again.',
  theSameEvidenceIsWorth: 'The same evidence now gives another verdict: see above.',
  signOff: 'Sign-off',
  signed: ' signed “',
  signedBy: 'Signed by',
  acceptedDefectsAndWhy: 'Accepted defects, and why',
  signTheVerdictAsIt: 'Sign the verdict as it stands',
};
