import type { SwitchMap } from '@which-way/core/continuity';
import type { Refinement } from '@which-way/core/log';
import { requirementByMachine, type RequirementSource } from '@which-way/core/match';
import { MATCH_PAGE_TEXT } from '@which-way/words/screens/pages/match/match-page';
import { useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { changeOf, MatchSearch, type SearchState } from '../../parts/finding/match-search.js';
import { askedOf, questionOf } from './match-question.js';

/** What it is compared with: no machine is asked there. */
const NO_MACHINE = requirementByMachine('no-machine');

/**
 * How many more parts do what the machine needs than have the whole wiring, in a sentence; null while that is not known, or not asked.
 * The other list is counted alone, once the first stands.
 */
export function useGain(
  map: SwitchMap,
  refinement: Refinement,
  of: { source: RequirementSource; proposed: RequirementSource; words: string },
  matches: SearchState,
): string | null {
  const { source, proposed, words } = of;
  const wanted = source === 'machine' && matches.done;
  const question = useMemo(() => {
    const asked = wanted ? askedOf(map, proposed, refinement, NO_MACHINE) : null;
    const whole = asked && questionOf(map, asked, refinement, words);
    return whole && { ...whole, told: 0 };
  }, [map, refinement, proposed, words, wanted]);
  const [search] = useState(() => new MatchSearch());
  const { answered } = useStore(search.store);
  useEffect(() => {
    if (question) search.start(question);
  }, [search, question]);
  useEffect(() => () => search.stop(), [search]);
  if (!question || !answered || !matches.answered) return null;
  const change = changeOf(answered, matches.answered);
  return change && MATCH_PAGE_TEXT.gained(change.come.count, proposed === 'as-mapped');
}
