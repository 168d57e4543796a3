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
const STALE_HOURS = 12;

/** Why the Map stays shut. */
export type SafetyTrouble =
  | { code: 'not-begun' }
  | { code: 're-energised'; reason: string }
  | { code: 'unanswered'; line: SafetyLine }
  /** Answered, or measured, while the supply could still be on: it counts for nothing. */
  | { code: 'before-isolation'; line: SafetyLine; isolate: SafetyLine }
  /** Given with the very tap that answered another line: nobody measured a value, or proved a tester, twice at once. */
  | { code: 'given-with-others'; line: SafetyLine }
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
  /** What counts: nothing that was answered before isolation, or that a tap for several lines cannot say. */
  answers: ReadonlyMap<LineId, SafetyAnswer>;
  /** In the order in which they are best mended. */
  troubles: SafetyTrouble[];
  /** Who answers for the list as it stands; null while nobody does. */
  signed: { by: string; at: string } | null;
  /** Lines that were not measured: what they would prove stays unproved. */
  unproved: SafetyLine[];
  /** The list is this many hours old: look at it again. null when it is fresh, or not relied on. */
  staleHours: number | null;
}

interface Answered {
  answer: SafetyAnswer;
  /** Place in the log. */
  at: number;
  /** Given with one tap for several lines. */
  together: boolean;
  /** Of a proof of dead: the place at which each reading after isolation first stood there. */
  readAt: readonly number[];
}

/**
 * Reads the standing of a job's safety list.
 * @param now ISO time for the age of the list; null leaves the age out.
 * @example
 * safetyStanding(readLog(bench(2, 1).events), true).by // => 'out-of-machine'
 */
