import { blocks, discrete, join, type Partition } from './partition.js';

/** The nets in every setting, without names: settings by terminals. What two switches share to do the same job. */
export type Pattern = Partition[];

/** Poles: components of the union of all settings' nets. Terminals that join nothing anywhere are blocks of one. */
export function poles(pattern: Pattern): number[][] {
  const size = pattern[0]?.length ?? 0;
  return blocks(pattern.reduce(join, discrete(size)));
}

/** The pattern with terminal t moved to place order[t]; settings as they are. */
export function relabel(pattern: Pattern, order: readonly number[]): Pattern {
  return pattern.map((partition) => {
    const moved = new Array<number>(partition.length);
    const smallest = new Map<number, number>();
    partition.forEach((root, element) => {
      const place = order[element] as number;
      smallest.set(root, Math.min(smallest.get(root) ?? Infinity, place));
    });
    partition.forEach((root, element) => {
      moved[order[element] as number] = smallest.get(root) as number;
    });
    return moved;
  });
}
