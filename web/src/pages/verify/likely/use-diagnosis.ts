import type { SwitchMap } from '@which-way/core/continuity';
import { diagnosisQuestion, type Diagnosis, type DiagnosisQuestion } from '@which-way/core/verify';
import type { ExpectedTable } from '@which-way/core/log';
import { useMemo } from 'react';
import type { AskedOf } from '../../../parts/beside/beside.js';
import { useBeside } from '../../../parts/beside/use-beside.js';
import { diagnosisBeside } from './diagnosis-beside.js';
import type { DiagnosisDesk } from './diagnosis-desk.js';

/** A diagnosis with what its places stand for; null while it is being worked out. */
export interface Diagnosed {
  question: DiagnosisQuestion;
  diagnosis: Diagnosis | null;
}

const ask = (desk: AskedOf<DiagnosisDesk>, question: DiagnosisQuestion) => desk.of(question);

/** Works out beside the screen what may be wrong. */
export function useDiagnosis(map: SwitchMap, expected: ExpectedTable | null): Diagnosed | null {
  const question = useMemo(() => (expected ? diagnosisQuestion(map, expected) : null), [map, expected]);
  const { answer } = useBeside(diagnosisBeside, question, ask);
  return question && { question, diagnosis: answer };
}
