import { ageOf, upgradeEvent, type JobEvent } from '../../log/index.js';
import { MOST_LEVELS } from '../../schema/index.js';
import type { Problem } from '../../switch/index.js';
import { checkers, problemsOf } from './checked.js';
import { levelsOf } from './levels.js';

/** What is wrong with the body of an event. Empty when it is well formed. */
export function deedProblems(what: unknown): Problem[] {
  return checkers.checkDeed(what) ? [] : problemsOf(checkers.checkDeed);
}

/** An event as this program knows it, or what is wrong with it. */
export type ReadEvent = { ok: true; event: JobEvent } | { ok: false; problems: Problem[] };

/**
 * Reads what is claimed to be an event, envelope and body: one of an older version of its kind is upgraded, one of a newer
 * program is told as such. Everything that takes events in (the page, the server, an import) takes them through this.
 */
export function readEvent(claimed: unknown): ReadEvent {
  const refuse = (...problems: Problem[]): ReadEvent => ({ ok: false, problems });
  if (levelsOf(claimed) > MOST_LEVELS)
    return refuse({ code: 'too-deep', path: '', params: { most: MOST_LEVELS } });
  const newer = newerProblem(claimed);
  if (newer) return refuse(newer);
  const event = upgradeEvent(claimed);
  return checkers.checkEvent(event) ? { ok: true, event } : refuse(...problemsOf(checkers.checkEvent));
}

/** What is wrong with an event, envelope and body. Empty when it can be read. */
export function eventProblems(claimed: unknown): Problem[] {
  const read = readEvent(claimed);
  return read.ok ? [] : read.problems;
}

/** That an event was written by a newer program: its kind is not known here, or its version is not. */
export function newerProblem(event: unknown): Problem | null {
  const age = ageOf(event);
  if (age.is === 'unknown-kind')
    return { code: 'kind-not-known', path: 'what.kind', params: { kind: age.kind.slice(0, 60) } };
  if (age.is !== 'newer') return null;
  const { schema } = event as { schema: number };
  return { code: 'event-too-new', path: 'schema', params: { schema, newest: age.newest } };
}
