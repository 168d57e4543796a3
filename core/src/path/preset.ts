import type { LinkId, NewId, NodeId } from '../switch/index.js';
import type { Conductor, LinkKind, PathLink, PathNode } from '../log/index.js';

/** What lies on the way to the load, what the load is made of, what lies on the way back, and what lies beside. */
interface Laying {
  feed: readonly LinkKind[];
  load: readonly LinkKind[];
  back: readonly LinkKind[];
  beside: readonly LinkKind[];
}

const CORDED = {
  feed: ['plug', 'fuse', 'cord', 'terminals', 'switch'],
  back: ['terminals', 'cord', 'plug'],
} as const;

/** Kinds of machine with a usual supply path. */
export const PATH_PRESETS = {
  heater: { ...CORDED, load: ['element'], beside: ['earth'] },
  motor: { ...CORDED, load: ['electronics', 'brushes', 'motor'], beside: ['suppressor', 'earth'] },
  fan: { ...CORDED, load: ['motor'], beside: ['earth'] },
  lamp: { ...CORDED, load: ['lamp'], beside: [] },
  radio: { ...CORDED, load: ['coil'], beside: ['electronics', 'suppressor'] },
  vehicle: {
    feed: ['battery', 'fuse', 'terminals', 'switch'],
    load: ['motor'],
    back: ['terminals'],
    beside: [],
  },
} as const satisfies Record<string, Laying>;
export type PathPreset = keyof typeof PATH_PRESETS;

/** A supply path as places and what lies between them. */
export interface LaidPath {
  nodes: PathNode[];
  links: PathLink[];
}

/** The path of a preset, with ids: one way from the one pole of the supply through the load to the other. */
export function layPath(preset: PathPreset, newId: NewId): LaidPath {
  const { feed, load, back, beside }: Laying = PATH_PRESETS[preset];
  const of = (kinds: readonly LinkKind[], conductor: Conductor) =>
    kinds.map((kind) => ({ id: newId<LinkId>(), kind, name: null, conductor }));
  return chained(
    [...of(feed, 'feed'), ...of(load, 'load'), ...of(back, 'return'), ...of(beside, 'beside')],
    [],
    newId,
  );
}

/** A link before it is known between which places it lies. */
export type LooseLink = Omit<PathLink, 'from' | 'to'>;

/**
 * Links in their order, with the places between them: places that are there are used again, in their order; what lies
 * beside the path lies from its one end to the other.
 */
export function chained(links: readonly LooseLink[], nodes: readonly PathNode[], newId: NewId): LaidPath {
  const series = links.filter(({ conductor }) => conductor !== 'beside');
  const needed = links.length === 0 ? 0 : Math.max(2, series.length + 1);
  const places = Array.from(
    { length: needed },
    (_, place): PathNode => nodes[place] ?? { id: newId<NodeId>(), name: null },
  );
  const at = (place: number) => (places[place] as PathNode).id;
  return {
    nodes: places,
    links: links.map((link) => {
      const place = series.indexOf(link);
      const [from, to] = place < 0 ? [at(0), at(needed - 1)] : [at(place), at(place + 1)];
      return { ...link, from, to };
    }),
  };
}
