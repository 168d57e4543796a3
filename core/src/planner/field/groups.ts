import type { Link } from '../../continuity/index.js';

/** For every place the smallest place of its group. */
export function groupsOf(size: number, links: readonly Link[]): number[] {
  const group = Array.from({ length: size }, (_, place) => place);
  for (let changed = true; changed;) {
    changed = false;
    for (const { a, b } of links) {
      const least = Math.min(group[a] as number, group[b] as number);
      if (group[a] !== least || group[b] !== least) changed = true;
      group[a] = group[b] = least;
    }
  }
  return group;
}
