import {
  liveEvents,
  type Log,
  type SafetyAnswer,
  type SafetyLine,
  type SafetyLineKind,
  type SafetyList,
  type SupplyKind,
  type HighVoltageStore,
} from '../log/index.js';
import { type LineId } from '../switch/index.js';
import { endsInSight, highestLeft, proofTroubles, SAFE_VOLTS, type ProofTrouble } from './proof-of-dead.js';

/** After this many hours a list is looked at again before work goes on (common practice: not from one day to the next). */
export const STALE_HOURS = 12;

/** Why the Map stays shut. */
export type SafetyTrouble =
  | { code: 'not-begun' }
  | { code: 're-energised'; reason: string }
  | { code: 'unanswered'; line: SafetyLine }
  | { code: 'cannot-be-left-out'; line: SafetyLine }
  | { code: 'answer-does-not-fit'; line: SafetyLine }
  | { code: 'pen-is-no-proof'; line: SafetyLine }
  | { code: 'other-tester'; line: SafetyLine }
  | { code: 'not-every-position'; line: SafetyLine }
  | { code: 'against-what'; line: SafetyLine }
  | { code: 'not-proved'; line: SafetyLine; why: ProofTrouble }
  | { code: 'high-voltage'; line: SafetyLine; store: HighVoltageStore }
  | { code: 'not-dead'; line: SafetyLine; volts: number }
  | { code: 'stored-energy'; line: SafetyLine; volts: number }
  | { code: 'out-of-order'; line: SafetyLine; before: SafetyLine }
  | { code: 'unsigned' };

/** Whether the Map may open, on what grounds, and if not, why. */
export interface SafetyStanding {
  open: boolean;
  by: 'out-of-machine' | 'list' | null;
  list: SafetyList | null;
  answers: ReadonlyMap<LineId, SafetyAnswer>;
  /** In the order in which they are best mended. */
  troubles: SafetyTrouble[];
  /** Who answers for the list as it stands; null while nobody does. */
  signed: { by: string; at: string } | null;
  /** The list is this many hours old: look at it again. null when it is fresh, or not relied on. */
  staleHours: number | null;
}

interface Answered {
  answer: SafetyAnswer;
  /** Place in the log. */
  at: number;
}

/**
 * Reads the standing of a job's safety list.
 * @param now ISO time for the age of the list; null leaves the age out.
 */
export function safetyStanding(log: Log, outOfMachine: boolean, now: string | null = null): SafetyStanding {
  const round = latestRound(log);
  const answers = new Map([...round.answers].map(([id, { answer }]) => [id, answer]));
  const troubles = round.list ? listTroubles(round.list, round.answers) : [{ code: 'not-begun' as const }];
  if (round.energised !== null) troubles.unshift({ code: 're-energised', reason: round.energised });
  const signed = troubles.length === 0 ? round.signed : null;
  if (troubles.length === 0 && !signed) troubles.push({ code: 'unsigned' });
  const by = outOfMachine ? 'out-of-machine' : signed ? 'list' : null;
  const hours = signed && now ? (Date.parse(now) - Date.parse(signed.at)) / 3_600_000 : 0;
  return {
    open: by !== null,
    by,
    list: round.list,
    answers,
    troubles: by === 'out-of-machine' ? [] : troubles,
    signed,
    staleHours: by === 'list' && hours > STALE_HOURS ? Math.floor(hours) : null,
  };
}

/** The list begun last, with what was answered since; an answer after the signature takes the signature back. */
function latestRound(log: Log) {
  const kinds = [
    'safety-begun',
    'safety-answered',
    'safety-answered-together',
    'safety-signed',
    're-energised',
  ] as const;
  const live = new Set(kinds.flatMap((kind) => liveEvents(log, kind).map(({ id }) => id)));
  let list: SafetyList | null = null;
  let signed: SafetyStanding['signed'] = null;
  let energised: string | null = null;
  const answers = new Map<LineId, Answered>();
  log.ordered.forEach(({ id, at, what }, place) => {
    if (!live.has(id)) return;
    if (what.kind === 'safety-begun') {
      list = what.list;
      answers.clear();
      signed = null;
      energised = null;
    } else if (what.kind === 'safety-answered') {
      if (what.answer) answers.set(what.line, { answer: what.answer, at: place });
      else answers.delete(what.line);
      signed = null;
    } else if (what.kind === 'safety-answered-together') {
      what.answers.forEach(({ line, answer }, within) =>
        answers.set(line, { answer, at: place + within / (what.answers.length + 1) }),
      );
      signed = null;
    } else if (what.kind === 'safety-signed') signed = { by: what.by, at };
    else if (what.kind === 're-energised') energised = what.reason;
  });
  return { list, signed, energised, answers } as {
    list: SafetyList | null;
    signed: SafetyStanding['signed'];
    energised: string | null;
    answers: Map<LineId, Answered>;
  };
}

