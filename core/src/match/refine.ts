import type { Refinement } from '../log/index.js';
import type { Structure } from '../switch/index.js';
import type { Requirement } from './match.js';
import type { MapRequirement } from './requirement.js';

/** Whether something was said not to matter: what is found then does what matters, and is not 'the same wiring'. */
export const isLoosened = ({ unused, leftOut, free }: Refinement): boolean =>
  unused.length + leftOut.length + free.length > 0;

/** Bits of positions that are kept, moved together. */
function packed(bits: number, kept: readonly number[]): number {
  return kept.reduce((sum, from, to) => sum | (((bits >>> from) & 1) << to), 0) >>> 0;
}

/** A requirement with only some of its positions and of its terminals. */
export function partOf(
  { pattern, terminals, known, free, never }: Requirement,
  positions: readonly number[],
  kept: readonly number[],
): Requirement {
  const places = kept.map((terminal) => terminals.indexOf(terminal));
  const size = terminals.length;
  const bitsOf = (all: Uint32Array) =>
    Uint32Array.from(
      places.flatMap((a) => places.map((b) => packed(all[a * size + b] as number, positions))),
    );
  return {
    pattern: positions.map((at) => pattern[at] ?? []),
    terminals: [...kept],
    known: known && bitsOf(known),
    ...(free && { free: bitsOf(free) }),
    ...(never && { never: never.filter((pair) => pair.every((place) => kept.includes(place))) }),
  };
}

/**
 * A requirement without what was said not to matter: positions, terminals that carried no wire, joins of pairs. It names what
 * stops it where nothing is left.
 */
export function refined(found: MapRequirement, refinement: Refinement, structure: Structure): MapRequirement {
  if (found.kind === 'none') return found;
  const { settings, requirement } = found;
  const place = new Map(structure.terminals.map(({ id }, at) => [id, at]));
  const unused = new Set(refinement.unused.map((id) => place.get(id)));
  const terminals = requirement.terminals.filter((at) => !unused.has(at));
  const positions = settings.flatMap((id, at) => (refinement.leftOut.includes(id) ? [] : [at]));
  if (positions.length === 0) return { kind: 'none', because: 'no-position-matters' };
  const smaller = partOf(requirement, positions, terminals);
  const kept = positions.map((at) => settings[at] as (typeof settings)[number]);
  const joins = smaller.pattern.some((nets) =>
    terminals.some((a, at) => terminals.slice(at + 1).some((b) => nets[a] === nets[b])),
  );
  if (!joins) return { kind: 'none', because: 'nothing-joins' };
  const free = Uint32Array.from(smaller.free ?? new Uint32Array(terminals.length ** 2));
  for (const { pair, setting } of refinement.free) {
    const [a, b] = pair.map((id) => terminals.indexOf(place.get(id) ?? -1)) as [number, number];
    const bits = kept.reduce(
      (sum, id, at) => (setting === null || setting === id ? sum | (1 << at) : sum),
      0,
    );
    if (a < 0 || b < 0) continue;
    for (const cell of [a * terminals.length + b, b * terminals.length + a])
      free[cell] = (free[cell] as number) | bits;
  }
  const loose = free.some((bits) => bits !== 0);
  return { ...found, settings: kept, requirement: { ...smaller, ...(loose && { free }) } };
}

/** Whether a position in which nothing that is needed joins, OFF, was said not to matter. */
export function isOffLeftOut(found: MapRequirement, { leftOut }: Refinement): boolean {
  if (found.kind === 'none') return false;
  const { pattern, terminals } = found.requirement;
  return found.settings.some((id, at) => {
    const nets = pattern[at] ?? [];
    const open = terminals.every((a) => terminals.every((b) => a === b || nets[a] !== nets[b]));
    return open && leftOut.includes(id);
  });
}
