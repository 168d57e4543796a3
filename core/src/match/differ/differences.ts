import { ampsOf, type Load } from '../../log/index.js';
import { patternOfKnown, type Partition } from '../../partition/index.js';
import type { KnownSwitch, PartFacts } from '../../switch/index.js';
import type { Requirement } from '../match.js';
import { of, type Difference, type DifferenceCode, type FitOf, type Gravity } from './difference.js';
import { ofPassing, ofSupplies } from './in-passing.js';
import { protects } from './protection.js';
import { stopLostAt } from './losses.js';
import { burnsGold, leastAnswer, rated, ratingsOf, type RatingAnswer } from './ratings.js';
import type { Subject } from './subject.js';

/** Differences that touch stop, brake, earth or disconnection: accepted only with a typed reason. */
export const WANTS_REASON: ReadonlySet<DifferenceCode> = new Set([
  'spring-lost',
  'brake-to-be-shown',
  'disconnection-lower',
  'earth-lost',
  'off-moved',
  'no-volt-release-lost',
  'direct-opening-lost',
  'off-lost',
  'break-lost',
  'rest-contact-changed',
  'brake-lost',
  'brake-contact-lost',
  'stop-lost',
  'kill-lost',
  'live-at-off',
  'runs-on',
  'restarts',
]);

/** Questions about the old switch: the user answers them, no seller can. */
export const OF_THE_OLD_ONE: ReadonlySet<DifferenceCode> = new Set([
  'spring-unknown',
  'makes-before-old-unknown',
  'load-unsaid',
]);

/** Differences that another way to lay the positions may not have. */
const BY_LAYING: ReadonlySet<DifferenceCode> = new Set([
  'spring-lost',
  'spring-gained',
  'reversed',
  'off-moved',
  'break-lost',
  'rest-contact-changed',
  'contact-differs',
  'supplies-meet-in-spare',
  'supplies-meet-in-passing',
  'fed-together',
  'left-open',
  'key-lost',
]);

/** How much speaks against the way that a part is laid. */
export const againstLaying = (differences: readonly Difference[]): number =>
  differences.filter(({ code, gravity }) => gravity === 'safety' && BY_LAYING.has(code)).length;

const ORDER: readonly Gravity[] = ['safety', 'difference', 'question'];

/**
 * Everything that differs or is not known, safety first. It says nothing of what both sides agree on.
 * @example
 * const map = mapped(2, '', '1-2');
 * const required = { pattern: [[0, 1], [0, 0]], terminals: [0, 1], known: null };
 * const fit = matchPattern(required, required.pattern);
 * const known = asKnownSwitch(map, 'e', 'the same again');
 * differencesOf(subjectOf(map), required, [], known, fit).map(({ code }) => code) // => []
 */
export function differencesOf(
  subject: Subject,
  required: Requirement,
  never: readonly (readonly [number, number])[],
  known: KnownSwitch,
  fit: FitOf,
): Difference[] {
  const supplies = ofSupplies(never, known, fit);
  const found = [
    ...ofReturns(subject, known, fit),
    ...ofOrder(required, known, fit),
    ...(subject.offLeftOut ? [of('off-lost', 'safety')] : []),
    ...ofContacts(subject, required, known, fit),
    ...supplies,
    // Where two supplies meet in passing that is said, and more.
    ...(supplies.length === 0 ? ofPassing(subject, required, known.facts ?? {}) : []),
    ...ofLoads(subject, known.facts ?? {}),
    ...ofFacts(subject, known.facts ?? {}, fit),
    ...(fit.jumpers > 0 ? [of('jumpers-live', 'safety', String(fit.jumpers))] : []),
    ...(subject.brake ? [of('brake-to-be-shown', 'safety')] : []),
  ];
  return found.toSorted((one, other) => ORDER.indexOf(one.gravity) - ORDER.indexOf(other.gravity));
}

