import type { NamedSource, Supply } from '../../log/index.js';
import type { NewId, SourceId } from '../../switch/index.js';
import { isReturn, type Source } from './sources.js';

/** Two sources of one current of which nobody has said what the second shares with the first. */
export interface AskedSources {
  first: Source;
  second: Source;
}

/** What nobody has said: each source of which that is open, with the first one of its current. */
export function askedSources(sources: readonly Source[]): AskedSources[] {
  return sources.flatMap((second): AskedSources[] => {
    if (second.reference.to !== 'not-said') return [];
    const first = sources.find((one) => one !== second && one.current === second.current);
    return first ? [{ first, second }] : [];
  });
}

/** What a person says of two sources: one behind two fuses, two on one return, two that share nothing. */
export const SOURCE_ANSWERS = ['one', 'shared', 'apart'] as const;
export type SourceAnswer = (typeof SOURCE_ANSWERS)[number];

/** A source as it is written down. */
const named = (source: Source, newId: NewId): NamedSource => ({
  ...{ id: source.id ?? newId<SourceId>(), name: source.name, kind: source.current, volts: source.volts },
  ...{ reference: source.reference, poles: [...source.poles] },
  ...{ joinedWith: [...source.joinedWith], removed: false },
});

/**
 * The sources as they are written down with an answer; null: two that share nothing must each have a return of their own, and there are
 * not two.
 */
export function sourcesAnswered(
  { first, second }: AskedSources,
  answer: SourceAnswer,
  supplies: readonly Supply[],
  newId: NewId,
): NamedSource[] | null {
  const [one, other] = [named(first, newId), named(second, newId)];
  switch (answer) {
    case 'one': {
      const whole: NamedSource = { ...one, poles: [...new Set([...one.poles, ...other.poles])] };
      // What was named as a second one is none.
      return second.id ? [whole, { ...other, removed: true }] : [whole];
    }
    case 'shared':
      return [one, { ...other, reference: { to: 'source', source: one.id } }];
    case 'apart': {
      const taken = new Set([...one.poles, ...other.poles]);
      const free = supplies.filter(
        (supply) =>
          isReturn(supply) &&
          supply.kind !== 'earth' &&
          supply.current === first.current &&
          !taken.has(supply.id),
      );
      const hasOwn = (source: NamedSource) =>
        supplies.some((supply) => source.poles.includes(supply.id) && isReturn(supply));
      const both = [one, other].map((source): NamedSource | null => {
        const own = hasOwn(source) ? [] : free.splice(0, 1).map(({ id }) => id);
        return hasOwn(source) || own.length > 0
          ? { ...source, poles: [...source.poles, ...own], reference: { to: 'none' } }
          : null;
      });
      return both.every((source) => source !== null) ? both : null;
    }
  }
}
