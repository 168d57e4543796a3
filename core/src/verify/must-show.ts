import type { SwitchMap } from '../continuity/index.js';
import type { MustShow } from '../path/index.js';
import { compareWithExpected } from './compare.js';
import { expectedOf } from './expected/expected-pattern.js';
import { leaksOf } from './leaks.js';
import { repeatStanding } from './repeatability.js';
import { verdictOf, type LineOutcome } from './verdict.js';

/** How far something that a complaint asks to be shown is shown. */
export type Shown = 'shown' | 'fails' | 'not-yet';

const OF_LINE: Record<LineOutcome, Shown> = {
  pass: 'shown',
  fail: 'fails',
  'not-yet': 'not-yet',
  'cannot-tell': 'not-yet',
};

/** Whether what a complaint asks for is shown on the bench; what only the machine shows is not yet shown. */
export function shownOf(map: SwitchMap, what: MustShow): Shown {
  const verdict = verdictOf(map);
  const table = expectedOf(map);
  const compared = table ? compareWithExpected(map, table) : null;
  switch (what) {
    case 'every-contact-closes':
      return shownBy(compared?.count.missing, compared?.outcome === 'agrees');
    case 'opens-at-off':
      return shownBy(compared?.count.extra, compared?.outcome === 'agrees');
    case 'repeats': {
      const { failed, left } = repeatStanding(map);
      return failed ? 'fails' : left.length === 0 && map.complete ? 'shown' : 'not-yet';
    }
    case 'no-leak':
      return leaksOf(map).length > 0 ? 'fails' : OF_LINE[verdict.insulation.outcome];
    case 'low-resistance':
      return OF_LINE[verdict.contacts.outcome];
    case 'mechanics':
      return OF_LINE[verdict.mechanics.outcome];
    case 'direction':
    case 'brake-closes-at-rest':
      return 'not-yet';
  }
}

const shownBy = (against: number | undefined, agrees: boolean): Shown =>
  (against ?? 0) > 0 ? 'fails' : agrees ? 'shown' : 'not-yet';
