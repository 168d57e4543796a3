import { recordsOf } from '@which-way/core/log';
import { isTicked, isWithin } from '@which-way/core/refit';
import { ohms } from '../quantity.js';
import {
  BEFORE_POWER_WORDS,
  cardLineWords,
  functionWords,
  recordLimitWords,
  nodeShort,
  notTestedAtRefit,
  JUMPER_OUTCOME_WORDS as JUMPER_WORDS,
  triedWords,
  TRANSFER_WORDS,
} from '../refit.js';
import { notTestedWords } from '../verdict.js';
import { actWords, placesOfAct } from '../map/tape.js';
import { settingName } from '../terminals.js';
import type { Section } from './document.js';
import { facts, tableOf, type ReportSource } from './pieces.js';

export function transfer({ standing: { card } }: ReportSource): Section {
  const rows = card.lines.map((line) => [cardLineWords(line), isTicked(card, line) ? 'done' : 'not done']);
  return {
    part: 'transfer',
    heading: 'Wires',
    pieces: rows.length > 0 ? [{ kind: 'table', head: ['line', 'ticked'], rows, known: 'said' }] : [],
  };
}

export function tests({ map, standing, check }: ReportSource): Section {
  const { refit } = standing.card;
  const loads = recordsOf(map.log, 'load-named');
  const name = (place: number) => (refit ? nodeShort(refit, place) : '');
  const read = check?.at.done.map(({ position, a, b, joins, read: shown }) => [
    `${refit?.positions[position]?.name ?? ''}: ${name(a)} to ${name(b)}`,
    `${shown ? 'joins' : 'apart'}${shown === joins ? '' : ', not as it must be'}`,
  ]);
  const records = standing.wanted.flatMap((one) =>
    one.record?.ohms === undefined || one.record.ohms === null
      ? []
      : [
          [
            [BEFORE_POWER_WORDS[one.what].name, one.position].filter(Boolean).join(', '),
            `${ohms(one.record.ohms)}${one.record.limit === null ? '' : `, ${recordLimitWords({ ...one, limit: one.record.limit })}`}${isWithin(one, one.record) === false ? ': outside' : ''}`,
            `${one.record.instrument}, ${one.record.by}`,
          ],
        ],
  );
  const tried = standing.functions.flatMap((one) => {
    if (!one.tried) return [];
    const { where, must } = functionWords(one, map, loads);
    return [[where, must, [triedWords(one.tried), one.tried.live].filter(Boolean).join('; live: ')]];
  });
  const jumpers = recordsOf(map.log, 'jumper-tested').map(
    ({ setting, outcome, by }) =>
      `Wires joined instead of ${settingName(map.structure, setting)}, ${by}: ${JUMPER_WORDS[outcome].toLowerCase()}`,
  );
  return {
    part: 'tests',
    heading: 'Tests',
    pieces: [
      facts('said', ...jumpers),
      facts('worked-out', check ? `Check before power: ${TRANSFER_WORDS[check.at.standing]}` : ''),
      ...tableOf(['check before power', 'read'], read ?? [], 'measured'),
      ...tableOf(['insulation and earth', 'shown', 'with, by'], records, 'measured'),
      ...tableOf(['function', 'must', 'did'], tried, 'said'),
    ],
  };
}

export function notTested({ map, standing, judgement }: ReportSource): Section {
  const { functions, wanted } = standing;
  return {
    part: 'not-tested',
    heading: 'What was not tested',
    pieces: [
      facts(
        'not-known',
        ...notTestedWords(map, judgement.notTested),
        ...notTestedAtRefit(functions, map, recordsOf(map.log, 'load-named'), wanted),
      ),
    ],
  };
}

/** Acts of the hands as lines, never as one table: there may be ten thousand. */
export function readings({ map }: ReportSource): Section {
  const acts = new Map<string, (typeof map.tape)[number][]>();
  for (const line of map.tape) {
    const list = acts.get(line.event.id);
    if (list) list.push(line);
    else acts.set(line.event.id, [line]);
  }
  const lines = [...acts.values()].map((act) => {
    const { hands, result } = actWords(act, map.structure);
    return `${placesOfAct(act, map.structure)}: ${hands}: ${result}`;
  });
  return { part: 'readings', heading: 'Readings', pieces: [facts('measured', ...lines)] };
}
