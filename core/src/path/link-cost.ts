import type { LinkKind, PathLink } from '../log/index.js';

/** What is usual for a kind of link: how often it is the fault, and what it takes to get a probe onto its ends. */
export interface LinkCost {
  /** Relative chance to be the fault before anything is tested. */
  chance: number;
  /** Minutes to reach an end of it for the first time. */
  reach: number;
}

/** Common practice, from memory; rough on purpose: they decide the order of the tests, never a verdict. */
const COSTS: Record<LinkKind, LinkCost> = {
  plug: { chance: 8, reach: 0.2 },
  fuse: { chance: 12, reach: 0.5 },
  battery: { chance: 25, reach: 0.3 },
  cord: { chance: 18, reach: 2 },
  terminals: { chance: 8, reach: 2 },
  switch: { chance: 20, reach: 2.5 },
  electronics: { chance: 8, reach: 4 },
  motor: { chance: 6, reach: 4 },
  brushes: { chance: 14, reach: 3 },
  element: { chance: 15, reach: 3 },
  lamp: { chance: 20, reach: 0.5 },
  coil: { chance: 6, reach: 4 },
  suppressor: { chance: 3, reach: 3 },
  earth: { chance: 3, reach: 1 },
};

export const linkCost = (kind: LinkKind): LinkCost => COSTS[kind];

/** Whether a link lies in the path; what lies beside it is tested alone, and is no reason for 'does nothing'. */
export const inSeries = ({ conductor }: PathLink): boolean => conductor !== 'beside';

/** A broken strand passes at rest: these are cleared only by a test in which they were flexed. */
const FLEXED: ReadonlySet<LinkKind> = new Set(['cord']);
export const needsFlexing = (kind: LinkKind): boolean => FLEXED.has(kind);

/** A source, or more than ohms can tell: never in the middle of a stretch that is measured as one. */
const ALONE: ReadonlySet<LinkKind> = new Set(['battery', 'electronics']);
export const testedAlone = (kind: LinkKind): boolean => ALONE.has(kind);
