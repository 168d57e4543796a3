import type { LinkKind, PathLink, PathLook, Sign } from '../log/index.js';

/** What a look at a link of this kind can show, and how often a look shows it where the link is at fault. */
interface Looking {
  signs: readonly Sign[];
  shows: number;
}

/** Common practice, from memory: rough on purpose, they decide whether to look or to measure first, and never a verdict. */
const LOOKS: Record<LinkKind, Looking> = {
  plug: { signs: ['pins-burnt', 'wire-broken', 'screw-loose'], shows: 0.5 },
  fuse: { signs: ['fuse-blown'], shows: 0.7 },
  battery: { signs: ['leaking', 'screw-loose'], shows: 0.3 },
  cord: { signs: ['insulation-nicked', 'wire-broken'], shows: 0.35 },
  terminals: { signs: ['screw-loose', 'charred', 'wire-broken'], shows: 0.6 },
  switch: {
    signs: ['contact-pitted', 'charred', 'dust', 'jammed', 'spring-off', 'rotor-out'],
    shows: 0.4,
  },
  electronics: { signs: ['charred', 'leaking', 'broken'], shows: 0.3 },
  motor: { signs: ['charred', 'jammed', 'dust'], shows: 0.3 },
  brushes: { signs: ['spring-off', 'brush-stuck', 'brush-short', 'commutator'], shows: 0.8 },
  element: { signs: ['broken', 'charred'], shows: 0.5 },
  lamp: { signs: ['broken'], shows: 0.7 },
  coil: { signs: ['charred', 'wire-broken'], shows: 0.25 },
  suppressor: { signs: ['charred', 'leaking'], shows: 0.4 },
  earth: { signs: ['wire-broken', 'screw-loose'], shows: 0.4 },
};

/** What is looked for on a link. */
export const signsOf = (kind: LinkKind): readonly Sign[] => LOOKS[kind].signs;

/** The chance that a look at all its signs shows the fault of a link that is at fault. */
export const lookShows = (kind: LinkKind): number => LOOKS[kind].shows;

/** The minutes that a look takes once it is reached. */
export const LOOK_MINUTES = 0.2;

/** Whether all that can be seen of a link was looked at. */
export function isLookedAt({ id, kind }: PathLink, looks: readonly PathLook[]): boolean {
  const seen = new Set(looks.filter(({ link }) => link === id).map(({ sign }) => sign));
  return signsOf(kind).every((sign) => seen.has(sign));
}

/** What was seen at fault. */
export const seenAtFault = (looks: readonly PathLook[]): PathLook[] =>
  looks.filter(({ found }) => found === 'at-fault');
