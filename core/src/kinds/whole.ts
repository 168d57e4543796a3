import { isomorphism, partitionFromGroups, type Pattern } from '../partition/index.js';
import { wholesOf } from './all-kinds.js';
import type { Kind, WholeCode } from './kind.js';
import { poleKind } from './pole-kind.js';

/** What several poles are together. */
export interface Whole {
  kind: WholeCode;
  ways: number;
  /** Poles that are part of it, and contacts beside it, by their place. */
  poles: number[];
  extra: number[];
}

/** So many contacts may stand beside a whole and leave it its name. */
const MOST_EXTRA = 2;
/** Of few contacts and positions: with one more beside them they say nothing. */
const ALONE_ONLY: ReadonlySet<string> = new Set(['energy-regulator', 'series-parallel']);

const wholes = new Map<string, Kind[]>();

/** Kept: a pure table. */
function wholesFor(terminals: number, settings: number): Kind[] {
  const key = `${terminals} ${settings}`;
  const made = wholes.get(key) ?? wholesOf(terminals, settings);
  wholes.set(key, made);
  return made;
}

/**
 * What the poles of a pattern are beyond each by itself, in handle order or reversed; null for nothing that has a name. A contact or
 * a changeover beside it, auxiliaries, does not take its name away.
 */
export function wholeIn(pattern: Pattern, poles: readonly (readonly number[])[]): Whole | null {
  const all = poles.map((_, at) => at);
  const whole = wholeOf(pattern, poles, all, []);
  if (whole) return whole;
  const beside = all.filter((at) => isPlain(pattern, poles[at] as readonly number[]));
  for (let many = 1; many <= MOST_EXTRA && many < poles.length; many += 1)
    for (const extra of chosen(beside, many)) {
      const found = wholeOf(pattern, poles, all.filter((at) => !extra.includes(at)), extra); // prettier-ignore
      if (found && !ALONE_ONLY.has(found.kind)) return found;
    }
  return null;
}

const isPlain = (pattern: Pattern, pole: readonly number[]): boolean => {
  const { kind } = poleKind(pattern, pole);
  return kind === 'contact' || kind === 'changeover';
};

/** So many of these, in their order. */
function chosen(from: readonly number[], many: number): number[][] {
  if (many === 0) return [[]];
  return from.flatMap((one, at) => chosen(from.slice(at + 1), many - 1).map((rest) => [one, ...rest]));
}

function wholeOf(
  pattern: Pattern,
  poles: readonly (readonly number[])[],
  used: readonly number[],
  extra: readonly number[],
): Whole | null {
  const terminals = used.flatMap((at) => poles[at] as readonly number[]);
  const tables = wholesFor(terminals.length, pattern.length);
  if (tables.length === 0) return null;
  const mine = pattern.map((nets) => {
    const groups = new Map<number, number[]>();
    terminals.forEach((terminal, place) => {
      const root = nets[terminal] as number;
      groups.set(root, [...(groups.get(root) ?? []), place]);
    });
    return partitionFromGroups(terminals.length, [...groups.values()]);
  });
  const found = tables.find(
    (table) => isomorphism(mine, table.pattern) ?? isomorphism(mine, table.pattern.toReversed()),
  );
  return found
    ? { kind: found.kind as WholeCode, ways: found.ways, poles: [...used], extra: [...extra] }
    : null;
}
