import { approachOf } from '../planner/index.js';
import { lastCheck } from '../sense/index.js';
import {
  ACTS_OF,
  lastChange,
  redoDeed,
  sameAsk,
  undoDeed,
  withdrawDeed,
  type Deed,
  type Value,
} from '../log/index.js';
import { addedPosition, addedTerminal, type StructureChange } from '../switch/index.js';
import type { Act, ActName, ActOf } from './act.js';
import {
  answersPair,
  answersTouch,
  checksMeter,
  failsCheck,
  finishes,
  takesMeasured,
  touchesClips,
  wholeMeasurement,
} from './answering.js';
import { idleHands, type ProbingHands } from './hands.js';
import { wantedAsk, type Moment } from './moment.js';
import { settlingOf } from './settling.js';
import {
  asksMeter,
  handsAre,
  saysOnly,
  sets,
  shows,
  stays,
  writes,
  type Doing,
  type Means,
  type ProbingStep,
} from './step.js';
import { impliedIn, isJoin, nextTouch } from './task.js';
import { asksPair, checkingMeter, touches, touchesSetting, turnsTo } from './touching.js';
import { commits, types } from './typing.js';

/** A beep that the ear took, or a pedal beside it; else what the person says. */
const sourceOf = ({ ear }: Moment, act: ActOf<'yes' | 'no' | 'step'>): 'heard' | 'typed' =>
  act.heard || (ear && act.do !== 'yes') ? 'heard' : 'typed';

/** The main answer: done, it sounds, what was typed, or what the meter says. */
const yes: Doing<ActOf<'yes'>> = (moment, act, means) => {
  const { hands, task, many, meter, found, map } = moment;
  if (hands.typed !== '') return commits(moment, means);
  const settling = settlingOf(map, task);
  if (settling) return advance(moment, settling.act, means);
  const measurement = meter === null ? null : wholeMeasurement(moment);
  if (measurement) return asksMeter(moment, measurement);
  if (checkingMeter(moment))
    return hands.sense === 'tone'
      ? checksMeter(moment, moment.sounded)
      : saysOnly(moment, { code: 'type-the-zero' });
  if (task?.kind === 'clips')
    return touchesClips(
      moment,
      task.change.touch.filter((id) => found.has(id)),
    );
  if (many)
    return found.size === 0
      ? saysOnly(moment, { code: 'nothing-tapped' })
      : finishes(moment, moment.none, found, sourceOf(moment, act), means);
  if (task?.kind !== 'prompt' && task?.kind !== 'correct') return stays(moment);
  return hands.sense === 'tone'
    ? answersPair(moment, moment.sounded, sourceOf(moment, act), means)
    : saysOnly(moment, { code: 'type-the-value' });
};

/** None sounded; open. By ear the pedal also says that the handle clicked on to a new position. */
const no: Doing<ActOf<'no'>> = (moment, act, means) => {
  if (moment.ear && moment.task?.kind === 'plan' && moment.task.plan.kind === 'find-position')
    return advance(moment, { do: 'click-on' }, means);
  // By ear one lug after the other is asked, whatever the pedal is.
  if ((moment.ear || moment.wired) && moment.stepAt !== null && moment.hands.typed === '')
    return advance(moment, { do: 'step', sounded: false }, means);
  const { hands, task, many, found, none } = moment;
  if (hands.typed !== '') return commits(moment, means);
  if (task?.kind === 'clips') return saysOnly(moment, { code: 'tap-silent-clips' });
  if (many)
    return found.size > 0
      ? saysOnly(moment, { code: 'some-tapped' })
      : finishes(moment, none, found, sourceOf(moment, act), means);
  if (checkingMeter(moment)) return failsCheck(moment, none, { code: 'zero-silent' });
  return answersPair(moment, none, sourceOf(moment, act), means);
};

/** A pedal steps through a sweep touch by touch, or through the positions of a held pair; the last one ends it. */
const step: Doing<ActOf<'step'>> = (moment, act, means) => {
  const { sounded, heard, flickered } = act;
  const { stepAt, many, hands, found, map, prompt } = moment;
  const unsteady: Value | null = flickered ? { kind: 'unsteady' } : null;
  if ((stepAt === null || !many) && unsteady) return answersPair(moment, unsteady, 'heard', means);
  if (stepAt === null || !many)
    return advance(moment, { do: sounded ? 'yes' : 'no', ...(heard && { heard }) }, means);
  if (hands.typed !== '') return commits(moment, means);
  const value = unsteady ?? (sounded ? moment.sounded : moment.none);
  const next = new Map(found).set(stepAt, value);
  const more = nextTouch(many, next, impliedIn(map, prompt, next)) !== null;
  return more
    ? sets(moment, stepAt, value)
    : finishes(moment, moment.none, next, sourceOf(moment, act), means);
};

