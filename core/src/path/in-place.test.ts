import { expect, it } from 'vitest';
import type { InPlaceTrial } from '../log/index.js';
import { inPlaceStanding } from './in-place.js';

const trial = (rounds: string): InPlaceTrial => ({
  ...{ between: 'L in – L out', openAt: 'OFF', closedAt: 'ON', sharedBy: '' },
  rounds: rounds.split(' ').map(([off, on]) => ({
    atOpen: off === 'o' ? 'open' : 'joined',
    atClosed: on === 'j' ? 'joined' : 'open',
  })),
});

// Three times over, leads unmoved: common practice.
it.each([
  ['oj oj', 'too-few'],
  ['oj oj oj', 'works-here'],
  ['oj oj oo', 'not-every-time'],
  ['jj oj oj', 'not-every-time'],
  ['jj jj jj', 'never-parts'],
  ['oo oo oo oo', 'never-joins'],
])('%s: %s', (rounds, standing) => {
  expect(inPlaceStanding(trial(rounds))).toBe(standing);
});
