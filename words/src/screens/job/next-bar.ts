import { STEP_WORDS } from '../../route.js';

/** What the bar at the foot of each page of a job says. */
export const NEXT_BAR_TEXT = {
  theWayOn: 'Next step',
  next: (name: string) => `Next: ${name}`,
  skip: (name: string) => `Skip to ${name}`,
  back: (name: string) => `Back to ${name}`,
  bench: 'Bench',
  backToTheBench: 'Back to the bench',
  stops: {
    ...STEP_WORDS,
    refit: 'Wires back',
    'refit/check': 'Before power',
    'refit/function': 'Function test',
    'refit/sign': 'Sign-off',
    'refit/report': 'Report',
  },
};
