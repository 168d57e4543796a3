import { diagnose, type Diagnosis, type DiagnosisQuestion } from '@which-way/core/verify';
import { expose } from 'comlink';

const diagnosis = {
  of: ({ expected, known, rows }: DiagnosisQuestion): Diagnosis => diagnose(expected, known, rows),
};

/** What the diagnosis beside the screen offers. */
export type DiagnosisWorker = typeof diagnosis;

expose(diagnosis);