/** What springs back, and to where: both sides have it. */
function ofReturns({ positions, startsAt }: Subject, known: KnownSwitch, fit: FitOf): Difference[] {
  // Nobody has said whether they spring back: then no part is known to do the same. It is one question, of the person.
  const unsaid = fit.positions.flatMap(({ from }) => (positions[from]?.rests === null ? [from] : []));
  const asked =
    unsaid.length > 0 ? [of('spring-unknown', 'question', unsaid.toSorted((a, b) => a - b).join())] : [];
  const differing = fit.positions.flatMap(({ from, to }) => {
    const [old, fresh] = [positions[from], known.positions[to]];
    if (!old?.rests || !fresh) return [];
    if (old.rests === fresh.rests) return [];
    if (old.rests === 'maintained') return [of('spring-gained', 'safety', String(from))];
    const starts = startsAt.includes(from) ? [of('restarts', 'safety', String(from))] : [];
    return [of('spring-lost', 'safety', String(from)), ...starts];
  });
  return [...differing, ...asked];
}

/** Whether nothing that is needed joins in a position: OFF, whatever it is called. */
const isOff = (nets: Partition, terminals: readonly number[]): boolean =>
  terminals.every((a) => terminals.every((b) => a === b || nets[a] !== nets[b]));

/** The order of the positions, and where OFF lies among those that the handle can come to. */
function ofOrder({ pattern, terminals }: Requirement, known: KnownSwitch, fit: FitOf): Difference[] {
  const off = pattern.findIndex((nets) => isOff(nets, terminals));
  const found: Difference[] = fit.order === 'reversed' ? [of('reversed', 'safety')] : [];
  const now = fit.positions.find(({ from }) => from === off)?.to;
  if (off < 0 || now === undefined) return found;
  const place = (at: number, all: number) => (at === 0 || at === all - 1 ? 'end' : 'between');
  const moved = place(off, pattern.length) !== place(now, known.positions.length);
  return moved ? [...found, of('off-moved', 'safety', String(off))] : found;
}

/**
 * Contacts that were said not to matter, and do otherwise: where all is open (OFF), where the handle springs back to (rest), and
 * elsewhere. What is not known of the old one is no difference.
 */
function ofContacts(
  subject: Subject,
  { pattern, terminals, known: facts, free }: Requirement,
  known: KnownSwitch,
  fit: FitOf,
): Difference[] {
  if (!free) return [];
  const { positions } = subject;
  const nets = patternOfKnown(known);
  const size = terminals.length;
  const rest = new Set(positions.flatMap(({ returnsTo }) => returnsTo ?? []));
  return fit.positions.flatMap(({ from, to }): Difference[] => {
    const [old, fresh] = [pattern[from] as Partition, nets[to] as Partition];
    const places = (place: number) => fit.terminals.filter((one) => one.from === place).map((one) => one.to);
    const differs = terminals.some((one, a) =>
      terminals.some((other, b) => {
        const cell = a * size + b;
        const isKnown = !facts || (((facts[cell] as number) >>> from) & 1) === 1;
        if (a >= b || !isKnown || (((free[cell] as number) >>> from) & 1) === 0) return false;
        const joins = places(one).some((c) => places(other).some((d) => fresh[c] === fresh[d]));
        return joins !== (old[one] === old[other]);
      }),
    );
    if (!differs) return [];
    const stops = stopLostAt(subject, from);
    if (stops) return [of(stops, 'safety', String(from))];
    if (isOff(old, terminals)) return [of('break-lost', 'safety', String(from))];
    return rest.has(from)
      ? [of('rest-contact-changed', 'safety', String(from))]
      : [of('contact-differs', 'difference', String(from))];
  });
}

