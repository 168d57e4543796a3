import type { Recognised } from '@which-way/core/match';
import type { Reason } from '@which-way/core/planner';
import { kindWords } from '../kinds.js';
import type { Order } from '@which-way/core/log';

/** The orders of probing, as people choose them. */
export const ORDER_WORDS: Record<Order, { short: string; name: string; hint: string }> = {
  position: {
    short: 'Position first',
    name: 'Position first',
    hint: 'Set the handle, test every pair, then the next position.',
  },
  pair: {
    short: 'Pair first',
    name: 'Pair first',
    hint: 'Hold a pair, work the handle through the positions.',
  },
  likely: {
    short: 'Likely first',
    name: 'Likely first',
    hint: 'The pair that probably joins is asked first: fewest readings.',
  },
  time: {
    short: 'By time',
    name: 'By time',
    hint: 'Whatever is fastest for you.',
  },
  expected: {
    short: 'What it looks like',
    name: 'Prove what it looks like',
    hint: 'Once a pattern is recognised: its joins, then what must be open. Answers win over what was expected.',
  },
};

/** What a recognised switch is called. */
export function recognisedWords({ of, name }: Recognised): string {
  if (of.kind === 'expected') return 'what it should be';
  return of.kind === 'library' ? name : kindWords(of.switch, of.poles, of.ways);
}

/** Why a prompt is what it is. */
export const PROMPT_REASON_WORDS: Record<Reason, string> = {
  row: 'next in this position',
  likely: 'probably joined',
  held: 'one pair through all positions',
  fastest: 'settles most per second',
  bundle: 'many pairs at once',
  common: 'a common against its throws',
  telling: 'tells apart what it may be',
  expected: 'proves what it looks like',
  assumed: 'was only assumed so far',
  polarity: 'a part may conduct the other way round',
  return: 'tells this position from the others',
  named: 'a pair you chose',
  alone: 'only a bundle showed it: clips off, this pair alone',
  ohms: 'it was only heard so far',
};
