import { Ints } from '../../grid/index.js';
import { blocks, discrete, join, rank, type Partition, type Pattern } from '../../partition/index.js';

/** Goes up whenever the same nets give another making: what was kept of an earlier one counts no more. */
export const MAKING_VERSION = 1;

/** Terminals that some position joins, directly or through others. Poles of one making are alike, terminal for terminal of their order. */
export interface Pole {
  making: string;
  order: number[];
}

/** A part made ready to be searched: its nets by position, and what of it is alike. */
export interface CompiledPart {
  terminals: number;
  positions: number;
  pattern: Pattern;
  ranks: number[];
  /** rank(a v b) - rank(b), by a * positions + b. */
  adds: Ints;
  /** Its poles: terminals that no position joins to any other are poles of one. */
  poles: Pole[];
  /**
   * What it is made of, without names: two parts with the same making are the same wiring, the terminals of one standing for those
   * of the other in their `order`. Two with other makings may still be: that costs time only.
   */
  making: string;
  order: number[];
}

/** Makes a part ready. Poles are told alike by their signature: equal ones are alike, alike ones may go unseen, which costs time only. */
export function compilePart(pattern: Pattern): CompiledPart {
  const terminals = pattern[0]?.length ?? 0;
  const positions = pattern.length;
  const whole = pattern.reduce(join, discrete(terminals));
  const adds = new Ints(positions * positions, positions);
  for (let a = 0; a < positions; a += 1)
    for (let b = 0; b < positions; b += 1)
      adds.set(
        a * positions + b,
        rank(join(pattern[a] as Partition, pattern[b] as Partition)) - rank(pattern[b] as Partition),
      );
  const twin = twinsOf(pattern, terminals);
  const poles: Pole[] = [];
  for (const members of blocks(whole)) {
    const order = inOrder(pattern, members, twin);
    const making = order
      .map((one) => pattern.map((nets) => order.findIndex((other) => nets[other] === nets[one])).join())
      .join(';');
    poles.push({ making, order });
  }
  poles.sort((one, other) => (one.making < other.making ? -1 : one.making > other.making ? 1 : 0));
  return {
    making: `${positions} ${poles.map((pole) => pole.making).join(' ')}`,
    order: poles.flatMap((pole) => pole.order),
    terminals,
    positions,
    pattern,
    adds,
    poles,
    ranks: pattern.map(rank),
  };
}

/** Terminals that lie in one net in every position: one may stand for the other. */
function twinsOf(pattern: Pattern, terminals: number): number[] {
  const first = new Map<string, number>();
  return Array.from({ length: terminals }, (_, terminal) => {
    // One that joins nothing anywhere is like every other such one.
    const alone = pattern.every(
      (nets) =>
        nets[terminal] === terminal && nets.every((root, other) => other === terminal || root !== terminal),
    );
    const key = alone ? 'alone' : pattern.map((nets) => nets[terminal]).join();
    const before = first.get(key);
    if (before === undefined) first.set(key, terminal);
    return before ?? terminal;
  });
}

/** The terminals of a pole in an order that their own nets give: refined until nothing is told apart any further. */
function inOrder(pattern: Pattern, members: readonly number[], twin: readonly number[]): number[] {
  let color = new Map(members.map((one) => [one, 0]));
  for (let round = 0; round < members.length; round += 1) {
    const key = (one: number) =>
      `${color.get(one)}|${pattern
        .map((nets) =>
          members
            .filter((other) => nets[other] === nets[one])
            .map((other) => color.get(other) ?? 0)
            .sort((a, b) => a - b)
            .join('.'),
        )
        .join('|')}`;
    const keys = new Map(members.map((one) => [one, key(one)]));
    const names = [...new Set(keys.values())].sort();
    const next = new Map(members.map((one) => [one, names.indexOf(keys.get(one) ?? '')]));
    const settled = names.length === new Set(color.values()).size;
    color = next;
    if (settled) break;
  }
  return members.toSorted(
    (one, other) =>
      (color.get(one) ?? 0) - (color.get(other) ?? 0) || (twin[one] ?? 0) - (twin[other] ?? 0) || one - other,
  );
}
