import { isomorphism, partitionFromGroups, type Pattern } from '../partition/index.js';
import { codeOf, SHOWN_CODES, type ShownCode } from './codes.js';
import { starOf, type Star } from './star.js';

/** What one pole is, in the trade's terms; settings by their place. */
export type PoleKind =
  /** One contact: where it is closed. */
  | { kind: 'contact'; closed: number[] }
  | { kind: 'changeover'; centreOff: boolean }
  | { kind: 'selector'; ways: number; offs: number }
  | { kind: 'bridging'; ways: number }
  /** One more in each setting; `fromFirst`: the first way is closed from the start. */
  | { kind: 'progressive'; ways: number; fromFirst: boolean }
  | { kind: 'one-missing'; ways: number }
  /** Its ways in turn, and again from the first. */
  | { kind: 'repeating'; ways: number }
  | { kind: 'coded'; code: ShownCode; bits: number }
  /** The same terminals in every setting: no contact. */
  | { kind: 'joined-always' }
  /** Two ways in, two out, straight or crossed. */
  | { kind: 'crossing'; off: boolean }
  /** A cam pattern of no named kind. */
  | { kind: 'cam' };

const counts = (row: readonly boolean[]): number => row.filter(Boolean).length;

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
  if (settings > 1 && throws.every(({ closed }) => closed.every(Boolean))) return { kind: 'joined-always' };
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
  if (settings === ways + 1 && is(all((way) => row((at) => at > way))))
    return { kind: 'progressive', ways, fromFirst: false };
  if (settings === ways && ways > 2 && is(all((way) => row((at) => at >= way))))
    return { kind: 'progressive', ways, fromFirst: true };
  if (settings > ways && settings % ways === 0 && is(all((way) => row((at) => at % ways === way))))
    return { kind: 'repeating', ways };
  if (settings === ways && ways >= 3 && is(all((way) => row((at) => at !== way))))
    return { kind: 'one-missing', ways };
  for (const code of SHOWN_CODES) {
    const shows = codeOf(code, ways, settings);
    if (shows && is(all((bit) => row((at) => shows(at).includes(bit)))))
      return { kind: 'coded', code, bits: code === 'both-outputs' ? ways / 2 : ways };
  }
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

/** Whether two kinds of pole are one and the same. */
export const sameKind = (one: PoleKind, other: PoleKind): boolean =>
  JSON.stringify(one) === JSON.stringify(other);