export function safetyStanding(log: Log, outOfMachine: boolean, now: string | null = null): SafetyStanding {
  const round = latestRound(log);
  const counted = round.list ? countedAnswers(round.list, round.answers) : NOTHING_COUNTED;
  const answers = new Map([...counted.answers].map(([id, { answer }]) => [id, answer]));
  const troubles = round.list ? listTroubles(round.list, counted) : [{ code: 'not-begun' as const }];
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
    unproved: (round.list?.lines ?? []).filter(({ id }) => answers.get(id)?.kind === 'not-measured'),
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
  const put = (line: LineId, answer: SafetyAnswer, how: { place: number; together: boolean }) => {
    const isolate = (list as SafetyList | null)?.lines.find(({ kind }) => kind === 'isolate');
    const [before, isolated] = [answers.get(line), isolate && answers.get(isolate.id)];
    // A remark beside the isolation is no other isolation.
    const same = line === isolate?.id && before && addsWords(before.answer, answer);
    answers.set(line, same ? { ...before, answer } : answered(answer, how, before, isolated?.at ?? -1));
  };
  log.ordered.forEach(({ id, at, what }, place) => {
    if (!live.has(id)) return;
    if (what.kind === 'safety-begun') {
      list = what.list;
      answers.clear();
      signed = null;
      energised = null;
    } else if (what.kind === 'safety-answered') {
      if (what.answer) put(what.line, what.answer, { place, together: false });
      else answers.delete(what.line);
      signed = null;
    } else if (what.kind === 'safety-answered-together') {
      what.answers.forEach(({ line, answer }, within) =>
        put(line, answer, { place: place + within / (what.answers.length + 1), together: true }),
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

/**
 * An answer at its place; the readings of a proof that stood there before keep theirs.
 * @param from where it was isolated: a reading that counted no more by then and is given again was taken again
 */
function answered(
  answer: SafetyAnswer,
  { place, together }: Pick<Answered, 'together'> & { place: number },
  before: Answered | undefined,
  from: number,
): Answered {
  if (answer.kind !== 'proof') return { answer, at: place, together, readAt: [] };
  const earlier = before?.answer.kind === 'proof' ? before.answer.after : [];
  const readAt = answer.after.map((reading) => {
    const same = earlier.findIndex((one) => JSON.stringify(one) === JSON.stringify(reading));
    const at = before?.readAt[same] ?? place;
    return at > from ? at : place;
  });
  return { answer, at: place, together, readAt };
}

const addsWords = (before: SafetyAnswer, now: SafetyAnswer): boolean =>
  before.kind === 'done' && now.kind === 'done' && (before.note === '' || before.note === now.note);

interface Counted {
  answers: ReadonlyMap<LineId, Answered>;
  troubles: SafetyTrouble[];
}
const NOTHING_COUNTED: Counted = { answers: new Map(), troubles: [] };

/**
 * Which answers count. Dead is proved after isolation or not at all: what stands below *isolate* in the list and was answered or measured
 * before it, or before its last change, counts for nothing. A tap for several lines says what was looked at or done; it is no value, and
 * not the proof of a tester before and after at once. (Common practice: isolate, secure, prove, in this order.)
 */
function countedAnswers({ lines }: SafetyList, given: ReadonlyMap<LineId, Answered>): Counted {
  const isolate = lines.find(({ kind }) => kind === 'isolate');
  const isolated = isolate && given.get(isolate.id);
  const from = isolated?.answer.kind === 'done' ? isolated.at : Infinity;
  const answers = new Map<LineId, Answered>();
  const troubles: SafetyTrouble[] = [];
  let below = false;
  for (const line of lines) {
    const one = given.get(line.id);
    const late = one && below && isolate ? isolatedOnly(one, from) : (one ?? null);
    if (one && isolate && late !== one) troubles.push({ code: 'before-isolation', line, isolate });
    if (late && isGivenWithOthers(line, late)) troubles.push({ code: 'given-with-others', line });
    else if (late) answers.set(line.id, late);
    below ||= line === isolate;
  }
  return { answers, troubles };
}

/** What of an answer was given once it was isolated; null: nothing. Of a proof its readings before isolation stay. */
function isolatedOnly(one: Answered, from: number): Answered | null {
  // A stop is one whenever it is said.
  if (one.answer.kind === 'high-voltage') return one;
  if (one.answer.kind !== 'proof') return one.at > from ? one : null;
  const kept = one.readAt.map((at) => at > from);
  if (kept.every(Boolean)) return one;
  const only = <Item>(items: readonly Item[]) => items.filter((_, place) => kept[place]);
  return { ...one, answer: { ...one.answer, after: only(one.answer.after) }, readAt: only(one.readAt) };
}

const isGivenWithOthers = ({ kind }: SafetyLine, { answer, together }: Answered): boolean =>
  together && (kind === 'prove-again' || answer.kind === 'discharged');

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

function listTroubles(list: SafetyList, { answers, troubles: uncounted }: Counted): SafetyTrouble[] {
  const troubles = list.lines.flatMap((line): SafetyTrouble[] => {
    const why = uncounted.filter((one) => 'line' in one && one.line.id === line.id);
    if (why.length > 0) return why;
    const given = answers.get(line.id)?.answer;
    return given ? lineTroubles(line, given, list.supply) : [{ code: 'unanswered', line }];
  });
  return [...troubles, ...orderTroubles(list, answers)];
}

function lineTroubles(line: SafetyLine, answer: SafetyAnswer, supply: SupplyKind): SafetyTrouble[] {
  if (answer.kind === 'not-applicable')
    return mayBeLeftOut(line.kind) ? [] : [{ code: 'cannot-be-left-out', line }];
  if (answer.kind === 'not-measured')
    return line.kind === 'discharge' ? [] : [{ code: 'answer-does-not-fit', line }];
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
  /** A proof begins with its first reading. */
  const begins = (one: Answered) => Math.min(one.at, ...one.readAt);
  const late = (one: typeof first, other: typeof first): SafetyTrouble[] =>
    one && other && one.at > begins(other)
      ? [{ code: 'out-of-order', line: other.line, before: one.line }]
      : [];
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
