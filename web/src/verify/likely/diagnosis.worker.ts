import { bestRelabelling, type Relabelling } from '@which-way/core/partition';
import { diagnose, type Diagnosis, type DiagnosisQuestion } from '@which-way/core/verify';
import { expose } from 'comlink';

const diagnosis = {
  of: ({ expected, known, rows }: DiagnosisQuestion): Diagnosis => diagnose(expected, known, rows),
  relabelling: ({ expected, known }: DiagnosisQuestion, pins: readonly [number, number][]): Relabelling =>
    bestRelabelling(expected, known, new Map(pins)),
};

/** What the diagnosis beside the screen offers. */
export type DiagnosisWorker = typeof diagnosis;

expose(diagnosis);