/** What a meter on a wire says of the touch that is asked; the last one of a sweep ends it. */
const takes: Doing<ActOf<'takes'>> = (moment, { value }, means) => {
  const { map, task } = moment;
  if (checkingMeter(moment)) return checksMeter(moment, value);
  if (task?.kind === 'clips')
    return touchesClips(moment, isJoin(value, lastCheck(map.log)) ? [] : task.change.touch);
  return answersTouch(moment, value, 'meter', means);
};

/** A whole sweep as it was heard; only of the prompt that it was heard for, and of lugs that it asks. */
const sweptAs: Doing<ActOf<'swept'>> = (moment, { prompt: heardFor, sounded }, means) => {
  const { prompt, many, hands } = moment;
  const asked = prompt?.ask.kind === 'sweep' ? prompt.ask.black : [];
  const fits = prompt?.id === heardFor && many !== null && hands.sense === 'tone';
  if (!fits || !sounded.every((id) => asked.includes(id))) return stays(moment);
  const found = new Map(sounded.map((id) => [id, moment.sounded]));
  return finishes(moment, moment.none, found, 'heard', means);
};

/** Takes back the last touch of a sweep, else the last act. */
const stepBack: Doing<ActOf<'step-back'>> = (moment, _, means) => {
  const last = [...moment.found.keys()].at(-1);
  return moment.many && last !== undefined
    ? sets(moment, last, null)
    : advance(moment, { do: 'undo' }, means);
};

/** Leaves what was begun; with nothing begun, goes from a pair of one's own choice back to the plan. */
const escape: Doing<ActOf<'escape'>> = (moment, _, means) => {
  const { hands, found, prompt, plan } = moment;
  const begun =
    hands.typed !== '' || found.size > 0 || hands.picking || hands.again.readings.length > 0 || hands.message;
  if (begun) return handsAre(moment, idleHands(hands.sense));
  const own = prompt?.ask.kind === 'pair' && plan?.kind === 'ask' && !sameAsk(prompt.ask, plan.ask);
  return own ? shows(moment, plan.ask, means) : stays(moment);
};

/** The same pair thought of once more: the handle comes from the other side, or from the usual one again. */
const otherSide: Doing<ActOf<'other-side'>> = (moment, _, means) => {
  if (moment.task?.kind !== 'prompt') return stays(moment);
  const { ask } = moment.task.prompt;
  if (ask.kind !== 'pair') return saysOnly(moment, { code: 'one-pair-only' });
  const { kind, setting, red, black } = ask;
  return shows(
    moment,
    { kind, setting, red, black, ...(!ask.fromOtherSide && { fromOtherSide: true }) },
    means,
  );
};

const skip: Doing<ActOf<'skip'>> = (moment, { reason }) => {
  const { task } = moment;
  const prompt = task?.kind === 'prompt' || task?.kind === 'clips' ? task.prompt : null;
  return prompt ? writes(moment, { kind: 'skipped', prompt, reason }) : stays(moment);
};

const restructures = (moment: Moment, change: StructureChange): ProbingStep =>
  writes(moment, { kind: 'restructured', change, basedOn: lastChange(moment.map.log.ordered) });

const clickOn: Doing<ActOf<'click-on'>> = (moment, _, { newId }) => {
  const { map, clicks } = moment;
  const handle = map.structure.actuators[0];
  if (!handle) return stays(moment);
  if (clicks !== null && handle.positions.length >= clicks) return saysOnly(moment, { code: 'at-its-stop' });
  return restructures(moment, addedPosition(map.structure, handle, 'first-setting', newId));
};

const closeList: Doing<ActOf<'close-list'>> = (moment, { by }) => {
  const { map, clicks } = moment;
  const handle = map.structure.actuators[0];
  if (!handle) return stays(moment);
  if (clicks !== null && handle.positions.length < clicks) return saysOnly(moment, { code: 'clicks-on' });
  return restructures(moment, { change: 'positions-closed', actuator: handle.id, by });
};

/** One more lug may turn up in the middle of a sweep: what was tapped stays. */
const addLug: Doing<ActOf<'add-lug'>> = (moment, _, { newId }) => ({
  ...stays(moment),
  deeds: restructures(moment, addedTerminal(moment.map.structure, newId)).deeds,
});

