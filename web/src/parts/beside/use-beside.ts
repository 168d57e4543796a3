import { useEffect, useMemo, useState } from 'react';
import type { AskedOf, Beside } from './beside.js';

/** What has come of a question so far. */
export interface Besides<Question, Answer> {
  /** The answer to this question; null while it is being worked out, where nothing is asked, and where it failed. */
  answer: Answer | null;
  /** The newest answer of all, perhaps to an earlier question. */
  last: { of: Question; answer: Answer } | null;
  /** This question is being worked out. */
  busy: boolean;
  /** Why this question can't be answered. */
  failed: Error | null;
}

/**
 * Asks beside the screen; another question, or leaving the page, takes the one before back.
 * @param open opens the work; another function ends it, and opens another
 * @param question the same object while the question is the same; null: nothing is asked
 * @param ask a function that does not change with each rendering
 */
export function useBeside<Desk extends object, Question extends object | string, Answer>(
  open: () => Beside<Desk>,
  question: Question | null,
  ask: (desk: AskedOf<Desk>, question: Question) => Promise<Answer>,
): Besides<Question, Answer> {
  const beside = useMemo(() => open(), [open]);
  const [last, setLast] = useState<{ of: Question; answer: Answer } | null>(null);
  const [failed, setFailed] = useState<{ of: Question; why: Error } | null>(null);
  useEffect(() => () => beside.end(), [beside]);
  useEffect(() => {
    if (question === null) return undefined;
    const left = new AbortController();
    beside
      .ask((desk) => ask(desk, question), left.signal)
      .then(
        (answer) => left.signal.aborted || setLast({ of: question, answer }),
        (why: unknown) =>
          left.signal.aborted || beside.ended || setFailed({ of: question, why: why as Error }),
      );
    return () => left.abort();
  }, [beside, question, ask]);
  const answer = question !== null && last?.of === question ? last.answer : null;
  const why = question !== null && failed?.of === question ? failed.why : null;
  return { answer, last, failed: why, busy: question !== null && answer === null && why === null };
}
