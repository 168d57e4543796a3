import type { MatchQuestion } from '@which-way/contract';
import type { SwitchMap } from '@which-way/core/continuity';
import type { Refinement } from '@which-way/core/log';
import {
  isOffLeftOut,
  refined,
  requirementBy,
  subjectOf,
  type MachineNeed,
  type MapRequirement,
  type Requirement,
  type RequirementSource,
  type Subject,
} from '@which-way/core/match';

/** What is asked for: with what was said not to matter, and without. */
export interface Asked {
  /** Other ways that are as good as `found`, over the same terminals and settings. */
  also: Requirement[];
  /** All that the source says. */
  whole: MapRequirement;
  /** What a replacement has to do. */
  found: MapRequirement;
  subject: Subject;
}

/** What the page asks for, by a source and all that was said besides. */
export function askedOf(
  map: SwitchMap,
  source: RequirementSource,
  refinement: Refinement,
  need: MachineNeed,
): Asked {
  const whole = source === 'machine' ? need.found : requirementBy(map, source, refinement.another);
  const found = refined(whole, refinement, map.structure);
  const settings = found.kind === 'none' ? undefined : found.settings;
  // What is asked besides is asked of every way; settings and terminals that are left out are left out of all.
  const also = (source === 'machine' && whole.kind !== 'none' ? need.also : []).flatMap((requirement) => {
    const other = refined({ ...whole, requirement } as typeof whole, refinement, map.structure);
    return other.kind === 'none' ? [] : [other.requirement];
  });
  return { whole, found, also, subject: subjectOf(map, settings, isOffLeftOut(whole, refinement)) };
}

/** Pairs that must never meet, by their places; those of terminals of which nothing is asked are left out. */
export function neverPairs(
  map: SwitchMap,
  found: MapRequirement & { kind: 'requirement' },
  { never }: Pick<Refinement, 'never'>,
): [number, number][] {
  const place = new Map(map.structure.terminals.map(({ id }, at) => [id, at]));
  const used = (at: number | undefined): at is number =>
    at !== undefined && found.requirement.terminals.includes(at);
  return never.flatMap(([one, other]): [number, number][] => {
    const [a, b] = [place.get(one), place.get(other)];
    return used(a) && used(b) ? [[a, b]] : [];
  });
}

/** So many of those that may do are listed, and of those that don't. */
const MOST_TOLD = 60;

/** What is asked of the library: the requirement as this page knows it, so that readings that are not sent yet count. */
export function questionOf(
  map: SwitchMap,
  { found, also, subject }: Asked,
  refinement: Refinement,
  words: string,
): MatchQuestion | null {
  if (found.kind === 'none') return null;
  const { pattern, terminals, known, free } = found.requirement;
  const { jumpers, gaps, spares, returns } = refinement;
  return {
    pattern,
    terminals,
    known: known && [...known],
    free: free ? [...free] : null,
    also: also.map((one) => ({ pattern: one.pattern, free: one.free ? [...one.free] : null })),
    never: neverPairs(map, found, refinement),
    rules: { jumpers, gaps, spares, returns },
    told: MOST_TOLD,
    words,
    subject,
  };
}
