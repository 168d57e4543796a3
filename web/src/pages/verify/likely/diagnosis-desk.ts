import { bestRelabelling, type Relabelling } from '@which-way/core/partition';
import { diagnose, type Diagnosis, type DiagnosisQuestion } from '@which-way/core/verify';

/** What may be wrong, and how numbers of a diagram may lie: searched beside the screen. */
export const diagnosisDesk = {
  of: ({ expected, known, rows }: DiagnosisQuestion): Diagnosis => diagnose(expected, known, rows),
  relabelling: ({ expected, known }: DiagnosisQuestion, pins: readonly [number, number][]): Relabelling =>
    bestRelabelling(expected, known, new Map(pins)),
};
export type DiagnosisDesk = typeof diagnosisDesk;
