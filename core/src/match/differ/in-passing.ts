import { makeOf } from '../../log/index.js';
import { join, partitionOf, patternOfKnown, type Partition, type Pattern } from '../../partition/index.js';
import type { KnownSwitch, PartFacts } from '../../switch/index.js';
import type { Requirement } from '../match.js';
import { of, type Difference, type FitOf } from './difference.js';
import type { Subject } from './subject.js';

/** Two supplies that would meet: in a position to spare, or while the handle passes from one position to the next. */
export function ofSupplies(
  never: readonly (readonly [number, number])[],
  known: KnownSwitch,
  fit: FitOf,
): Difference[] {
  if (never.length === 0) return [];
  const pattern = patternOfKnown(known);
  const wires = [...new Set(fit.terminals.map(({ from }) => from))];
  const meets = (nets: Partition) => {
    const joined = partitionOf(
      wires.length,
      fit.terminals.flatMap((one) =>
        fit.terminals
          .filter((other) => nets[other.to] === nets[one.to])
          .map((other): [number, number] => [wires.indexOf(one.from), wires.indexOf(other.from)]),
      ),
    );
    return never.some(([a, b]) => joined[wires.indexOf(a)] === joined[wires.indexOf(b)]);
  };
  const spare = fit.sparePositions.filter((place) => meets(pattern[place] as Partition));
  const used = fit.positions.map(({ to }) => to).toSorted((one, other) => one - other);
  const passing = used.slice(1).filter((to, at) => passes(pattern, used[at] as number, to, meets));
  const makes = known.facts?.makesBeforeBreaks;
  return [
    ...spare.map((place) => of('supplies-meet-in-spare', 'safety', String(place))),
    ...(passing.length > 0 && makes !== false
      ? [makes ? of('supplies-meet-in-passing', 'safety') : of('in-passing-unknown', 'question')]
      : []),
  ];
}

/** Loads that must stay closed while the handle passes, or whose step is heard. */
const WANTS_MAKE_FIRST: ReadonlySet<string> = new Set(['alternator', 'current-transformer']);

/** Whether some terminal goes from one other to another between neighbouring positions: only there does it matter which comes first. */
const goesOver = ({ pattern, terminals }: Requirement): boolean =>
  pattern.slice(1).some((nets, at) =>
    terminals.some((one) => {
      const partners = [pattern[at] as Partition, nets].map((all) =>
        terminals.filter((other) => other !== one && all[other] === all[one]).join(),
      );
      return partners[0] !== '' && partners[1] !== '' && partners[0] !== partners[1];
    }),
  );

/** Making before breaking, lost or gained. That the old one was not seen to do so proves nothing of it. */
export function ofPassing(
  { facts, loads }: Subject,
  required: Requirement,
  { makesBeforeBreaks }: PartFacts,
): Difference[] {
  if (!goesOver(required)) return [];
  const closed = loads.some((load) => WANTS_MAKE_FIRST.has(makeOf(load) ?? ''));
  if (facts.makesBeforeBreaks) {
    if (makesBeforeBreaks === undefined) return [of('makes-before-unknown', 'question')];
    return makesBeforeBreaks ? [] : [of('makes-before-lost', closed ? 'safety' : 'difference')];
  }
  return makesBeforeBreaks ? [of('makes-before-old-unknown', 'question')] : [];
}

/** What is joined for a moment where the next contact makes before the last one breaks. */
const passes = (pattern: Pattern, from: number, to: number, meets: (nets: Partition) => boolean): boolean =>
  meets(join(pattern[from] as Partition, pattern[to] as Partition));
