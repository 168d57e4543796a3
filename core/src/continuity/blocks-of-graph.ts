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
  const depth = new Array<number>(nodes).fill(-1);
  const low = new Array<number>(nodes).fill(0);
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
    if (depth[root] !== -1) continue;
    depth[root] = 0;
    const path = [{ node: root, by: -1, next: 0 }];
    for (let at = path.at(-1); at; at = path.at(-1)) {
      const edge = incident[at.node]?.[at.next];
      if (edge === undefined) {
        path.pop();
        const up = path.at(-1);
        if (!up) break;
        low[up.node] = Math.min(low[up.node] as number, low[at.node] as number);
        if ((low[at.node] as number) >= (depth[up.node] as number)) close(at.by);
        continue;
      }
      at.next += 1;
      if (edge === at.by || block[edge] !== -1) continue;
      const [a, b] = edges[edge] as readonly [number, number];
      const other = a === at.node ? b : a;
      const depthHere = depth[at.node] as number;
      if (depth[other] === -1) {
        open.push(edge);
        depth[other] = low[other] = depthHere + 1;
        path.push({ node: other, by: edge, next: 0 });
      } else if ((depth[other] as number) < depthHere) {
        open.push(edge);
        low[at.node] = Math.min(low[at.node] as number, depth[other] as number);
      }
    }
  }
  return block;
}