/** Each load against the figure that speaks of it. */
function ofLoads({ loads }: Subject, facts: PartFacts): Difference[] {
  const ratings = ratingsOf(facts);
  return loads.flatMap((load): Difference[] => {
    // What it takes no seller can say.
    const isUnsaid = ampsOf(load) === null || load.volts === null;
    const least = leastAnswer(load, facts);
    const found = least === 'too-little' ? [of('minimum-not-reached', 'safety', load.name)] : [];
    if (load.kind === 'signal') {
      if (found.length > 0) return found;
      const asked = isUnsaid ? 'load-unsaid' : 'minimum-unknown';
      return least === 'not-stated' ? [of(asked, 'question', load.name)] : [];
    }
    const answer = rated(load, ratings);
    // Both ways: contacts for large loads stay dirty under a small one, gold burns off under a large one.
    if (answer !== 'enough' && burnsGold(load, facts)) found.push(of('gold-burns-off', 'safety', load.name));
    return [...found, ...ofRating(load, answer, isUnsaid)];
  });
}

/** What the figures for a kind of load say of one. */
function ofRating(load: Load, answer: RatingAnswer, isUnsaid: boolean): Difference[] {
  switch (answer) {
    case 'enough':
      return [];
    case 'amps-lower':
      return [of('rating-lower', 'safety', load.name)];
    case 'volts-lower':
      return [of('volts-lower', 'safety', load.name)];
    case 'start-lower':
      return [of('start-lower', 'safety', load.name)];
    case 'ac-only':
      return [of('ac-rating-on-dc', 'safety', load.name), of('rating-unknown', 'question', load.name)];
    case 'not-stated':
      return [of(isUnsaid ? 'load-unsaid' : 'rating-unknown', 'question', load.name)];
  }
}

const DISCONNECTIONS = ['electronic', 'micro', 'mini', 'full'] as const;

/** What is known of the old one beside what is stated of the new: only what the old one has can be lost. */
function ofFacts({ facts: old, mostWires }: Subject, facts: PartFacts, fit: FitOf): Difference[] {
  const found: Difference[] = [];
  const lost = (
    had: boolean | undefined,
    has: boolean | undefined,
    code: DifferenceCode,
    unknown: DifferenceCode,
  ) => {
    if (had && has === false) found.push(of(code, 'safety'));
    if (had && has === undefined) found.push(of(unknown, 'question', code));
  };
  if (old.disconnection) {
    const rank = (one: (typeof DISCONNECTIONS)[number]) => DISCONNECTIONS.indexOf(one);
    if (facts.disconnection === undefined) found.push(of('disconnection-unknown', 'question'));
    else if (rank(facts.disconnection) < rank(old.disconnection))
      found.push(of('disconnection-lower', 'safety'));
  }
  if (old.protection) {
    if (facts.protection === undefined) found.push(of('protection-unknown', 'question'));
    else if (protects(facts.protection, old.protection) === null)
      found.push(of('protection-unknown', 'question'));
    else if (!protects(facts.protection, old.protection)) found.push(of('protection-lower', 'safety'));
  }
  lost(old.directOpening, facts.directOpening, 'direct-opening-lost', 'direct-opening-unknown');
  if (old.contacts === 'gold' && facts.contacts !== 'gold')
    found.push(facts.contacts === undefined ? of('gold-unknown', 'question') : of('gold-lost', 'difference'));
  lost(old.noVoltRelease, facts.noVoltRelease, 'no-volt-release-lost', 'no-volt-release-unknown');
  lost(old.earthTerminal, facts.earthTerminal, 'earth-lost', 'earth-unknown');
  lost(old.insulatedShaft, facts.insulatedShaft, 'insulated-shaft-lost', 'earth-unknown');
  if (old.keyOut) {
    const wanted = old.keyOut.map((from) => fit.positions.find((pair) => pair.from === from)?.to);
    if (facts.keyOut === undefined) found.push(of('key-unknown', 'question'));
    else if (wanted.some((to) => to === undefined || !facts.keyOut?.includes(to)))
      found.push(of('key-lost', 'safety'));
  }
  if (mostWires > 1) {
    if (facts.wiresPerTerminal === undefined) found.push(of('wires-unknown', 'question'));
    else if (facts.wiresPerTerminal < mostWires) found.push(of('two-wires-in-one', 'safety'));
  }
  return found;
}
