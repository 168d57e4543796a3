import type { MatchQuestion } from '@which-way/contract';
import type { SwitchMap } from '@which-way/core/continuity';
import type { Refinement } from '@which-way/core/log';
import { subjectOf, type MapRequirement } from '@which-way/core/match';

/** What is asked of the library: the requirement as this page knows it, so that readings that are not sent yet count. */
export function questionOf(
  map: SwitchMap,
  found: MapRequirement,
  { never, jumpers, gaps }: Refinement,
): MatchQuestion | null {
  if (found.kind === 'none') return null;
  const { pattern, terminals, known } = found.requirement;
  const place = new Map(map.structure.terminals.map(({ id }, at) => [id, at]));
  const pairs = never.flatMap(([one, other]): [number, number][] => {
    const [a, b] = [place.get(one), place.get(other)];
    const used = (at: number | undefined) => at !== undefined && terminals.includes(at);
    return used(a) && used(b) ? [[a as number, b as number]] : [];
  });
  return {
    ...{ pattern, terminals, known: known && [...known], never: pairs },
    rules: { jumpers, gaps },
    subject: subjectOf(map),
  };
}
