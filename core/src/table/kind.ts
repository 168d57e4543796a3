import type { Pattern } from '../partition/index.js';
import { partitionFromGroups } from '../partition/index.js';
import { isomorphism } from './isomorphism.js';
import { starOf, type Star } from './star.js';

/** What one pole is, in the trade's terms; settings by their place. */
export type PoleKind =
  /** One contact: where it is closed. */
  | { kind: 'contact'; closed: number[] }
  | { kind: 'changeover'; centreOff: boolean }
  | { kind: 'selector'; ways: number; offs: number }
  | { kind: 'bridging'; ways: number }
  | { kind: 'progressive'; ways: number }
  | { kind: 'one-missing'; ways: number }
  | { kind: 'coded'; code: 'binary' | 'gray' | 'complement'; bits: number }
  /** Two ways in, two out, straight or crossed. */
  | { kind: 'crossing'; off: boolean }
  /** A cam pattern of no named kind. */
  | { kind: 'cam' };

/** A whole that is more than its poles. */
export type WholeKind = 'star-delta' | 'three-heat' | 'reversing';

const counts = (row: readonly boolean[]): number => row.filter(Boolean).length;

/** Numbers whose bits a coded output shows, position by position. */
const CODES: Record<'binary' | 'gray' | 'complement', (at: number, all: number) => number> = {
  binary: (at) => at,
  gray: (at) => at ^ (at >> 1),
  complement: (at, all) => all - 1 - at,
};

/** What kind of pole it is, positions as they are; names are common practice. */
export function poleKind(pattern: Pattern, terminals: readonly number[]): PoleKind {
  const star = starOf(pattern, terminals);
  if (!star) return crossing(pattern, terminals) ?? { kind: 'cam' };
  return starKind(star, pattern.length);
}

/** What a star is by where its throws are closed; the throws in any order. */
export function starKind({ throws }: Star, settings: number): PoleKind {
  const [only, ...more] = throws;
  if (only && more.length === 0)
    return { kind: 'contact', closed: only.closed.flatMap((closed, at) => (closed ? [at] : [])) };
  const ways = throws.length;
  const perSetting = Array.from(
    { length: settings },
    (_, at) => throws.filter(({ closed }) => closed[at]).length,
  );
  const each = throws.map(({ closed }) => counts(closed));
  if (perSetting.every((many) => many <= 1)) {
    const offs = perSetting.filter((many) => many === 0).length;
    if (each.every((many) => many === 1) && ways === settings - offs) {
      const centreOff = settings === 3 && perSetting[1] === 0;
      return ways === 2 && (offs === 0 || centreOff)
        ? { kind: 'changeover', centreOff }
        : { kind: 'selector', ways, offs };
    }
  }
  const sorted = throws.map(({ closed }) => closed.map((one) => (one ? '1' : '0')).join('')).sort();
  const is = (wanted: readonly string[]) => wanted.toSorted().join() === sorted.join();
  const row = (closed: (at: number) => boolean) =>
    Array.from({ length: settings }, (_, at) => (closed(at) ? '1' : '0')).join('');
  const all = (of: (way: number) => string) => Array.from({ length: ways }, (_, way) => of(way));
  if (settings === 2 * ways - 1 && is(all((way) => row((at) => Math.abs(at - 2 * way) <= 1))))
    return { kind: 'bridging', ways };
  if (settings === ways + 1 && is(all((way) => row((at) => at > way)))) return { kind: 'progressive', ways };
  if (settings === ways && ways >= 3 && is(all((way) => row((at) => at !== way))))
    return { kind: 'one-missing', ways };
  for (const code of ['binary', 'gray', 'complement'] as const)
    if (settings > 3 && is(all((bit) => row((at) => ((CODES[code](at, settings) >> bit) & 1) === 1))))
      return { kind: 'coded', code, bits: ways };
  return { kind: 'cam' };
}

/** Straight in one setting, crossed in another; perhaps nothing in between. */
function crossing(pattern: Pattern, terminals: readonly number[]): PoleKind | null {
  if (terminals.length !== 4) return null;
  const inPole = pattern.map((partition) => partitionFromGroups(4, groupsIn(partition, terminals)));
  const wanted = [
    [[0, 2], [1, 3]],
    [[0, 3], [1, 2]],
  ].map((groups) => partitionFromGroups(4, groups)); // prettier-ignore
  if (pattern.length === 2 && isomorphism(inPole, wanted)) return { kind: 'crossing', off: false };
  const [straight, crossed] = wanted;
  const withOff = [straight, partitionFromGroups(4, []), crossed] as Pattern;
  return pattern.length === 3 && isomorphism(inPole, withOff) ? { kind: 'crossing', off: true } : null;
}

function groupsIn(partition: Pattern[number], terminals: readonly number[]): number[][] {
  const nets = new Map<number, number[]>();
  terminals.forEach((terminal, place) => {
    const root = partition[terminal] as number;
    nets.set(root, [...(nets.get(root) ?? []), place]);
  });
  return [...nets.values()];
}

/** Wholes by their published tables: lines first, then what they feed. */
const WHOLES: Record<WholeKind, { size: number; settings: number[][][] }[]> = {
  // L1 L2 L3 U1 V1 W1 U2 V2 W2: off, star, delta (common practice; terminal marking of IEC 60034-8, from memory).
  'star-delta': [
    {
      size: 9,
      settings: [[], [[0, 3], [1, 4], [2, 5], [6, 7, 8]], [[0, 3, 8], [1, 4, 6], [2, 5, 7]]],
    },
  ],
  // L N and two elements A-B and B-C: off, in series, one, both side by side (common practice).
  'three-heat': [
    { size: 5, settings: [[], [[0, 2], [1, 4]], [[0, 2], [1, 3]], [[0, 2, 4], [1, 3]]] },
    { size: 5, settings: [[], [[0, 2], [1, 4]], [[0, 2], [1, 3]], [[0, 3], [1, 2, 4]]] },
  ],
  // Three lines to a motor, two of them changed over (common practice).
  reversing: [
    { size: 6, settings: [[[0, 3], [1, 4], [2, 5]], [], [[0, 4], [1, 3], [2, 5]]] },
    { size: 4, settings: [[[0, 2], [1, 3]], [], [[0, 3], [1, 2]]] },
  ],
}; // prettier-ignore

/** What the whole is beyond its poles; null for nothing that has a name. Handle order, or reversed. */
export function wholeKind(pattern: Pattern, terminals: readonly number[]): WholeKind | null {
  const mine = pattern.map((partition) =>
    partitionFromGroups(terminals.length, groupsIn(partition, terminals)),
  );
  for (const [kind, tables] of Object.entries(WHOLES) as [WholeKind, (typeof WHOLES)[WholeKind]][])
    for (const { size, settings } of tables) {
      if (size !== terminals.length || settings.length !== pattern.length) continue;
      const table = settings.map((groups) => partitionFromGroups(size, groups));
      if (isomorphism(mine, table) ?? isomorphism(mine, table.toReversed())) return kind;
    }
  return null;
}

/** Whether two kinds of pole are one and the same. */
export const sameKind = (one: PoleKind, other: PoleKind): boolean =>
  JSON.stringify(one) === JSON.stringify(other);
