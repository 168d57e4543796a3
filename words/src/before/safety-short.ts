import type { SafetyTrouble } from '@which-way/core/safety';

/** The trouble in a few words, for the list of jobs. */
export const SAFETY_SHORT: Record<SafetyTrouble['code'], string> = {
  'not-begun': 'still in the machine',
  're-energised': 'it had power again',
  unanswered: 'some questions not answered',
  'before-isolation': 'some lines were done before isolation',
  'given-with-others': 'a proof must be answered on its own',
  'cannot-be-left-out': 'a proof was left out',
  'answer-does-not-fit': 'an answer doesn’t make sense',
  'pen-is-no-proof': "a pen tester doesn't prove it's dead",
  'other-tester': 'two testers were used',
  'not-every-position': 'not dead in every position',
  'not-dead': 'not proved dead',
  'against-what': 'reference point for “dead” not recorded',
  'not-proved': 'not proved dead',
  'high-voltage': 'stop: high voltage is stored in it',
  'stored-energy': 'stored energy is left',
  'out-of-order': 'the tester was not proved again afterwards',
  unsigned: 'not signed yet',
};
