import { Ints } from '../grid/index.js';

/**
 * Biconnected components ("blocks") of an undirected multigraph, as a block number per edge.
 * Hopcroft and Tarjan, "Efficient algorithms for graph manipulation", CACM 16 (1973), algorithm 447; iterative.
 */
export function edgeBlocks(nodes: number, edges: readonly (readonly [number, number])[]): number[] {
  const incident: number[][] = Array.from({ length: nodes }, () => []);
  edges.forEach(([a, b], edge) => {
    incident[a]?.push(edge);
    incident[b]?.push(edge);
  });
  const depth = Ints.filled(nodes, -1);
  const low = new Ints(nodes);
  const block = new Array<number>(edges.length).fill(-1);
  const open: number[] = [];
  let found = 0;
  const close = (until: number) => {
    for (let edge = open.pop(); edge !== undefined; edge = open.pop()) {
      block[edge] = found;
      if (edge === until) break;
    }
    found += 1;
  };
  for (let root = 0; root < nodes; root += 1) {
    if (depth.get(root) !== -1) continue;
    depth.set(root, 0);
    const path = [{ node: root, by: -1, next: 0 }];
    for (let at = path.at(-1); at; at = path.at(-1)) {
      const edge = incident[at.node]?.[at.next];
      if (edge === undefined) {
        path.pop();
        const up = path.at(-1);
        if (!up) break;
        low.set(up.node, Math.min(low.get(up.node), low.get(at.node)));
        if (low.get(at.node) >= depth.get(up.node)) close(at.by);
        continue;
      }
      at.next += 1;
      if (edge === at.by || block[edge] !== -1) continue;
      const [a, b] = edges[edge] as readonly [number, number];
      const other = a === at.node ? b : a;
      const depthHere = depth.get(at.node);
      if (depth.get(other) === -1) {
        open.push(edge);
        depth.set(other, depthHere + 1);
        low.set(other, depthHere + 1);
        path.push({ node: other, by: edge, next: 0 });
      } else if (depth.get(other) < depthHere) {
        open.push(edge);
        low.set(at.node, Math.min(low.get(at.node), depth.get(other)));
      }
    }
  }
  return block;
}
