import type { Order } from '@which-way/core/switch';

/** The orders of probing, as people choose them. */
export const ORDER_WORDS: Record<Order, { short: string; name: string; hint: string }> = {
  position: {
    short: 'Position first',
    name: 'Position first',
    hint: 'Set the handle, walk all pairs, then the next position.',
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
    hint: 'Whatever settles most a second with these hands.',
  },
};
