import type { SwitchMap } from '@which-way/core/continuity';
import { judged } from '../judged.js';
import { LINE_OUTCOME_WORDS } from '@which-way/words/judge/verdict';
import { LINE_NAMES } from '@which-way/words/judge/line-names';
import { reasonWords } from '@which-way/words/verdict';
import type { ReactNode } from 'react';
import { ResultLine } from '../../../controls/result-line.js';

interface LineOfVerdictProps {
  id: 'contacts' | 'insulation' | 'mechanics';
  map: SwitchMap;
  act: string;
  /** How far it is, where that says more than why. */
  note?: string;
  onOpen?: (open: boolean) => void;
  children: ReactNode;
}

/** One of the four lines of the verdict, with why, and what it rests on folded behind. */
export function LineOfVerdict({ id, map, act, note, onOpen, children }: LineOfVerdictProps) {
  const { lines } = judged(map);
  const { outcome, reasons } = lines[id];
  // What is short for nothing but that it was not done; a leak or a fault is always told.
  const short = outcome === 'not-yet' && reasons.length === 1 ? note : undefined;
  return (
    <ResultLine
      id={id}
      name={LINE_NAMES[id]}
      look={outcome}
      mark={LINE_OUTCOME_WORDS[outcome]}
      result={short ?? reasonWords(lines, id)}
      act={act}
      {...(onOpen && { onOpen })}
    >
      {children}
    </ResultLine>
  );
}
