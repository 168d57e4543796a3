import { factAt, isSettled, type SwitchMap } from '../../continuity/index.js';
import type { ExpectedTable } from '../../log/index.js';
import { partitionFromGroups, type Pattern } from '../../partition/index.js';
import {
  contactTerminals,
  type ReadingId,
  spotIn,
  type SettingId,
  type Structure,
  type TerminalId,
} from '../../switch/index.js';
import { isAmong } from '../compare.js';
import { movingContacts, polesWithContacts } from '../../table/index.js';
import type { TerminalRows } from './causes.js';
import type { KnownCells } from './diagnose.js';

/** A diagnosis asked: plain data, so that it can be worked out beside the screen. */
export interface DiagnosisQuestion {
  expected: Pattern;
  known: KnownCells;
  rows: TerminalRows;
  /** What the places stand for. */
  settings: SettingId[];
  terminals: TerminalId[];
}

/** What is asked of a map and the table it should follow: the settings that the table speaks of, in handle order. */
export function diagnosisQuestion(map: SwitchMap, table: ExpectedTable): DiagnosisQuestion {
  const { structure } = map;
  const terminals = map.contacts.map((place) => structure.terminals[place]?.id as TerminalId);
  const place = new Map(terminals.map((id, at) => [id, at]));
  const said = structure.settings.flatMap(({ id }) => {
    const entry = table.settings.find(({ setting }) => setting === id);
    const settled = map.settings.get(id)?.settled;
    return entry && settled ? [{ id, ...entry, settled }] : [];
  });
  const size = terminals.length;
  const expected = said.map(({ joined }) =>
    partitionFromGroups(
      size,
      joined.map((group) => group.flatMap((id) => place.get(id) ?? [])),
    ),
  );
  return {
    settings: said.map(({ id }) => id),
    terminals,
    rows: [...rowsOf(structure, terminals), ...throwsOf(expected)],
    expected,
    known: said.map(({ settled, unsaid }) => {
      const silent = isAmong(unsaid);
      const cells = new Array<boolean | null>(size * size).fill(null);
      map.contacts.forEach((a, one) => {
        map.contacts.forEach((b, other) => {
          if (one === other || silent([terminals[one] as TerminalId, terminals[other] as TerminalId])) return;
          const fact = factAt(settled, Math.min(a, b), Math.max(a, b));
          if (isSettled(fact)) cells[one * size + other] = fact.joined ?? null;
        });
      });
      return cells;
    }),
  };
}

/** A reading that may be the slip, and whether it was taken again already. */
export interface OddReading {
  setting: SettingId;
  red: TerminalId;
  black: TerminalId;
  /** The one that counts. */
  reading: ReadingId;
  repeated: boolean;
}

/**
 * The one reading that may be the slip: where all that differs lies in one setting, a reading of it that was taken between two terminals
 * that differ; null where one slip cannot be all of it. Before a contact is condemned it is repeated.
 */
export function oddReading(
  map: SwitchMap,
  { expected, known, settings, terminals }: DiagnosisQuestion,
): OddReading | null {
  const size = terminals.length;
  const differs = expected.flatMap((nets, at) =>
    nets.flatMap((net, a) =>
      nets.flatMap((other, b): [number, number, number][] => {
        const is = known[at]?.[a * size + b] ?? null;
        return b > a && is !== null && is !== (net === other) ? [[at, a, b]] : [];
      }),
    ),
  );
  const [first] = differs;
  if (!first || differs.some(([at]) => at !== first[0])) return null;
  const setting = settings[first[0]] as SettingId;
  for (const [, a, b] of differs) {
    const [one, other] = [terminals[a] as TerminalId, terminals[b] as TerminalId];
    const taken = map.tape.filter(
      ({ reading, standing }) =>
        reading.setting === setting &&
        (standing === 'counts' || standing === 'superseded') &&
        [...reading.red, ...reading.black].toSorted().join() === [one, other].toSorted().join(),
    );
    const reading = taken.findLast(({ standing }) => standing === 'counts')?.reading.id;
    if (reading) return { setting, red: one, black: other, reading, repeated: taken.length > 1 };
  }
  return null;
}

/** The throws of a switch of one moving contact, in their order: a rotor put in turned goes to the wrong ones, one after another. */
function throwsOf(expected: Pattern): number[][] {
  const [pole, ...more] = polesWithContacts(expected);
  if (!pole || more.length > 0) return [];
  const [moving, ...others] = movingContacts(expected, pole);
  if (!moving || others.length > 0 || moving.throws.length < 3) return [];
  return [moving.throws.toSorted((one, other) => one - other)];
}

/** Terminals in the rows in which they lie: a part may have been put in mirrored or turned along one. */
function rowsOf(structure: Structure, terminals: readonly TerminalId[]): number[][] {
  const all = terminals.map((_, at) => at);
  const { layout } = structure;
  if (layout.kind === 'two-rows') {
    const half = Math.ceil(all.length / 2);
    return [all.slice(0, half), all.slice(half)];
  }
  if (layout.kind !== 'wafers') return [all];
  const decks = new Map<number, { at: number; clock: number }[]>();
  contactTerminals(structure).forEach(({ id }) => {
    const at = terminals.indexOf(id);
    const spot = spotIn(layout, structure.placed, id);
    if (at < 0 || spot?.on !== 'wafers') return;
    decks.set(spot.deck, [...(decks.get(spot.deck) ?? []), { at, clock: spot.clock }]);
  });
  return [...decks.values()].map((deck) => deck.toSorted((a, b) => a.clock - b.clock).map(({ at }) => at));
}
