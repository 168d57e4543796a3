import type { Pattern } from '../partition/index.js';
import { polesWithContacts, freeTerminals, type Pole } from './contacts.js';
import { poleKind, starKind, starOf, wholeIn, type PoleKind, type Star } from '../kinds/index.js';

/** Something odd about a pattern by itself, without any reference; places of terminals and settings. */
export type Odd =
  /** Two throws of one common closed at once where it rests. */
  | { code: 'both-closed'; terminals: [number, number, number]; setting: number }
  | { code: 'always-closed'; terminals: [number, number] }
  | { code: 'alike'; settings: [number, number] }
  | { code: 'joins-nothing'; terminals: [number] }
  /** One contact short of an ordinary kind, or one beyond it. */
  | {
      code: 'cell-short' | 'cell-beyond';
      terminals: [number, number];
      setting: number;
      of: PoleKind;
      poles: number;
    };

/** What is known of a switch besides its pattern. */
export interface OddContext {
  /** Places of the terminals that count. */
  contacts: readonly number[];
  /** By setting: whether the handle rests there; a sprung one may bridge in passing. */
  rests: readonly boolean[];
  /** Places that join nothing for a reason: tie lugs, lamp tabs. */
  mayBeFree: ReadonlySet<number>;
}

/**
 * What is odd about a pattern, from the pattern alone, to be asked once and calmly. Ordinary kinds that look odd (bridging,
 * progressive, coded, star-delta ...) are not odd.
 */
export function oddities(pattern: Pattern, { contacts, rests, mayBeFree }: OddContext): Odd[] {
  const poles = polesWithContacts(pattern);
  const whole = wholeIn(
    pattern,
    poles.map(({ terminals }) => terminals),
  );
  const kinds = poles.map(({ terminals }) => poleKind(pattern, terminals));
  const found: Odd[] = [];
  poles.forEach(({ terminals, contacts: pairs }, at) => {
    const kind = kinds[at] as PoleKind;
    for (const [a, b] of pairs)
      if (pattern.length > 1 && pattern.every((partition) => partition[a] === partition[b]))
        found.push({ code: 'always-closed', terminals: [a, b] });
    if (whole !== null || kind.kind !== 'cam') return;
    const star = starOf(pattern, terminals);
    if (star) found.push(...bothClosed(star, rests));
  });
  if (whole === null) found.push(...cellsOff(pattern, contacts, poles, kinds));
  for (const [one, other] of alike(pattern, whole !== null, kinds))
    found.push({ code: 'alike', settings: [one, other] });
  const inUse = new Set(contacts);
  const explained = new Set(found.flatMap((odd) => (odd.code === 'cell-short' ? odd.terminals : [])));
  for (const place of freeTerminals(pattern))
    if (inUse.has(place) && !mayBeFree.has(place) && !explained.has(place))
      found.push({ code: 'joins-nothing', terminals: [place] });
  return found;
}

/** Settings in which just the same terminals join; two OFF positions beside each other are no news. */
function alike(pattern: Pattern, named: boolean, kinds: readonly PoleKind[]): [number, number][] {
  if (named || kinds.every(({ kind }) => kind === 'contact' || kind === 'coded')) return [];
  const pairs: [number, number][] = [];
  pattern.forEach((partition, at) => {
    for (let other = at + 1; other < pattern.length; other += 1) {
      const joins = partition.some((root, place) => root !== place);
      if (joins && partition.join() === pattern[other]?.join()) pairs.push([at, other]);
    }
  });
  return pairs;
}

function bothClosed({ common, throws }: Star, rests: readonly boolean[]): Odd[] {
  const [settings] = [throws[0]?.closed.length ?? 0];
  const odd: Odd[] = [];
  for (let setting = 0; setting < settings; setting += 1) {
    const closed = throws.filter((one) => one.closed[setting]).map(({ terminal }) => terminal);
    const [first, second] = closed;
    if (rests[setting] && first !== undefined && second !== undefined)
      odd.push({ code: 'both-closed', terminals: [common, first, second], setting });
  }
  return odd;
}

/** One cell of a star changed: what kind it would be then, with or without a terminal that joins nothing else. */
function cellsOff(
  pattern: Pattern,
  contacts: readonly number[],
  poles: readonly Pole[],
  kinds: readonly PoleKind[],
): Odd[] {
  const inPoles = new Set(poles.flatMap(({ terminals }) => terminals));
  const loose = contacts.filter((place) => !inPoles.has(place));
  const found: Odd[] = [];
  poles.forEach(({ terminals }, at) => {
    const kind = kinds[at] as PoleKind;
    const others = kinds.filter((_, other) => other !== at);
    const star = starOf(pattern, terminals);
    if (!star || (kind.kind !== 'cam' && !isShort(kind, others))) return;
    const candidates: { odd: Odd; of: PoleKind; same: number }[] = [];
    const consider = (terminal: number, setting: number, closedNow: boolean) => {
      const changed = starKind(turned(star, terminal, setting), pattern.length);
      if (!isOrdinary(changed)) return;
      const same = others.filter((other) => JSON.stringify(other) === JSON.stringify(changed)).length;
      const pair: [number, number] = [star.common, terminal];
      const code = closedNow ? ('cell-beyond' as const) : ('cell-short' as const);
      candidates.push({
        odd: { code, terminals: pair, setting, of: changed, poles: same + 1 },
        of: changed,
        same,
      });
    };
    for (const { terminal, closed } of star.throws)
      closed.forEach((closedNow, setting) => consider(terminal, setting, closedNow));
    // A throw that joins nothing any more may have lost its only contact.
    for (const terminal of loose) pattern.forEach((_, setting) => consider(terminal, setting, false));
    const most = Math.max(0, ...candidates.map(({ same }) => same));
    const wanted = candidates.filter(({ same }) => same === most);
    const [only] = wanted;
    // Told only where it is one cell and no other, or where the other poles say which.
    if (only && (wanted.length === 1 || most > 0)) found.push(only.odd);
  });
  return found;
}

/** Named kinds of more than one contact. */
const isOrdinary = ({ kind }: PoleKind): boolean =>
  ['changeover', 'selector', 'bridging', 'progressive', 'one-missing'].includes(kind);

/** Whether it is a selector that is a way short of what the others are. */
const isShort = (kind: PoleKind, others: readonly PoleKind[]): boolean =>
  others.some((other) => isOrdinary(other) && JSON.stringify(other) !== JSON.stringify(kind));

/** A star with one cell turned; a terminal that was no throw of it becomes one. */
function turned({ common, throws }: Star, terminal: number, setting: number): Star {
  const before = throws.find((one) => one.terminal === terminal);
  const rows = before?.closed ?? (throws[0]?.closed ?? []).map(() => false);
  const now = { terminal, closed: rows.with(setting, rows[setting] !== true) };
  return { common, throws: [...throws.filter((one) => one !== before), now] };
}
