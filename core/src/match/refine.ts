import type { Refinement } from '../log/index.js';
import type { Structure } from '../switch/index.js';
import type { Requirement } from './match.js';
import { PairBits } from './pair-bits.js';
import type { MapRequirement } from './requirement.js';

/** Whether something was said not to matter: what is found then does what matters, and is not 'the same wiring'. */
export const isLoosened = ({ unused, leftOut, free }: Refinement): boolean =>
  unused.length + leftOut.length + free.length > 0;

/** A requirement with only some of its positions and of its terminals. */
export function partOf(
  { pattern, terminals, known, free, never }: Requirement,
  positions: readonly number[],
  kept: readonly number[],
): Requirement {
  const places = kept.map((terminal) => terminals.indexOf(terminal));
  const bitsOf = (bits: Uint32Array) => {
    const all = new PairBits(terminals.length, pattern.length, bits);
    const some = new PairBits(kept.length, positions.length);
    places.forEach((a, one) =>
      places.forEach((b, other) =>
        positions.forEach((from, to) => {
          if (all.has(a, b, from)) some.add(one, other, to);
        }),
      ),
    );
    return some.bits;
  };
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
  const free = new PairBits(terminals.length, kept.length, smaller.free);
  for (const { pair, setting } of refinement.free) {
    const [a, b] = pair.map((id) => terminals.indexOf(place.get(id) ?? -1)) as [number, number];
    if (a < 0 || b < 0) continue;
    kept.forEach((id, at) => {
      if (setting === null || setting === id) free.add(a, b, at);
    });
  }
  return {
    ...found,
    settings: kept,
    requirement: { ...smaller, ...(!free.isEmpty && { free: free.bits }) },
  };
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
