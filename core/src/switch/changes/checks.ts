import type { Problem } from '../problem.js';
import type { TerminalId } from '../id.js';
import { contactTerminals, type Structure } from '../structure.js';

export function problem(code: Problem['code'], path: string, params: Problem['params'] = {}): Problem {
  return { code, path, params };
}

/** A problem where nothing among these has the id. */
export function missing(items: readonly { id: string }[], id: string): Problem[] {
  return items.some((item) => item.id === id) ? [] : [problem('not-there', 'change', { id })];
}

/** A problem where no handle has the position. */
export function missingPosition({ actuators }: Structure, id: string): Problem[] {
  return missing(
    actuators.flatMap(({ positions }) => positions),
    id,
  );
}

/** A switch keeps two terminals that count for its pattern when this one no longer does. */
export function tooFewWithout(structure: Structure, terminal: TerminalId): Problem[] {
  const left = contactTerminals(structure).filter(({ id }) => id !== terminal);
  return left.length < 2 ? [problem('too-few-terminals', 'change.terminal')] : [];
}

/** Labels that are blank, or that another terminal has (upper and lower case are the same). */
export function labelProblems(labels: readonly string[]): Problem[] {
  const seen = new Set<string>();
  const problems: Problem[] = [];
  for (const label of labels) {
    const folded = label.trim().toLowerCase();
    if (folded === '') problems.push(problem('no-label', 'change.label'));
    else if (seen.has(folded)) problems.push(problem('label-taken', 'change.label', { label }));
    seen.add(folded);
  }
  return problems;
}
