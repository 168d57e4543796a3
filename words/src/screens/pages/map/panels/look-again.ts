/** What look again says. */
export const LOOK_AGAIN_TEXT = {
  oneToLookAtAgain: 'One to look at again',
  toLookAtAgain: (length: string | number) => `${length} to look at again`,
  at: ' at',
  perhaps: 'Perhaps ',
  readItAgain: 'Read it again',
  itIs: 'It is ',
  declareWhatLiesAcross: (ends: string | number) => `Declare what lies across ${ends}`,
  declareWhatLiesThere: 'Declare what lies there',
  leaveItNotKnown: 'Leave it as not known',
  leftNotKnown: ' (left as not known)',
};
