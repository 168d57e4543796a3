/**
 * The order in which it is probed; each is a school of its own, and they may be changed midway. `expected` proves what the
 * switch looks like, and goes by time while it looks like nothing known.
 */
export const ORDERS = ['position', 'pair', 'likely', 'time', 'expected'] as const;
export type Order = (typeof ORDERS)[number];

/** How far it is probed: every pair in every setting, only commons against their throws, or only pairs that were named. */
export const EXTENTS = ['everything', 'working-pairs', 'named-pairs'] as const;
export type Extent = (typeof EXTENTS)[number];

/** What hands take, in seconds. */
export interface HandSeconds {
  moveLead: number;
  moveBoth: number;
  /** From one position of a handle to another. */
  turn: number;
  read: number;
  /** Per probe while a handle is held against its spring. */
  holdMomentary: number;
  /** One clip on or off. */
  clip: number;
}

/** How a person wants to map: decides what is asked next, never what is known. */
export interface Approach {
  order: Order;
  extent: Extent;
  /** Clips at hand to tie terminals together; 0: no bundles. */
  clips: number;
  /** Seconds as typed in; null: learnt from the job's own time stamps. */
  hands: HandSeconds | null;
}

/** Set the handle, walk all pairs, no clips: what everybody can do. */
export const PLAIN_APPROACH: Approach = { order: 'position', extent: 'everything', clips: 0, hands: null };
