import type { NamedSource, Potential, Reference, Supply } from '../../log/index.js';
import { partitionOf } from '../../partition/index.js';
import type { SourceId, SupplyId } from '../../switch/index.js';

/** Where potentials come from, as the machine has it: as it was named, or as its supplies let it be seen. */
export interface Source {
  /** null: nobody has named it; it is known by its first pole. */
  id: SourceId | null;
  name: string;
  current: Supply['current'];
  volts: number | null;
  reference: Reference;
  poles: readonly SupplyId[];
  joinedWith: readonly SourceId[];
}

const RETURNS: ReadonlySet<Potential> = new Set(['N', '0', 'earth']);
const PHASES: ReadonlySet<Potential> = new Set(['L1', 'L2', 'L3']);

/** Whether a pole carries current back: a neutral, a minus, an earth. */
export const isReturn = ({ kind }: Pick<Supply, 'kind'>): boolean => RETURNS.has(kind);

/**
 * The sources of a machine. Live poles that no named source has are sources by themselves, three phases one together; the first of
 * each current is taken to have the returns, of a second one it is not said what it shares with others.
 */
export function sourcesOf(supplies: readonly Supply[], named: readonly NamedSource[]): Source[] {
  const there = new Map(supplies.map((supply) => [supply.id, supply]));
  const said = named.map((source): Source => {
    const poles = source.poles.flatMap((id) => there.get(id) ?? []);
    const live = poles.find((pole) => !isReturn(pole)) ?? poles[0];
    return {
      ...{ id: source.id, name: source.name, reference: source.reference, joinedWith: source.joinedWith },
      current: live?.current ?? (source.kind === 'AC' ? 'AC' : 'DC'),
      volts: source.volts ?? live?.volts ?? null,
      poles: poles.map(({ id }) => id),
    };
  });
  const owned = new Set(said.flatMap(({ poles }) => poles));
  const loose = supplies.filter((supply) => !owned.has(supply.id) && !isReturn(supply));
  const groups = new Map<string, Supply[]>();
  for (const supply of loose) {
    const key = PHASES.has(supply.kind) ? 'three phases' : supply.id;
    groups.set(key, [...(groups.get(key) ?? []), supply]);
  }
  const begun = new Set(said.map(({ current }) => current));
  const unsaid = [...groups.values()].map((poles): Source => {
    const [first] = poles as [Supply];
    const alone = !begun.has(first.current);
    begun.add(first.current);
    return {
      ...{ id: null, name: first.name || first.kind, current: first.current, volts: first.volts },
      reference: alone ? { to: 'none' } : { to: 'not-said' },
      poles: poles.map(({ id }) => id),
      joinedWith: [],
    };
  });
  return [...said, ...unsaid];
}

/** What two sources have in common: a reference that closes the loop, nothing, or nobody has said. */
export type Common = 'shared' | 'none' | 'not-said';

/** What the sources of a machine share, worked out once. */
export class Shares {
  readonly #of = new Map<SupplyId, number>();
  readonly #loops: readonly number[];
  readonly #returned: readonly boolean[];

  constructor(
    readonly sources: readonly Source[],
    supplies: readonly Supply[],
  ) {
    sources.forEach(({ poles }, at) => {
      for (const pole of poles) this.#of.set(pole, at);
    });
    const place = new Map(sources.flatMap(({ id }, at) => (id ? [[id, at] as const] : [])));
    this.#loops = partitionOf(
      sources.length,
      sources.flatMap(({ reference }, at): [number, number][] => {
        const to = reference.to === 'source' ? place.get(reference.source) : undefined;
        return to === undefined ? [] : [[at, to]];
      }),
    );
    const returns = new Set(supplies.filter(isReturn).map(({ id }) => id));
    this.#returned = sources.map(({ poles }) => poles.some((pole) => returns.has(pole)));
  }

  /** The source of a pole; undefined: a return that no source has by itself. */
  of(pole: SupplyId): Source | undefined {
    return this.sources[this.#of.get(pole) ?? -1];
  }

  /** Sources that are solved together have the same; one that is said to share nothing, and has a return of its own, is by itself. */
  loopOf(pole: SupplyId): number | null {
    const at = this.#of.get(pole);
    if (at === undefined) return null;
    return this.#isApart(at) ? (this.#loops[at] ?? at) : null;
  }

  /** What the sources of two poles have in common. */
  between(one: SupplyId, other: SupplyId): Common {
    const [a, b] = [this.#of.get(one), this.#of.get(other)];
    // A return of no source by itself serves all that have none of their own.
    if (a === undefined || b === undefined) {
      const at = a ?? b;
      return at !== undefined && this.#isApart(at) ? 'none' : 'shared';
    }
    if (a === b || this.#loops[a] === this.#loops[b]) return 'shared';
    const isSaid = (at: number) => this.sources[at]?.reference.to !== 'not-said';
    if (!isSaid(a) || !isSaid(b)) return 'not-said';
    return this.#isApart(a) || this.#isApart(b) ? 'none' : 'not-said';
  }

  #isApart(at: number): boolean {
    const loop = this.#loops[at];
    const members = this.sources.flatMap((_, one) => (this.#loops[one] === loop ? [one] : []));
    return (
      members.every((one) => this.sources[one]?.reference.to !== 'not-said') &&
      members.some((one) => this.#returned[one] === true)
    );
  }
}
