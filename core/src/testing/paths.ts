import type { Conductor, LinkKind, PathLink, PathLook, PathTest, TestResult } from '../log/index.js';
import { chained, signsOf, type SupplyPath } from '../path/index.js';
import { newIdFrom, seededRandom, type LinkId } from '../switch/index.js';

export const newId = newIdFrom(seededRandom(8));
const BESIDE: readonly LinkKind[] = ['suppressor', 'earth'];
/** Links in one row, all of them on the way to the load but what lies beside. */
export const chain = (...kinds: LinkKind[]): PathLink[] =>
  chained(
    kinds.map((kind) => ({
      id: newId<LinkId>(),
      kind,
      name: null,
      conductor: (BESIDE.includes(kind) ? 'beside' : 'feed') as Conductor,
    })),
    [],
    newId,
  ).links;
/** A test of these links. */
export const test = (
  links: PathLink[],
  result: TestResult,
  flexed = true,
  way: PathTest['way'] = 'through',
  by: PathTest['by'] = 'ohms',
): PathTest => ({
  id: newId(),
  links: links.map(({ id }) => id),
  result,
  flexed,
  ohms: null,
  way,
  by,
});
/** A path with what was tested of it and seen. */
export const at = (links: PathLink[], tests: PathTest[] = [], looks: PathLook[] = []): SupplyPath => ({
  nodes: [],
  links,
  tests,
  looks,
  symptoms: [],
});
/** A look at all that can be seen of a link. */
export const looked = (link: PathLink, found: PathLook['found'] = 'good'): PathLook[] =>
  signsOf(link.kind).map((sign) => ({ link: link.id, sign, found, photo: null }));
