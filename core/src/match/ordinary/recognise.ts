import { Ints } from '../../grid/index.js';
import { factAt, type SwitchMap } from '../../continuity/index.js';
import { kindsOf, type KindCode } from '../../kinds/index.js';
import { patternOfKnown, type Partition, type Pattern } from '../../partition/index.js';
import type { Hypothesis } from '../../planner/index.js';
import type { EntryId, KnownSwitch } from '../../switch/index.js';
import { expectedPattern } from '../../verify/index.js';

/** What a switch looks like so far: its pattern laid over the terminals, and whose pattern that is. */
export interface Recognised extends Hypothesis {
  of:
    /** What it should be, as it was said for this job. */
    | { kind: 'expected' }
    | { kind: 'library'; entry: EntryId }
    | {
        kind: 'ordinary';
        switch: KindCode;
        poles: number;
        ways: number;
      };
}

/** Joins that must be known before anything is recognised: with fewer nearly everything fits. */
const ENOUGH_JOINS = 2;
/** Assignments tried for one candidate before it is given up: then it is not recognised, which claims nothing. */
const MOST_NODES = 3000;

/**
 * What the switch may be, of the library and the ordinary kinds: each with one way in which its terminals fit all that is
 * known so far, the likeliest kinds first. A supposition to plan with, never a result. Only where the list of positions is
 * closed and the candidate has as many, and as many terminals as join something or may. Where a table that it should follow
 * agrees with all that is known, that is proved first, alone.
 * @example
 * recognise(mapped(3, '1-2', '1-3'), []).map(({ name }) => name) // => ['changeover 1 x 2']
 */
export function recognise(map: SwitchMap, library: readonly KnownSwitch[], most = 3): Recognised[] {
  const { structure, contacts } = map;
  const settings = structure.settings.filter(({ need }) => need === 'required');
  const closed = structure.actuators.every((actuator) => actuator.closed !== null);
  if (!closed || settings.length < 2) return [];
  const known = knownSoFar(map);
  const expected = expectedPattern(map);
  if (expected && showsSo(known, expected.pattern, contacts))
    return [{ name: '', of: { kind: 'expected' }, pattern: expected.pattern }];
  const joins = known.pairs.filter(({ joined }) => joined.size > 0).length;
  if (joins < ENOUGH_JOINS) return [];
  const found: Recognised[] = [];
  for (const candidate of candidatesFor(contacts.length, settings.length, library)) {
    const lay = fit(known, candidate.pattern, contacts.length);
    if (!lay) continue;
    found.push({
      name: candidate.name,
      of: candidate.of,
      pattern: laidOver(candidate.pattern, lay, contacts, structure.terminals.length),
    });
    if (found.length >= most) break;
  }
  return found;
}

interface Candidate {
  name: string;
  of: Recognised['of'];
  pattern: Pattern;
}

function candidatesFor(terminals: number, settings: number, library: readonly KnownSwitch[]): Candidate[] {
  const ordinary = kindsOf(terminals, settings).map(({ kind, poles, ways, pattern }): Candidate => ({
    name: `${kind} ${poles} x ${ways}`,
    of: { kind: 'ordinary', switch: kind, poles, ways },
    pattern,
  }));
  const entries = library
    .filter(
      ({ terminals: labels, positions }) => labels.length === terminals && positions.length === settings,
    )
    .map((entry): Candidate => ({
      name: entry.name,
      of: { kind: 'library', entry: entry.id },
      pattern: patternOfKnown(entry),
    }));
  return [...entries, ...ordinary];
}

/** For every pair of contacts, by place among them: the settings in which they are known to join, and to be apart. */
interface KnownSoFar {
  pairs: { a: number; b: number; joined: Set<number>; apart: Set<number> }[];
}

function knownSoFar(map: SwitchMap): KnownSoFar {
  const settled = map.structure.settings
    .filter(({ need }) => need === 'required')
    .flatMap(({ id }) => map.settings.get(id)?.settled ?? []);
  const pairs: KnownSoFar['pairs'] = [];
  map.contacts.forEach((one, a) => {
    map.contacts.slice(a + 1).forEach((other, further) => {
      const pair = { a, b: a + 1 + further, joined: new Set<number>(), apart: new Set<number>() };
      settled.forEach((setting, index) => {
        const { joined, state } = factAt(setting, one, other);
        if (state !== 'measured' && state !== 'follows') return;
        (joined ? pair.joined : pair.apart).add(index);
      });
      if (pair.joined.size + pair.apart.size > 0) pairs.push(pair);
    });
  });
  return { pairs };
}

/** Whether a pattern over the terminals themselves agrees with every known fact. */
function showsSo({ pairs }: KnownSoFar, pattern: Pattern, contacts: readonly number[]): boolean {
  return pairs.every(({ a, b, joined, apart }) => {
    const together = (setting: number) =>
      pattern[setting]?.[contacts[a] as number] === pattern[setting]?.[contacts[b] as number];
    return [...joined].every(together) && ![...apart].some(together);
  });
}

/**
 * Lays a candidate's terminals over the contacts so that every known fact agrees: depth first, terminals that join most
 * first. null when there is no way, or none within the cap.
 */
function fit({ pairs }: KnownSoFar, pattern: Pattern, size: number): Ints | null {
  const about = Array.from({ length: size }, (): KnownSoFar['pairs'] => []);
  const weight = new Ints(size);
  for (const pair of pairs)
    for (const end of [pair.a, pair.b]) {
      about[end]?.push(pair);
      weight.add(end, 100 * pair.joined.size + pair.apart.size);
    }
  const order = new Ints(
    about.map((_, place) => place).sort((one, other) => weight.get(other) - weight.get(one)),
  );
  const lay = Ints.filled(size, -1);
  const used = new Array<boolean>(size).fill(false);
  let nodes = 0;
  const agrees = (place: number): boolean =>
    (about[place] as KnownSoFar['pairs']).every(({ a, b, joined, apart }) => {
      const [one, other] = [lay.get(a), lay.get(b)];
      if (one < 0 || other < 0) return true;
      const together = (setting: number) => pattern[setting]?.[one] === pattern[setting]?.[other];
      return [...joined].every(together) && ![...apart].some(together);
    });
  const place = (at: number): boolean => {
    if (at === size) return true;
    const contact = order.get(at);
    for (let terminal = 0; terminal < size; terminal += 1) {
      if (used[terminal]) continue;
      nodes += 1;
      if (nodes > MOST_NODES) return false;
      lay.set(contact, terminal);
      used[terminal] = true;
      if (agrees(contact) && place(at + 1)) return true;
      used[terminal] = false;
      lay.set(contact, -1);
    }
    return false;
  };
  return place(0) ? lay : null;
}

/** The candidate's pattern over all terminals of the switch; those that are no contacts stay alone. */
function laidOver(pattern: Pattern, lay: Ints, contacts: readonly number[], size: number): Pattern {
  return pattern.map((nets): Partition => {
    const first = new Map<number, number>();
    const laid = Array.from({ length: size }, (_, place) => place);
    contacts.forEach((place, index) => {
      const net = nets[lay.get(index)] as number;
      const before = first.get(net);
      if (before === undefined) first.set(net, place);
      laid[place] = before ?? place;
    });
    return laid;
  });
}
