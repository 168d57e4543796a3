import { partitionOf, type Partition } from '../../partition/index.js';
import type { Refit } from '../refit.js';

/** One thing that may have gone wrong in putting it back. Wires by place among those that are laid, lugs by place. */
export type Mistake =
  | { kind: 'wrong-lug'; wire: number; lug: number }
  | { kind: 'swapped'; wires: readonly [number, number] }
  | { kind: 'not-on'; wire: number }
  | { kind: 'jumper-forgotten' | 'jumper-left'; jumper: number }
  | { kind: 'detent-off'; by: 1 | -1 };

/** What is checked: the wires that go to a lug, the lugs and positions, and what should join. */
export interface Bench {
  lugs: number;
  /** The lug of each wire. */
  at: readonly number[];
  jumpers: readonly (readonly [number, number])[];
  /** Jumpers of the old switch, or of a test, that may not be there. */
  strays: readonly (readonly [number, number])[];
  /** By position; null: not known in full, and nothing is measured there. */
  nets: readonly (Partition | null)[];
}

/** Places to measure at: first the far ends of the wires, then the lugs. */
export const nodesOf = ({ at, lugs }: Bench): number => at.length + lugs;

/** What goes back as it is checked, with the wires that go to a lug. */
export function checkBench({
  lugs,
  wires,
  jumpers,
  strays,
  positions,
}: Refit): Bench & { laid: Refit['wires'] } {
  const laid = wires.filter(({ lug }) => lug !== null);
  return {
    laid,
    lugs: lugs.length,
    at: laid.map(({ lug }) => lug as number),
    jumpers,
    strays,
    nets: positions.map(({ nets }) => nets),
  };
}

/** Every single mistake of the kinds that are made in putting a switch back. */
export function mistakesOf({ lugs, at, jumpers, strays, nets }: Bench): Mistake[] {
  const places = at.map((_, wire) => wire);
  return [
    ...places.flatMap((wire) =>
      Array.from({ length: lugs }, (_, lug): Mistake => ({ kind: 'wrong-lug', wire, lug })).filter(
        (one) => one.kind === 'wrong-lug' && one.lug !== at[wire],
      ),
    ),
    ...places.flatMap((one) =>
      places
        .slice(one + 1)
        .flatMap((other): Mistake[] =>
          at[one] === at[other] ? [] : [{ kind: 'swapped', wires: [one, other] }],
        ),
    ),
    ...places.map((wire): Mistake => ({ kind: 'not-on', wire })),
    ...jumpers.map((_, jumper): Mistake => ({ kind: 'jumper-forgotten', jumper })),
    ...strays.map((_, jumper): Mistake => ({ kind: 'jumper-left', jumper })),
    ...(nets.length > 1 ? ([1, -1] as const).map((by): Mistake => ({ kind: 'detent-off', by })) : []),
  ];
}

/**
 * What joins in a position with a mistake, or with none, over all places to measure at; null where it is not known: the position is
 * not, or the handle cannot go there.
 */
export function joinedWith(bench: Bench, position: number, mistake: Mistake | null): Partition | null {
  const { at, jumpers, strays, nets } = bench;
  const nodes = nets[position + (mistake?.kind === 'detent-off' ? mistake.by : 0)] ?? null;
  if (!nodes || !nets[position]) return null;
  const wires = at.length;
  const lugOf = (wire: number): number | null => {
    if (mistake?.kind === 'wrong-lug' && mistake.wire === wire) return mistake.lug;
    if (mistake?.kind === 'not-on' && mistake.wire === wire) return null;
    if (mistake?.kind === 'swapped') {
      const [one, other] = mistake.wires;
      if (wire === one) return at[other] as number;
      if (wire === other) return at[one] as number;
    }
    return at[wire] as number;
  };
  return partitionOf(nodesOf(bench), [
    ...nodes.flatMap((root, lug): [number, number][] => (root === lug ? [] : [[wires + root, wires + lug]])),
    ...jumpers.flatMap(([a, b], jumper): [number, number][] =>
      mistake?.kind === 'jumper-forgotten' && mistake.jumper === jumper ? [] : [[wires + a, wires + b]],
    ),
    ...(mistake?.kind === 'jumper-left' ? [strays[mistake.jumper]] : []).flatMap(
      (stray): [number, number][] => (stray ? [[wires + stray[0], wires + stray[1]]] : []),
    ),
    ...at.flatMap((_, wire): [number, number][] => {
      const lug = lugOf(wire);
      return lug === null ? [] : [[wire, wires + lug]];
    }),
  ]);
}
