import type { MechanicsFact, MechanicsField, Offer } from '../../log/index.js';
import type { KnownSwitch, PartFacts } from '../../switch/index.js';
import type { Difference } from '../differ/difference.js';
import { differencesOf } from '../differ/differences.js';
import type { Subject } from '../differ/subject.js';
import type { MatchResult, Requirement } from '../match.js';
import { mechanicsAnswers, type MechanicsAnswer } from '../mechanics/mechanics.js';

/** What an offer comes to: a conflict rejects it, a gap is asked. */
export interface OfferFindings {
  /** The entry as this offer states it. */
  known: KnownSwitch;
  /** Safety differences that what is stated here brings, and that the entry as it stands in the library has not. */
  conflicts: Difference[];
  /** Things that must fit and do not, by what is stated here. */
  doNotFit: MechanicsAnswer[];
  gaps: Difference[];
  /** Things that must fit, of which the old one is known and the offer is not. */
  fitGaps: MechanicsAnswer[];
}

/** What is looked at of the switch that is replaced, for its offers. */
export interface OfferSubject {
  required: Requirement;
  subject: Subject;
  never: readonly (readonly [number, number])[];
  mechanics: ReadonlyMap<MechanicsField, MechanicsFact>;
}

/** An entry with what an offer states in place of what the library has. */
function statedBy(known: KnownSwitch, stated: PartFacts): KnownSwitch {
  return { ...known, facts: { ...known.facts, ...stated } };
}

/** Compares what an offer states with what is needed; the wiring is the entry's. */
export function offerFindings(
  { required, subject, never, mechanics }: OfferSubject,
  entry: KnownSwitch,
  fit: Extract<MatchResult, { terminals: unknown }>,
  { stated }: Offer,
): OfferFindings {
  const known = statedBy(entry, stated);
  const of = (one: KnownSwitch) => differencesOf(subject, required, never, one, fit);
  const before = new Set(of(entry).map(({ code, about }) => `${code} ${about}`));
  const differences = of(known);
  const answers = mechanicsAnswers(mechanics, known.facts ?? {});
  return {
    known,
    conflicts: differences.filter(
      ({ gravity, code, about }) => gravity === 'safety' && !before.has(`${code} ${about}`),
    ),
    doNotFit: answers.filter(({ kind }) => kind === 'does-not'),
    gaps: differences.filter(({ gravity }) => gravity === 'question'),
    fitGaps: answers.filter(({ kind, old, fresh }) => kind === 'unknown' && old !== '' && fresh === ''),
  };
}