const takesBack = (moment: Moment, deed: Deed | null): ProbingStep => writes(moment, ...(deed ? [deed] : []));

/** What each act does. */
const DOINGS: { [Name in ActName]: Doing<ActOf<Name>> } = {
  yes,
  no,
  step,
  takes,
  swept: sweptAs,
  'step-back': stepBack,
  touch: (moment, { terminal }, means) => touches(moment, terminal, means),
  'touch-setting': (moment, { setting }) => touchesSetting(moment, setting),
  'turn-to': (moment, { setting }, means) => turnsTo(moment, setting, means),
  type: (moment, { text }) => types(moment, text),
  'type-instead': (moment, { text }) => handsAre(moment, { typed: text, message: null }),
  'rub-out': (moment) => handsAre(moment, { typed: moment.hands.typed.slice(0, -1) }),
  escape,
  undo: (moment) => takesBack(moment, undoDeed(moment.map.log, ACTS_OF.map)),
  redo: (moment) => takesBack(moment, redoDeed(moment.map.log, ACTS_OF.map)),
  skip,
  flickers: (moment, _, means) =>
    moment.many
      ? saysOnly(moment, { code: 'which-flickers' })
      : answersPair(moment, { kind: 'unsteady' }, 'typed', means),
  'other-side': otherSide,
  'pick-pair': ({ hands, ...moment }) =>
    handsAre({ ...moment, hands: idleHands(hands.sense) }, { picking: true, message: { code: 'pick-two' } }),
  'ask-pair': (moment, act, means) => asksPair(moment, act, means),
  ask: (moment, { ask }, means) => shows(moment, ask, means),
  correct: (moment, { reading }) =>
    handsAre(
      { ...moment, hands: idleHands(moment.hands.sense) },
      { again: { readings: [reading], replaces: true } },
    ),
  'click-on': clickOn,
  'close-list': closeList,
  'add-lug': addLug,
  sense: (moment, { sense }) => handsAre(moment, { sense }),
  range: (moment, { rangeOhms }) => ({ ...stays(moment), deeds: [{ kind: 'meter-ranged', rangeOhms }] }),
  approach: (moment, { change }) => ({
    ...stays(moment),
    deeds: [{ kind: 'approached', approach: { ...approachOf(moment.map), ...change } }],
  }),
  'ask-skipped': (moment) => {
    const { task } = moment;
    const skips = task?.kind === 'plan' && task.plan.kind === 'skipped-left' ? task.plan.skips : [];
    return { ...stays(moment), deeds: skips.map((target) => withdrawDeed(moment.map.log, target)) };
  },
  recheck: (moment) => ({ ...stays(moment), deeds: [{ kind: 'recheck-begun' }] }),
  'doubt-clips': (moment, { uses }) => ({
    ...stays(moment),
    deeds: [{ kind: 'clips-doubted', clips: uses.map(({ terminal, readings }) => ({ terminal, readings })) }],
  }),
  'way-back': (moment) => ({ ...stays(moment), deeds: [{ kind: 'return-begun' }] }),
  'wires-off': (moment) => ({ ...stays(moment), deeds: [{ kind: 'wires-off', off: true }] }),
  measured: (moment, { measured }, means) => takesMeasured(moment, measured, means),
  'go-on': (moment, _, { newId }) => {
    const ask = wantedAsk(moment);
    // A contact that is wanted in ohms is read so, whatever was the way before.
    const inOhms = moment.plan?.kind === 'ask' && moment.plan.reason === 'ohms';
    const hands: ProbingHands = inOhms ? { ...moment.hands, sense: 'ohms' } : moment.hands;
    return ask
      ? { ...stays({ ...moment, hands }), deeds: [{ kind: 'prompt-shown', prompt: { id: newId(), ask } }] }
      : stays(moment);
  },
};

/**
 * Does one act: what the hands are afterwards, what goes into the log, and what is wanted of the meter. Pure but for new ids.
 * @example
 * const map = deriveMap(bench(3, 1).events);
 * const scene = { map, plan: { kind: 'check-meter', why: 'never' }, open: true, inCircuit: false, meter: null, clicks: null, pedals: false };
 * const step = advance(momentOf(scene, idleHands('tone')), { do: 'yes' }, { newId: bench(2, 1).newId });
 * step.deeds[0].kind // => 'meter-checked'
 */
export function advance<Name extends ActName>(moment: Moment, act: ActOf<Name>, means: Means): ProbingStep {
  const doing = DOINGS[act.do as Name] as Doing<Act>;
  return doing(moment, act, means);
}
