import type { SwitchMap } from '../continuity/index.js';
import { liveEvents } from '../log/index.js';
import { oddQuestions, type OddQuestion } from '../table/index.js';
import { requiredSettings, type TerminalId } from '../switch/index.js';
import { compareWithExpected, type Comparison } from './compare.js';

/** Something odd, and whether the expected table answers it: it says the very same, in every cell that the oddity rests on. */
export interface AskedOdd extends OddQuestion {
  byTable: boolean;
}

/** What is odd about a switch, with what a person answered and what an agreeing expected table says of it. */
export function askedOdd(map: SwitchMap, compared: Comparison | null = comparisonOf(map)): AskedOdd[] {
  const agrees = compared ? agreeingCells(compared) : null;
  return oddQuestions(map).map((question) => ({
    ...question,
    byTable:
      agrees !== null &&
      question.answer === null &&
      cellsOf(map, question).every(([setting, a, b]) => agrees(setting, a, b)),
  }));
}

/** Whether nobody has answered it, and no table does. */
export const isOddOpen = ({ answer, byTable }: AskedOdd): boolean => answer === null && !byTable;

/** Cells that a person called the fault: whether this pair is among them in this setting. */
export function calledFault(map: SwitchMap): (setting: string, a: TerminalId, b: TerminalId) => boolean {
  const called = new Set(
    oddQuestions(map).flatMap((question) =>
      question.answer === 'fault' ? cellsOf(map, question).map((cell) => keyOf(...cell)) : [],
    ),
  );
  return (...cell) => called.has(keyOf(...cell));
}

function comparisonOf(map: SwitchMap): Comparison | null {
  const table = liveEvents(map.log, 'expected').at(-1)?.what.table ?? null;
  return table && compareWithExpected(map, table);
}

const keyOf = (setting: string, a: TerminalId, b: TerminalId): string =>
  [setting, ...[a, b].toSorted()].join();

function agreeingCells({ cells }: Comparison): (setting: string, a: TerminalId, b: TerminalId) => boolean {
  const agree = new Set(
    cells.flatMap(({ setting, terminals: [a, b], verdict }) =>
      verdict === 'agree' ? [keyOf(setting, a, b)] : [],
    ),
  );
  return (...cell) => agree.has(keyOf(...cell));
}

/** Every cell that something odd rests on: the pairs of its terminals, or of all that count, in its settings, or in all. */
function cellsOf(map: SwitchMap, { about, odd }: OddQuestion): [string, TerminalId, TerminalId][] {
  const settings =
    about.settings.length > 0 ? about.settings : requiredSettings(map.structure).map(({ id }) => id);
  const contacts = map.contacts.flatMap((place) => map.structure.terminals[place]?.id ?? []);
  const named = about.terminals;
  const pairs: [TerminalId, TerminalId][] =
    odd.code === 'joins-nothing' || named.length === 0
      ? contacts.flatMap((a, at) => contacts.slice(at + 1).map((b): [TerminalId, TerminalId] => [a, b]))
      : named.flatMap((a, at) => named.slice(at + 1).map((b): [TerminalId, TerminalId] => [a, b]));
  const [alone] = named;
  const rests = odd.code === 'joins-nothing' && alone ? pairs.filter((pair) => pair.includes(alone)) : pairs;
  return settings.flatMap((setting) =>
    rests.map(([a, b]): [string, TerminalId, TerminalId] => [setting, a, b]),
  );
}
