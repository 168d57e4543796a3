import type { LinkId, TestId } from './id.js';

/** What a supply path is made of. */
export const LINK_KINDS = [
  'plug',
  'fuse',
  'battery',
  'cord',
  'terminals',
  'switch',
  'electronics',
  'motor',
  'brushes',
  'element',
  'lamp',
  'coil',
  'suppressor',
  'earth',
] as const;
export type LinkKind = (typeof LINK_KINDS)[number];

/** One link of the path from the supply to the load. */
export interface PathLink {
  id: LinkId;
  kind: LinkKind;
  /** What it is called where its kind is not enough. */
  name: string | null;
}

/** `unsteady`: it came and went while it was flexed or moved. */
export const TEST_RESULTS = ['pass', 'fail', 'unsteady'] as const;
export type TestResult = (typeof TEST_RESULTS)[number];

/** A test of one link, or of several in a row at once; the newest of an id counts, no result takes it back. */
export interface PathTest {
  id: TestId;
  links: LinkId[];
  result: TestResult | null;
  /** Moved, bent or turned while it was measured. */
  flexed: boolean;
  ohms: number | null;
}
