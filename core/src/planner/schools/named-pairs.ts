import type { SwitchMap } from '../../continuity/index.js';
import { liveEvents } from '../../log/index.js';
import { type TerminalId } from '../../switch/index.js';
import { isUnknown, type Field } from '../field/field.js';
import { settingsInOrder } from '../field/field-of-map.js';
import { holdMove, runOf } from './plain-schools.js';
import type { Planner } from './situation.js';

/** The pairs of a quick check, by place, as they were last named; those with a terminal that is not in use left out. */
export function namedPairs({ log, structure }: SwitchMap): [number, number][] {
  const place = (id: TerminalId) => structure.terminals.findIndex((terminal) => terminal.id === id);
  const pairs = liveEvents(log, 'pairs-named').at(-1)?.what.pairs ?? [];
  return pairs
    .map(([one, other]): [number, number] => [place(one), place(other)])
    .filter(([one, other]) => one >= 0 && other >= 0 && one !== other);
}

/** Holds each named pair through every position in which it is not known; asks nothing else. */
export const onlyThese =
  (pairs: readonly [number, number][]): Planner =>
  (situation) => {
    for (const [one, other] of pairs) {
      const settings = runOf(situation, one, other);
      if (settings.length > 0) return holdMove(one, other, settings, situation.hands);
    }
    return null;
  };

/** What a quick check says: so many of the named pairs in all positions are known, of so many pairs that there are. */
export interface QuickCheck {
  named: number;
  known: number;
  pairs: number;
}

export function quickCheck(map: SwitchMap, field: Field): QuickCheck {
  const pairs = namedPairs(map);
  const settings = settingsInOrder(map);
  const open = pairs.reduce(
    (sum, [one, other]) => sum + settings.filter((_, at) => isUnknown(field, at, one, other)).length,
    0,
  );
  const all = settings.reduce((sum, id) => sum + (map.settings.get(id)?.coverage.pairs ?? 0), 0);
  const named = pairs.length * settings.length;
  return { named, known: named - open, pairs: all };
}
