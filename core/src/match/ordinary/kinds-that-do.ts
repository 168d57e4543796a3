import { kindsOf, type Kind } from '../../kinds/index.js';
import { matcherFor, type Requirement } from '../match.js';

/** So many terminals and positions more than needed are looked at, and so many kinds told. */
const [MORE_TERMINALS, MORE_POSITIONS, MOST_TOLD] = [4, 1, 5];

/**
 * Ordinary kinds that have the required wiring, those with least to spare first. A kind is a pattern, no part: of its ratings nothing is
 * known, so it is never more than 'wiring only'.
 */
export function kindsThatDo(required: Requirement): Kind[] {
  const match = matcherFor(required);
  const [terminals, positions] = [required.terminals.length, required.pattern.length];
  const found: Kind[] = [];
  for (let more = 0; more <= MORE_TERMINALS; more += 1)
    for (let further = 0; further <= MORE_POSITIONS; further += 1)
      for (const kind of kindsOf(terminals + more, positions + further)) {
        if (match(kind.pattern).kind === 'same-wiring') found.push(kind);
        if (found.length === MOST_TOLD) return found;
      }
  return found;
}
