import { MOST_LEVELS } from '../../schema/index.js';
import type { Problem } from '../../switch/index.js';
import { checkers, problemsOf } from './checked.js';
import { levelsOf } from './levels.js';

/** What is wrong with a library entry: shape, labels named but not listed, groups that overlap. */
export function knownSwitchProblems(entry: unknown, path = ''): Problem[] {
  if (levelsOf(entry) > MOST_LEVELS) return [{ code: 'too-deep', path, params: { most: MOST_LEVELS } }];
  if (!checkers.checkKnownSwitch(entry)) return problemsOf(checkers.checkKnownSwitch);
  const listed = new Set(entry.terminals);
  return entry.positions.flatMap(({ joined }, index) => {
    const at = `${path === '' ? '' : `${path}.`}positions.${index}.joined`;
    const named = joined.flat();
    const strangers = named.filter((label) => !listed.has(label));
    const twice = named.filter((label, place) => named.indexOf(label) !== place);
    const problem = (code: Problem['code'], label: string): Problem => ({
      code,
      path: at,
      params: { label },
    });
    return [
      ...strangers.map((label) => problem('terminal-not-listed', label)),
      ...twice.map((label) => problem('terminal-in-two-nets', label)),
    ];
  });
}
