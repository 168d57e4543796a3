import type { Pattern } from '../partition/index.js';
import { PLAIN_RULES, type FitRules } from './fit/fit.js';
import { compilePart } from './fit/part.js';
import { partOf } from './refine.js';
import { matcherFor, type MatchResult, type Requirement } from './match.js';

/** What a candidate falls short of, when it does all else. */
export type NearMiss =
  | { kind: 'one-junction-more'; result: MatchResult }
  /** All positions but this one. */
  | { kind: 'all-but-position'; position: number; result: MatchResult }
  /** All wires but this one: the place of its terminal. */
  | { kind: 'all-but-wire'; terminal: number; result: MatchResult };

const fits = (result: MatchResult): boolean => result.kind === 'same-wiring' || result.kind === 'fits-so-far';

/** Looks for what one small thing keeps candidates from: a junction more, then a position, then a wire. */
export function nearMissesFor(
  required: Requirement,
  rules: FitRules = PLAIN_RULES,
): (candidate: Pattern) => NearMiss | null {
  const all = required.pattern.map((_, at) => at);
  const more = matcherFor(required, { ...rules, jumpers: rules.jumpers + 1 });
  const positions =
    required.pattern.length < 2
      ? []
      : required.pattern.map((_, position) =>
          matcherFor(
            partOf(
              required,
              all.filter((at) => at !== position),
              required.terminals,
            ),
            rules,
          ),
        );
  const wires =
    required.terminals.length < 3
      ? []
      : required.terminals.map((terminal) =>
          matcherFor(
            partOf(
              required,
              all,
              required.terminals.filter((at) => at !== terminal),
            ),
            rules,
          ),
        );
  return (candidate) => {
    const part = compilePart(candidate);
    const mended = more(candidate, part);
    if (fits(mended)) return { kind: 'one-junction-more', result: mended };
    for (const [position, match] of positions.entries()) {
      const result = match(candidate, part);
      if (fits(result)) return { kind: 'all-but-position', position, result };
    }
    for (const [at, match] of wires.entries()) {
      const result = match(candidate, part);
      if (fits(result)) return { kind: 'all-but-wire', terminal: required.terminals[at] as number, result };
    }
    return null;
  };
}