/** What kind of answer a line wants; others only say that it is done. */
type Wanted = 'done' | 'proved' | 'proof' | 'discharged';
const WANTS: Partial<Record<SafetyLineKind, Wanted>> = {
  'prove-tester': 'proved',
  'prove-again': 'proved',
  'prove-dead': 'proof',
  discharge: 'discharged',
};

/** The answer that settles a line of this kind. */
export const wantedAnswer = (kind: SafetyLineKind): Wanted => WANTS[kind] ?? 'done';

/** Lines that no reason can replace, as long as the switch is in the machine. */
const ALWAYS: ReadonlySet<SafetyLineKind> = new Set([
  'isolate',
  'prove-tester',
  'prove-dead',
  'prove-again',
  'meter',
]);

/** Whether a line may be answered with 'not applicable' and a reason. */
export const mayBeLeftOut = (kind: SafetyLineKind): boolean => !ALWAYS.has(kind);

function listTroubles(list: SafetyList, answers: ReadonlyMap<LineId, Answered>): SafetyTrouble[] {
  const troubles = list.lines.flatMap((line): SafetyTrouble[] => {
    const given = answers.get(line.id)?.answer;
    return given ? lineTroubles(line, given, list.supply) : [{ code: 'unanswered', line }];
  });
  return [...troubles, ...orderTroubles(list, answers)];
}

function lineTroubles(line: SafetyLine, answer: SafetyAnswer, supply: SupplyKind): SafetyTrouble[] {
  if (answer.kind === 'not-applicable')
    return mayBeLeftOut(line.kind) ? [] : [{ code: 'cannot-be-left-out', line }];
  if (answer.kind === 'high-voltage') return [{ code: 'high-voltage', line, store: answer.store }];
  if (answer.kind === 'dead')
    return line.kind === 'prove-dead'
      ? olderProof(line, answer, supply)
      : [{ code: 'answer-does-not-fit', line }];
  if (answer.kind !== wantedAnswer(line.kind)) return [{ code: 'answer-does-not-fit', line }];
  switch (answer.kind) {
    case 'done':
      return [];
    case 'proved':
      return answer.tester === 'pen' ? [{ code: 'pen-is-no-proof', line }] : [];
    case 'proof':
      return proofTroubles(answer, supply).map((why) => ({ code: 'not-proved', line, why }));
    case 'discharged':
      return answer.after >= SAFE_VOLTS ? [{ code: 'stored-energy', line, volts: answer.after }] : [];
  }
}

/** A proof that does not say what it was measured against: it stands where the ends of the supply are in sight. */
function olderProof(
  line: SafetyLine,
  { volts, everyPosition }: { volts: number; everyPosition: boolean },
  supply: SupplyKind,
): SafetyTrouble[] {
  if (volts >= SAFE_VOLTS) return [{ code: 'not-dead', line, volts }];
  if (!everyPosition) return [{ code: 'not-every-position', line }];
  return endsInSight(supply) ? [] : [{ code: 'against-what', line }];
}

/** The tester is proved before and after, the same one both times: an older answer to a later line proves nothing. */
function orderTroubles({ lines }: SafetyList, answers: ReadonlyMap<LineId, Answered>): SafetyTrouble[] {
  const of = (kind: SafetyLineKind) => {
    const line = lines.find((one) => one.kind === kind);
    const given = line && answers.get(line.id);
    return line && given ? { line, ...given } : null;
  };
  const [first, dead, again] = [of('prove-tester'), of('prove-dead'), of('prove-again')];
  const late = (one: typeof first, other: typeof first): SafetyTrouble[] =>
    one && other && one.at > other.at ? [{ code: 'out-of-order', line: other.line, before: one.line }] : [];
  const tester = (one: typeof first) => (one?.answer.kind === 'proved' ? one.answer.tester : null);
  const swapped = tester(first) !== null && tester(again) !== null && tester(first) !== tester(again);
  return [
    ...late(first, dead),
    ...late(dead, again),
    ...(swapped && again ? [{ code: 'other-tester' as const, line: again.line }] : []),
  ];
}

/** The volts that were still there when the list was signed, none of them too many; null where nobody measured. */
export function voltsLeft({ list, answers }: SafetyStanding): number | null {
  const given = (list?.lines ?? []).flatMap(({ id }) => answers.get(id) ?? []);
  const left = given.flatMap((answer) =>
    answer.kind === 'discharged'
      ? [answer.after]
      : answer.kind === 'proof'
        ? (highestLeft(answer) ?? [])
        : [],
  );
  return left.length === 0 ? null : Math.max(...left);
}
