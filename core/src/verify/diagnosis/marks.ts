import { recordsOf, type Log, type StandingMark } from '../../log/index.js';
import type { Cause } from './cause.js';
import type { Diagnosis } from './diagnose.js';
import type { DiagnosisQuestion } from './diagnosis-of.js';

/** Marks of the contacts and of the handle that a person looked at: the newest of each. */
export const marksOf = (log: Log): StandingMark[] => recordsOf(log, 'mark-seen');

/** Whether a mark on the contacts or the handle would tell the explanations of a class apart: one of them moves things. */
export const marksTell = (explanations: readonly (readonly Cause[])[]): boolean =>
  explanations.length > 1 && explanations.some((causes) => causes.some(({ cause }) => MOVING.has(cause)));

const MOVING: ReadonlySet<Cause['cause']> = new Set(['shifted', 'reversed', 'swapped', 'mirrored', 'turned']);

/** Where a cause brings what should lie by a lug, by places of terminals. */
function lugAfter(place: number, cause: Cause): number {
  switch (cause.cause) {
    case 'mirrored':
    case 'turned': {
      const { among } = cause;
      const at = among.indexOf(place);
      if (at < 0) return place;
      const to = cause.cause === 'mirrored' ? among.length - 1 - at : (at + cause.by) % among.length;
      return among[to] as number;
    }
    default:
      return place;
  }
}

/** The position at which a cause brings what should lie at one; null: beyond the stop. */
function positionAfter(place: number, cause: Cause, all: number): number | null {
  if (cause.cause === 'reversed') return all - 1 - place;
  if (cause.cause !== 'shifted') return place;
  const to = place - cause.by;
  if (to >= 0 && to < all) return to;
  return cause.stop ? null : ((to % all) + all) % all;
}

/** Whether a mark by one of two swapped lugs was seen by either: wires may be swapped, which moves no mark, or the contacts. */
const isSwap = (cause: Cause, should: number, is: number): boolean =>
  cause.cause === 'swapped' && cause.terminals.includes(should) && cause.terminals.includes(is);

/** Whether an explanation puts a mark where it was seen; what no place of the question is says nothing. */
function puts(causes: readonly Cause[], mark: StandingMark, question: DiagnosisQuestion): boolean {
  const all: readonly string[] = mark.of === 'lug' ? question.terminals : question.settings;
  const [should, is] = [all.indexOf(mark.should), all.indexOf(mark.is)];
  if (should < 0 || is < 0) return true;
  if (mark.of === 'lug' && causes.some((cause) => isSwap(cause, should, is))) return true;
  const after = causes.reduce<number | null>(
    (place, cause) =>
      place === null
        ? null
        : mark.of === 'lug'
          ? lugAfter(place, cause)
          : positionAfter(place, cause, all.length),
    should,
  );
  return after === is;
}

/** A diagnosis after the marks that were looked at. */
export interface MarkedDiagnosis {
  diagnosis: Diagnosis;
  /** Explanations that put a mark elsewhere, and are not shown. */
  ruledOut: number;
  /** Whether none at all puts the marks where they were seen: then all are shown. */
  noneFits: boolean;
}

/**
 * What is left of a diagnosis once a person looked where the flat, the key, the marked lug or the stop lies: readings alone can't tell a
 * part that was put in turned from a handle that was put on turned. An explanation that would put the mark elsewhere is not shown; where
 * none puts it there, all are.
 */
export function afterMarks(
  diagnosis: Diagnosis,
  question: DiagnosisQuestion,
  marks: readonly StandingMark[],
): MarkedDiagnosis {
  const fits = (causes: readonly Cause[]) => marks.every((mark) => puts(causes, mark, question));
  const classes = diagnosis.classes.flatMap((one) => {
    const explanations = one.explanations.filter(fits);
    return explanations.length > 0 ? [{ ...one, explanations }] : [];
  });
  const count = (some: Diagnosis['classes']) =>
    some.reduce((sum, { explanations }) => sum + explanations.length, 0);
  const noneFits = classes.length === 0 && diagnosis.classes.length > 0;
  if (noneFits) return { diagnosis, ruledOut: 0, noneFits };
  const ruledOut = count(diagnosis.classes) - count(classes);
  return { diagnosis: ruledOut > 0 ? { ...diagnosis, classes } : diagnosis, ruledOut, noneFits };
}
