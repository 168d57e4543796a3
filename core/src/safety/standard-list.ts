import { SUPPLIES, type SafetyLine, type SafetyLineKind, type SupplyKind } from '../log/index.js';
import { type LineId, type NewId, type Problem } from '../switch/index.js';

/** A line of a list that a shop keeps: without words of its own it says the standard ones. */
export type ListLine = Omit<SafetyLine, 'id'>;
export type SafetyLists = Record<SupplyKind, ListLine[]>;

/**
 * What every list holds, by supply, in the order in which it is done. Common practice of safe isolation: isolate and
 * every feed, secure, prove the tester, prove dead, prove the tester again; then let stored energy go, and only then ohms.
 */
const IN_FULL: readonly SafetyLineKind[] = [
  'isolate',
  'other-circuits',
  'lock',
  'prove-tester',
  'prove-dead',
  'prove-again',
  'discharge',
  'meter',
];
const STANDARD: Record<SupplyKind, readonly SafetyLineKind[]> = {
  'plug-in': IN_FULL,
  fixed: IN_FULL,
  battery: IN_FULL,
  'extra-low': ['isolate', 'prove-dead', 'discharge', 'meter'],
};

/** The lists of a shop that has changed nothing. */
export function standardLists(): SafetyLists {
  const lines = (supply: SupplyKind) => STANDARD[supply].map((kind) => ({ kind, text: null, why: null }));
  return {
    'plug-in': lines('plug-in'),
    fixed: lines('fixed'),
    battery: lines('battery'),
    'extra-low': lines('extra-low'),
  };
}

/** Lines of a shop's list, with ids for one job. */
export function linesForJob(lists: SafetyLists, supply: SupplyKind, newId: NewId): SafetyLine[] {
  return lists[supply].map((line) => ({ id: newId<LineId>(), ...line }));
}

/** What is wrong with a shop's lists: standard lines may be reworded and moved, never left out or doubled. */
export function listProblems(lists: SafetyLists): Problem[] {
  return SUPPLIES.flatMap((supply) => {
    const lines = lists[supply];
    const path = `safetyLists.${supply}`;
    const kinds = lines.map(({ kind }) => kind);
    return [
      ...STANDARD[supply]
        .filter((kind) => kinds.filter((one) => one === kind).length !== 1)
        .map((kind): Problem => ({ code: 'line-stays', path, params: { kind } })),
      ...lines.flatMap(({ kind, text }, index): Problem[] =>
        kind === 'own' && (text ?? '').trim() === ''
          ? [{ code: 'line-without-words', path: `${path}.${index}.text`, params: {} }]
          : [],
      ),
      ...orderProblems(kinds, path),
    ];
  });
}

/** Proofs stay in the order that makes them proofs. */
function orderProblems(kinds: readonly SafetyLineKind[], path: string): Problem[] {
  const order = ['isolate', 'prove-tester', 'prove-dead', 'prove-again'] as const;
  const places = order.map((kind) => kinds.indexOf(kind)).filter((place) => place >= 0);
  const sorted = places.every((place, index) => index === 0 || place > (places[index - 1] ?? -1));
  return sorted ? [] : [{ code: 'lines-out-of-order', path, params: {} }];
}
