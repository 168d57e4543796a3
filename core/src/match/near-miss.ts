import { poles, type Pattern } from '../partition/index.js';
import { PLAIN_RULES, type FitRules } from './fit/fit.js';
import { compilePart, type CompiledPart } from './fit/part.js';
import { partOf } from './refine.js';
import { matcherFor, type MatchResult, type Requirement } from './match.js';

/** What a candidate falls short of, when it does all else. */
export type NearMiss =
  | { kind: 'one-junction-more'; result: MatchResult }
  /** All positions but this one. */
  | { kind: 'all-but-position'; position: number; result: MatchResult }
  /** All wires but this one: the place of its terminal. */
  | { kind: 'all-but-wire'; terminal: number; result: MatchResult }
  /** All but one contact, with all wires on it: a pole of its own. */
  | { kind: 'all-but-contact'; terminals: number[]; result: MatchResult };

const fits = (result: MatchResult): boolean => result.kind === 'same-wiring' || result.kind === 'fits-so-far';

/** Looks for what one small thing keeps candidates from: a junction more, then a position, a wire, a contact. */
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
  const withoutContact = contactsLeftOut(required, rules);
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
    return withoutContact(candidate, part);
  };
}

/** What keeps a candidate from it where one contact is left out, with all wires on it. */
function contactsLeftOut(
  required: Requirement,
  rules: FitRules,
): (candidate: Pattern, part: CompiledPart) => NearMiss | null {
  const all = required.pattern.map((_, at) => at);
  const apart = poles(required.pattern)
    .map((places) => required.terminals.filter((at) => places.includes(at)))
    .filter((places) => places.length > 1);
  const contacts = (apart.length < 2 ? [] : apart).map((terminals) => ({
    terminals,
    match: matcherFor(
      partOf(
        required,
        all,
        required.terminals.filter((at) => !terminals.includes(at)),
      ),
      rules,
    ),
  }));
  return (candidate, part) => {
    const found = contacts.flatMap(({ terminals, match }): NearMiss[] => {
      const result = match(candidate, part);
      return fits(result) ? [{ kind: 'all-but-contact', terminals, result }] : [];
    });
    // A single contact does as either of two, in opposite directions: the handle's own first.
    return (
      found.find(({ result }) => !('order' in result) || result.order !== 'reversed') ?? found[0] ?? null
    );
  };
}
