import type { SwitchMap } from '@which-way/core/continuity';
import {
  afterMarks,
  diagnosisQuestion,
  marksOf,
  type Diagnosis,
  type DiagnosisQuestion,
} from '@which-way/core/verify';
import type { ExpectedTable } from '@which-way/core/log';
import { useMemo } from 'react';
import { useSame } from '../../../controls/use-same.js';
import type { AskedOf } from '../../../parts/beside/beside.js';
import { useBeside } from '../../../parts/beside/use-beside.js';
import { diagnosisBeside } from './diagnosis-beside.js';
import type { DiagnosisDesk } from './diagnosis-desk.js';

/** A diagnosis with what its places stand for; null while it is being worked out. */
export interface Diagnosed {
  question: DiagnosisQuestion;
  diagnosis: Diagnosis | null;
  /** Explanations that the marks seen on the part rule out; none fits: all are told. */
  ruledOut: number;
  noneFits: boolean;
}

const ask = (desk: AskedOf<DiagnosisDesk>, question: DiagnosisQuestion) => desk.of(question);

/** Works out beside the screen what may be wrong. */
export function useDiagnosis(map: SwitchMap, expected: ExpectedTable | null): Diagnosed | null {
  const asked = useMemo(() => (expected ? diagnosisQuestion(map, expected) : null), [map, expected]);
  // An event that leaves the question as it is, such as a mark on the part, asks nothing new.
  const question = useSame(
    asked,
    useMemo(() => JSON.stringify(asked), [asked]),
  );
  const { answer } = useBeside(diagnosisBeside, question, ask);
  const { log } = map;
  return useMemo(() => {
    if (!question) return null;
    if (!answer) return { question, diagnosis: null, ruledOut: 0, noneFits: false };
    return { question, ...afterMarks(answer, question, marksOf(log)) };
  }, [question, answer, log]);
}
