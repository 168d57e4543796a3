import type { ReadingId } from '../switch/index.js';

/** One piece of pair evidence between two terminals, by their places in the list of terminals. */
export interface Link {
  a: number;
  b: number;
  reading: ReadingId;
  by: 'ohms' | 'tone';
  /** One of the many pairs that an open bundle parts at once: those of its ends that hung on clips. */
  clips?: number[];
}

/** The links of a shortest path from one place to another; null when there is none. Breadth first, in list order. */
export function shortestPath(links: readonly Link[], from: number, to: number): Link[] | null {
  const cameBy = new Map<number, Link | null>([[from, null]]);
  let edge = [from];
  while (edge.length > 0 && !cameBy.has(to)) {
    const next: number[] = [];
    for (const node of edge) {
      for (const link of links) {
        const other = link.a === node ? link.b : link.b === node ? link.a : node;
        if (cameBy.has(other)) continue;
        cameBy.set(other, link);
        next.push(other);
      }
    }
    edge = next;
  }
  if (!cameBy.has(to)) return null;
  const path: Link[] = [];
  for (let at = to; at !== from;) {
    const link = cameBy.get(at) as Link;
    path.push(link);
    at = link.a === at ? link.b : link.a;
  }
  return path.reverse();
}
