import { factAt, isSettled, type Fact, type SwitchMap } from '../continuity/index.js';
import { partitionFromGroups } from '../partition/index.js';
import type { ExpectedTable } from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';

/** One pair in one setting: what was expected, what was found. */
export interface ComparedCell {
  setting: SettingId;
  terminals: [TerminalId, TerminalId];
  expected: boolean;
  fact: Fact;
  /** `missing`: expected closed, found open. `extra`: expected open, found closed. */
  verdict: 'agree' | 'missing' | 'extra' | 'not-tested';
}

export interface Comparison {
  cells: ComparedCell[];
  count: Record<ComparedCell['verdict'], number>;
  /** Pairs, over the settings that it speaks of, of which it says nothing: not compared. */
  unsaid: number;
  /** Settings of the map that the expected table does not speak of. */
  notCompared: SettingId[];
  /**
   * `agrees` only when every required setting is complete and compared, and every cell of which something is said agrees. A difference counts
   * at once; as long as something is unknown, disputed or not compared there is no pass.
   */
  outcome: 'agrees' | 'differs' | 'not-all-tested';
}

/**
 * Compares a map with an expected table, cell by cell over the pairs of contact terminals of which it says something.
 * @example
 * const map = mapped(3, '1-2', '1-3');
 * const [one, two] = map.structure.terminals.map(({ id }) => id);
 * const settings = map.structure.settings.map(({ id }) => ({ setting: id, joined: [[one, two]], unsaid: [] }));
 * const { count } = compareWithExpected(map, { source: { kind: 'drawn' }, settings });
 * [count.agree, count.missing, count.extra] // => [4, 1, 1]
 */
export function compareWithExpected(map: SwitchMap, expected: ExpectedTable): Comparison {
  const ids = map.structure.terminals.map(({ id }) => id);
  const place = new Map(ids.map((id, index) => [id, index]));
  const cells: ComparedCell[] = [];
  let unsaid = 0;
  for (const { setting, joined, unsaid: without } of expected.settings) {
    const settled = map.settings.get(setting)?.settled;
    if (!settled) continue;
    const partition = partitionFromGroups(
      ids.length,
      joined.map((group) => group.flatMap((id) => place.get(id) ?? [])),
    );
    const silent = isAmong(without);
    map.contacts.forEach((a, at) => {
      for (const b of map.contacts.slice(at + 1)) {
        if (silent([ids[a] as TerminalId, ids[b] as TerminalId])) {
          unsaid += 1;
          continue;
        }
        const fact = factAt(settled, a, b);
        const wanted = partition[a] === partition[b];
        cells.push({
          setting,
          terminals: [ids[a] as TerminalId, ids[b] as TerminalId],
          expected: wanted,
          fact,
          verdict: judge(wanted, fact),
        });
      }
    });
  }
  const count = { agree: 0, missing: 0, extra: 0, 'not-tested': 0 };
  for (const { verdict } of cells) count[verdict] += 1;
  const spoken = new Set(expected.settings.map(({ setting }) => setting));
  const notCompared = map.structure.settings
    .filter(({ id, need }) => need === 'required' && !spoken.has(id))
    .map(({ id }) => id);
  const allTested = map.complete && count['not-tested'] === 0 && notCompared.length === 0 && cells.length > 0;
  const outcome = count.missing + count.extra > 0 ? 'differs' : allTested ? 'agrees' : 'not-all-tested';
  return { cells, count, unsaid, notCompared, outcome };
}

/** Whether a pair is one of these, whichever terminal comes first. */
export function isAmong(
  pairs: readonly (readonly [TerminalId, TerminalId])[],
): (pair: readonly [TerminalId, TerminalId]) => boolean {
  const named = new Set(pairs.map((pair) => pair.toSorted().join()));
  return (pair) => named.size > 0 && named.has(pair.toSorted().join());
}

function judge(expected: boolean, fact: Fact): ComparedCell['verdict'] {
  if (!isSettled(fact)) return 'not-tested';
  if (fact.joined === expected) return 'agree';
  return expected ? 'missing' : 'extra';
}
