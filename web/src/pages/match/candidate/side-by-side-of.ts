import type { SwitchMap } from '@which-way/core/continuity';
import { recordsOf } from '@which-way/core/log';
import type { MapRequirement, MatchResult } from '@which-way/core/match';
import { patternOfKnown } from '@which-way/core/partition';
import type { KnownSwitch, TerminalId } from '@which-way/core/switch';
import { joinKey, type MovedWire, type SideBySide } from '@which-way/drawing/side-by-side';
import { strandOf } from '@which-way/drawing/strand';

/** A candidate as it would take the place of the switch of a job. */
export interface Laid {
  map: SwitchMap;
  found: MapRequirement & { kind: 'requirement' };
  known: KnownSwitch;
  result: Extract<MatchResult, { terminals: unknown }>;
}

/** Pairs of places that lie in one net, each place with the one before it in its net. */
function chained(nets: readonly number[], places: readonly number[]): [number, number][] {
  const last = new Map<number, number>();
  return places.flatMap((place): [number, number][] => {
    const before = last.get(nets[place] as number);
    last.set(nets[place] as number, place);
    return before === undefined ? [] : [[before, place]];
  });
}

/** The first position in which something joins: an open switch shows nothing. */
export function firstJoining({ found: { requirement }, result }: Laid): number {
  const at = result.positions.findIndex(
    ({ from }) => chained(requirement.pattern[from] ?? [], requirement.terminals).length > 0,
  );
  return Math.max(0, at);
}

/** Each terminal that is needed with those of the new one that its wires go to: several where a junction is added. */
export function movesOf({ map, result }: Laid): { from: TerminalId; to: number[]; wires: MovedWire[] }[] {
  const per = new Map<number, number[]>();
  for (const { from, to } of result.terminals) per.set(from, [...(per.get(from) ?? []), to]);
  return [...per].map(([place, to]) => {
    const from = map.structure.terminals[place]?.id as TerminalId;
    const there = recordsOf(map.log, 'wire-tagged').filter(({ terminal }) => terminal === from);
    const plain: MovedWire = { from, to: to[0] as number, tag: '', color: '' };
    const wires = there.length > 0 ? there.map(({ tag, color }) => ({ ...plain, tag, color })) : [plain];
    return { from, to, wires };
  });
}

/** Both switches in one of the positions, and where they differ. */
export function sideBySideOf(laid: Laid, at: number): SideBySide {
  const { map, found, known, result } = laid;
  const { requirement } = found;
  const position = result.positions[at];
  const nets = patternOfKnown(known)[position?.to ?? 0] ?? [];
  const oldNets = requirement.pattern[position?.from ?? 0] ?? [];
  const freshJoins = chained(
    nets,
    known.terminals.map((_, place) => place),
  );
  const wireOf = new Map(result.terminals.map(({ from, to }) => [to, from]));
  const differs = freshJoins.filter(([one, other]) => {
    const [a, b] = [wireOf.get(one), wireOf.get(other)];
    return a !== undefined && b !== undefined && a !== b && oldNets[a] !== oldNets[b];
  });
  const idAt = (place: number) => map.structure.terminals[place]?.id as TerminalId;
  const moves = movesOf(laid);
  return {
    old: map.structure,
    fresh: known.terminals,
    wires: moves.flatMap(({ wires }) => wires),
    ties: moves.map(({ to }) => to).filter((list) => list.length > 1),
    strand: strandOf(at),
    oldJoins: chained(oldNets, requirement.terminals).map(([a, b]) => [idAt(a), idAt(b)] as const),
    freshJoins,
    differs: new Set(differs.map(([one, other]) => joinKey(one, other))),
  };
}
