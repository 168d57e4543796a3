/**
 * A partition of 0..n-1: for each element the smallest element of its block. Two partitions are equal
 * exactly when these arrays are.
 */
export type Partition = number[];

/** Every element alone. */
export function discrete(size: number): Partition {
  return Array.from({ length: size }, (_, index) => index);
}

/** The finest partition of 0..size-1 in which each given pair shares a block (union by smaller label). */
export function partitionOf(size: number, pairs: Iterable<readonly [number, number]>): Partition {
  const parent = discrete(size);
  const find = (element: number): number => {
    let root = element;
    while (parent[root] !== root) root = parent[root] as number;
    for (let at = element; at !== root;) {
      const up = parent[at] as number;
      parent[at] = root;
      at = up;
    }
    return root;
  };
  for (const [one, other] of pairs) {
    const [a, b] = [find(one), find(other)];
    if (a !== b) parent[Math.max(a, b)] = Math.min(a, b);
  }
  return parent.map((_, element) => find(element));
}

/** The partition whose blocks are the given groups; elements in no group stay alone. */
export function partitionFromGroups(size: number, groups: Iterable<readonly number[]>): Partition {
  const pairs: [number, number][] = [];
  for (const group of groups) {
    for (let at = 1; at < group.length; at += 1) pairs.push([group[0] as number, group[at] as number]);
  }
  return partitionOf(size, pairs);
}

/** The finest partition that is coarser than both (the join of the partition lattice). */
export function join(one: Partition, other: Partition): Partition {
  const pairs: [number, number][] = [];
  one.forEach((root, element) => pairs.push([root, element]));
  other.forEach((root, element) => pairs.push([root, element]));
  return partitionOf(one.length, pairs);
}

/** The coarsest partition that is finer than both (the meet of the partition lattice): what is together in each. */
export function meet(one: Partition, other: Partition): Partition {
  const first = new Map<string, number>();
  return one.map((root, place) => {
    const key = `${root} ${other[place]}`;
    if (!first.has(key)) first.set(key, place);
    return first.get(key) as number;
  });
}

/** Rank in the partition lattice: size minus number of blocks; how many independent joins it takes. */
export function rank(partition: Partition): number {
  return partition.reduce((joins, root, element) => joins + (root === element ? 0 : 1), 0);
}

/** The blocks, each ascending, ordered by their smallest element. */
export function blocks(partition: Partition): number[][] {
  const byRoot = new Map<number, number[]>();
  partition.forEach((root, element) => {
    const block = byRoot.get(root);
    if (block) block.push(element);
    else byRoot.set(root, [element]);
  });
  return [...byRoot.values()];
}
