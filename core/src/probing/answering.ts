import { answerTo, clipTouch } from '../planner/index.js';
import { lastCheck } from '../sense/index.js';
import {
  liveEvents,
  lastCheckedMeter,
  readingsAsked,
  type Ask,
  type Deed,
  type Prompt,
  type Reading,
  type Value,
} from '../log/index.js';
import type { PromptId, SettingId, TerminalId } from '../switch/index.js';
import { nameOfTask, withMeasured, type Measured, type Measurement, type Probe } from './measurement.js';
import type { Message } from './message.js';
import type { Moment } from './moment.js';
import { reread } from './reread.js';
import { asksMeter, handsAre, sets, stays, writes, type Means, type ProbingStep } from './step.js';
import { asksAgain, betweenBands, impliedIn, isJoin, leaks, nextTouch, type Found } from './task.js';
import { zeroHigh, zeroTrouble } from './zero.js';

type Source = 'typed' | 'simulated' | 'meter' | 'heard';

/** After so many leaks that were the same with the hands off, the rest are kept as they are read. */
const ENOUGH_LEAKS = 3;

/** Leaks that were read again with the hands off, and leaked still. */
function leaksRepeated({ map: { log } }: Moment): number {
  const check = lastCheck(log);
  return liveEvents(log, 'superseded').filter(
    ({ what: { replacement } }) => replacement !== null && leaks(replacement.value, check),
  ).length;
}

/** Where skin or a film may lie across, the same pair is asked once more before its value counts. */
function withAgain(moment: Moment, step: ProbingStep, readings: readonly Reading[]): ProbingStep {
  const check = lastCheck(moment.map.log);
  // A switch that leaks everywhere is damp or dirty: it is asked a few times, not at every pair.
  const known = leaksRepeated(moment) >= ENOUGH_LEAKS;
  const again = readings
    .filter(({ value }) => asksAgain(value, check) !== null && !(known && leaks(value, check)))
    .map(({ id }) => id);
  return { ...step, hands: { ...step.hands, again: { readings: again, replaces: false } } };
}

/** Ends a sweep or a turn: what was not found and does not follow is what the rest is, or was not read. */
export function finishes(
  moment: Moment,
  rest: Value | null,
  values: Found,
  source: Source,
  { newId }: Means,
): ProbingStep {
  const { prompt, many, map, inCircuit } = moment;
  if (!prompt || !many) return stays(moment);
  const all = new Map(values);
  for (const { key } of readingsAsked(prompt.ask)) {
    if (rest === null || all.has(key) || impliedIn(map, prompt, all).has(key)) continue;
    all.set(key, rest);
  }
  const answer = answerTo(prompt, { values: all, source, inCircuit }, newId);
  const step = writes(moment, answer);
  return many.kind === 'bundle' ? step : withAgain(moment, step, answer.readings);
}

/** Answers the touch that is asked now, else the one pair; the last touch of a sweep or a turn ends it. */
export function answersTouch(moment: Moment, value: Value, source: Source, means: Means): ProbingStep {
  const { stepAt, many, found, map, prompt } = moment;
  if (stepAt === null || !many) return answersPair(moment, value, source, means);
  const next = new Map(found).set(stepAt, value);
  const more = nextTouch(many, next, impliedIn(map, prompt, next)) !== null;
  return more ? sets(moment, stepAt, value) : finishes(moment, null, next, source, means);
}

/** Answers the one pair that is asked, or that is read again. */
export function answersPair(moment: Moment, value: Value, source: Source, { newId }: Means): ProbingStep {
  const { task, prompt, map, inCircuit, hands } = moment;
  if (task?.kind === 'correct') {
    const [, ...further] = hands.again.readings;
    const { replaces } = hands.again;
    // What is still between closed and open stands beside the first.
    const beside = !replaces && betweenBands(value, lastCheck(map.log));
    const step = writes(moment, ...reread(task.reading, value, { source, inCircuit, beside }, newId));
    const enough = leaks(value, lastCheck(map.log)) && leaksRepeated(moment) === ENOUGH_LEAKS - 1;
    const said = enough ? { message: { code: 'leaks-kept' as const } } : {};
    return { ...step, hands: { ...step.hands, ...said, again: { readings: further, replaces } } };
  }
  if (prompt?.ask.kind !== 'pair') return stays(moment);
  const values = new Map([[prompt.ask.black, value]]);
  const answer = answerTo(prompt, { values, source, inCircuit }, newId);
  return withAgain(moment, writes(moment, answer), answer.readings);
}

/** A pair of the person's own choice, named and answered in one line. */
export function answersNamedPair(
  moment: Moment,
  ask: Extract<Ask, { kind: 'pair' }>,
  value: Value,
  { newId }: Means,
): ProbingStep {
  const prompt: Prompt = { id: newId<PromptId>(), ask };
  const values = new Map([[ask.black, value]]);
  const answer = answerTo(prompt, { values, source: 'typed', inCircuit: moment.inCircuit }, newId);
  return withAgain(moment, writes(moment, { kind: 'prompt-shown', prompt }, answer), answer.readings);
}

