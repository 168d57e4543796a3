import type { SwitchMap } from '@which-way/core/continuity';
import { diagnose, diagnosisQuestion, type Diagnosis, type DiagnosisQuestion } from '@which-way/core/verify';
import type { ExpectedTable } from '@which-way/core/log';
import { wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { DiagnosisWorker } from './diagnosis.worker.js';

/** A diagnosis with what its places stand for; null while it is being worked out. */
export interface Diagnosed {
  question: DiagnosisQuestion;
  diagnosis: Diagnosis | null;
}

/** Works out beside the screen what may be wrong; in this very thread where there are no workers. */
export function useDiagnosis(map: SwitchMap, expected: ExpectedTable | null): Diagnosed | null {
  const question = useMemo(() => (expected ? diagnosisQuestion(map, expected) : null), [map, expected]);
  const [found, setFound] = useState<{ of: DiagnosisQuestion; diagnosis: Diagnosis } | null>(null);
  useEffect(() => {
    if (!question) return undefined;
    let over = false;
    const take = (diagnosis: Diagnosis) => {
      if (!over) setFound({ of: question, diagnosis });
    };
    const here = () => take(diagnose(question.expected, question.known, question.rows));
    if (typeof Worker === 'undefined') {
      const timer = setTimeout(here);
      return () => {
        over = true;
        clearTimeout(timer);
      };
    }
    const thread = new Worker(new URL('./diagnosis.worker.ts', import.meta.url), { type: 'module' });
    thread.onerror = here;
    void wrap<DiagnosisWorker>(thread).of(question).then(take, here);
    return () => {
      over = true;
      thread.terminate();
    };
  }, [question]);
  if (!question) return null;
  return { question, diagnosis: found?.of === question ? found.diagnosis : null };
}
