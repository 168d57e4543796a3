import { partitionOf, type Partition } from '../../partition/index.js';

/** What is known of each pair in each setting: joined, apart, or not known; [setting][a * size + b]. */
export type KnownCells = readonly (readonly (boolean | null)[])[];

/** A table, setting by setting, made as far as it is looked at. */
export type SettingAt = (at: number) => Partition;

/** One setting as it was measured. */
interface MeasuredSetting {
  cells: readonly (boolean | null)[];
  joined: Partition;
  /** Every pair is known: then the nets alone say all. */
  whole: boolean;
}

/**
 * Counts the edits of partitions that a table leaves, over all settings: joins to add and splits to make so that each agrees
 * with all that is known of it. Stops beyond the most that still matters. What one partition leaves in a setting is worked out
 * once.
 */
export function editCounter(
  known: KnownCells,
  size: number,
): (settingAt: SettingAt, most?: number) => number {
  const settings = known.map((cells) => measuredOf(cells, size));
  const counted = new WeakMap<Partition, number[]>();
  const parent = new Int16Array(size);
  const seen = new Int16Array(size);
  const editsOf = (partition: Partition, at: number): number => {
    let before = counted.get(partition);
    if (!before) counted.set(partition, (before = []));
    const setting = settings[at] as MeasuredSetting;
    return (before[at] ??= toAdd(partition, setting, parent) + toSplit(partition, setting, seen));
  };
  return (settingAt, most = Infinity) => {
    let sum = 0;
    for (let at = 0; at < settings.length && sum <= most; at += 1) sum += editsOf(settingAt(at), at);
    return sum;
  };
}

function measuredOf(cells: readonly (boolean | null)[], size: number): MeasuredSetting {
  const pairs: [number, number][] = [];
  let whole = true;
  for (let a = 0; a < size; a += 1)
    for (let b = a + 1; b < size; b += 1) {
      const is = cells[a * size + b] ?? null;
      if (is === true) pairs.push([a, b]);
      whole &&= is !== null;
    }
  const joined = partitionOf(size, pairs);
  // Readings that disagree with one another say more than their nets do.
  for (let a = 0; a < size && whole; a += 1)
    for (let b = a + 1; b < size && whole; b += 1)
      whole = (cells[a * size + b] === true) === (joined[a] === joined[b]);
  return { cells, joined, whole };
}

/** Joins that are known and not in the partition: as many as bring it up to the join of both. */
function toAdd(partition: Partition, { joined }: MeasuredSetting, parent: Int16Array): number {
  for (let place = 0; place < partition.length; place += 1) parent[place] = place;
  const find = (from: number): number => {
    let root = from;
    while (parent[root] !== root) root = parent[root] as number;
    return root;
  };
  let added = 0;
  for (let place = 0; place < partition.length; place += 1) {
    const net = joined[place] as number;
    if (net === place) continue;
    const [one, other] = [find(partition[place] as number), find(partition[net] as number)];
    if (one === other) continue;
    parent[Math.max(one, other)] = Math.min(one, other);
    added += 1;
  }
  return added;
}

/** Splits that it takes so that no net of the partition holds a pair that is known apart. */
function toSplit(partition: Partition, setting: MeasuredSetting, seen: Int16Array): number {
  const { joined, whole, cells } = setting;
  const size = partition.length;
  let splits = 0;
  if (whole) {
    // In each net as many parts as it holds nets that were measured.
    seen.fill(-1);
    for (let place = 0; place < size; place += 1) {
      const root = partition[place] as number;
      const net = joined[place] as number;
      let first = true;
      for (let before = root; before < place && first; before += 1)
        first = partition[before] !== root || joined[before] !== net;
      if (first && seen[root] !== -1) splits += 1;
      seen[root] = root;
    }
    return splits;
  }
  for (let root = 0; root < size; root += 1) {
    if (partition[root] !== root) continue;
    const members: number[] = [];
    for (let place = root; place < size; place += 1) if (partition[place] === root) members.push(place);
    if (members.length > 1) splits += partsOf(members, cells, size);
  }
  return splits;
}

/** Splits of one net: none without a pair that is known apart, one at least with one. */
function partsOf(members: readonly number[], cells: readonly (boolean | null)[], size: number): number {
  const pairs: [number, number][] = [];
  let conflict = false;
  members.forEach((a, index) => {
    for (const b of members.slice(index + 1)) {
      if (cells[a * size + b] === false) conflict = true;
      else pairs.push([a, b]);
    }
  });
  if (!conflict) return 0;
  const loose = partitionOf(size, pairs);
  return Math.max(1, new Set(members.map((place) => loose[place])).size - 1);
}