/** A first check that fails is only told; a later one puts what was read since the last good one in doubt. */
export function failsCheck(moment: Moment, value: Value, message: Message): ProbingStep {
  const { plan } = moment;
  const why = plan?.kind === 'check-meter' ? plan.why : 'first';
  const doubt: Deed[] =
    why === 'idle' || why === 'opens' ? [{ kind: 'meter-failed', leadsTogether: value }] : [];
  return { ...handsAre(moment, { message, typed: '' }), deeds: doubt };
}

/** The leads together: the lead zero, or why it cannot be. */
export function checksMeter(moment: Moment, value: Value): ProbingStep {
  const last = lastCheckedMeter(moment.map.log);
  // The meter that was chosen on the bench is the one whose leads are held together; its range is what was set in the job.
  const meter = moment.profile ? { ...moment.profile, rangeOhms: last.rangeOhms } : last;
  const trouble = zeroTrouble(value, meter);
  if (trouble) return failsCheck(moment, value, trouble);
  const step = writes(moment, { kind: 'meter-checked', leadsTogether: value, meter });
  const high = zeroHigh(value, meter);
  return high ? { ...step, hands: { ...step.hands, message: high } } : step;
}

/** All clips are touched: the silent ones are put on again, and touched again; before they come off, what they parted is asked again. */
export function touchesClips(moment: Moment, silent: readonly TerminalId[]): ProbingStep {
  const { task, map } = moment;
  const touch = task?.kind === 'clips' ? clipTouch(map, task.prompt?.ask ?? null, silent) : null;
  if (task?.kind !== 'clips' || !touch) return stays(moment);
  const { closing } = task.change;
  const step = writes(moment, touch);
  if (silent.length === 0) return step;
  const code = closing ? 'clips-were-silent' : 'clips-silent';
  return { ...step, hands: { ...step.hands, message: { code, terminals: silent } } };
}

/** What the meter is asked for the task as a whole; null where nothing is to be measured. */
export function wholeMeasurement(moment: Moment): Measurement | null {
  const { task, many } = moment;
  const name = nameOfTask(moment);
  if (task?.kind === 'plan')
    return task.plan.kind === 'check-meter'
      ? { task: name, wants: 'the-zero', probes: [{ key: null, probe: { kind: 'leads-together' } }] }
      : null;
  if (task?.kind === 'clips')
    return {
      task: name,
      wants: 'the-clips',
      probes: task.change.touch.map((terminal) => ({ key: terminal, probe: { kind: 'clip', terminal } })),
    };
  if (many) return { task: name, wants: 'the-rest', probes: probesOf(many, moment.found) };
  if (task?.kind === 'correct') {
    const { setting, red, black, fromOtherSide = false } = task.reading;
    return {
      task: name,
      wants: 'the-pair',
      probes: [{ key: null, probe: { kind: 'pair', setting, red, black, fromOtherSide } }],
    };
  }
  if (task?.kind !== 'prompt') return null;
  return { task: name, wants: 'the-pair', probes: probesOf(task.prompt.ask, moment.found) };
}

/** What an ask is for and was not found yet. */
function probesOf(ask: Ask, found: Found): Measurement['probes'] {
  return readingsAsked(ask)
    .filter(({ key }) => !found.has(key))
    .map(({ key, setting, red, black, fromOtherSide = false }) => ({
      key,
      probe: { kind: 'pair', setting, red, black, fromOtherSide } satisfies Probe,
    }));
}

/** One touch or one position of a prompt that is answered by several, by the meter. */
export function measuresOne(moment: Moment, of: TerminalId | SettingId): ProbingStep {
  const { many } = moment;
  const probe = many && probesOf(many, moment.found).find(({ key }) => key === of);
  return probe
    ? asksMeter(moment, { task: nameOfTask(moment), wants: 'one-touch', probes: [probe] })
    : stays(moment);
}

/** What the meter said; dropped where the hands have gone on to something else meanwhile. */
export function takesMeasured(moment: Moment, { measurement, values }: Measured, means: Means): ProbingStep {
  const { meter, map } = moment;
  if (measurement.task !== nameOfTask(moment) || meter === null) return stays(moment);
  const { probes, wants } = measurement;
  if (wants === 'the-rest')
    return finishes(moment, null, withMeasured(moment.found, probes, values), meter, means);
  const [first] = values.values();
  if (!first) return stays(moment);
  switch (wants) {
    case 'the-zero':
      return checksMeter(moment, first);
    case 'the-pair':
      return answersPair(moment, first, meter, means);
    case 'one-touch': {
      const key = probes[0]?.key;
      return key ? sets(moment, key, first) : stays(moment);
    }
    case 'the-clips': {
      const check = lastCheck(map.log);
      const silent = [...values].flatMap(([place, value]) =>
        isJoin(value, check) ? [] : [probes[place]?.key],
      );
      return touchesClips(
        moment,
        silent.filter((id): id is TerminalId => id !== undefined && id !== null),
      );
    }
  }
}
