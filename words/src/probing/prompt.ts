import { plural, touches as countTouches } from '../plural.js';
import { settingMoveWords, workWord } from '../tag/handles.js';
import type { SwitchMap } from '@which-way/core/continuity';
import {
  mostLeftIn,
  suspectClips,
  handleLeftAt,
  holdsItself,
  type CheckDue,
  type RecheckCost,
} from '@which-way/core/planner';
import { lastCheck, type MiddleHint } from '@which-way/core/sense';
import type { ActuatorId, SettingId, TerminalId } from '@which-way/core/switch';
import { asAnswered, type Ask } from '@which-way/core/log';
import {
  asksAgain,
  isHeldAsk,
  settlingOf,
  type Moment,
  type Sense,
  type Task,
} from '@which-way/core/probing';
import { pairWords, settingName, shortSettingName, terminalList, terminalName } from '../terminals.js';
import { time } from '../time.js';
import {
  leftNotKnownWords,
  lookAgainWords,
  named,
  namedPairsWords,
  notRecheckedWords,
  clipsUnprovedWords,
  say,
  sayAt,
  workingPairsWords,
  type PromptWords,
} from './plan-words.js';

export type { PromptWords };

type PlanTask = Extract<Task, { kind: 'plan' }>;

/** The words of the present task. */
export function promptWords(
  { map, task, meter, hands, stepAt, ear, found }: Moment,
  recheck: RecheckCost | null,
): PromptWords {
  if (!task) return say('One moment', '');
  if (task.kind === 'correct') {
    const { reading } = task;
    const [red, black] = [named(map, reading.red[0]), named(map, reading.black[0])];
    const hint = asksAgain(reading.value, lastCheck(map.log));
    const why = hint ? AGAIN_WORDS[hint] : 'What you read now takes the old reading’s place.';
    return say(
      `Again: black to ${black}`,
      `red on ${red}, handle at ${settingName(map.structure, reading.setting)}${reading.fromOtherSide ? ', approached from the other side' : ''}. ${why}`,
      red,
    );
  }
  if (task.kind === 'clips') return clipsWords(map, task);
  if (task.kind === 'prompt') {
    const step = stepAt === null ? null : { name: touchName(map, stepAt), first: found.size === 0 };
    const words = askWords(map, task.prompt.ask, { sense: hands.sense, step: ear ? null : step });
    // By ear one lug after the other is asked: that is the biggest.
    if (ear && stepAt !== null) {
      const held = isHeldAsk(task.prompt.ask);
      const name = touchName(map, stepAt);
      return {
        ...words,
        big: held ? `Handle to ${name}` : `Touch ${name}`,
        small: `${words.big}. ${words.small.charAt(0).toUpperCase()}${words.small.slice(1)}`,
      };
    }
    return stepAt === null ? words : { ...words, small: `Now ${touchName(map, stepAt)}: ${words.small}` };
  }
  return planWords({ map, task, meter, hands }, recheck);
}

/** The words where the plan asks for no reading. */
function planWords(
  { map, task, meter, hands }: Pick<Moment, 'map' | 'meter' | 'hands'> & { task: PlanTask },
  recheck: RecheckCost | null,
): PromptWords {
  switch (task.plan.kind) {
    case 'check-meter':
      return say(
        task.plan.why === 'first' ? 'Hold the leads together' : 'Leads together again',
        `${CHECK_WORDS[task.plan.why]}${zeroWords(meter !== null, hands.sense)}`,
      );
    case 'find-position':
      return say(
        nextPositionWords(map, task.plan.actuator),
        'Does it click on to a new position, hit the stop, or come back to the start?',
      );
    case 'skipped-left':
      return say(
        task.plan.pairs === 1 ? 'One pair was skipped' : `${task.plan.pairs} pairs were skipped`,
        `${task.plan.pairs === 1 ? 'It is' : 'They are'} not known. Ask now, or leave it: then the map isn’t complete.`,
      );
    case 'in-circuit-left':
      return say(
        'Take the wires off',
        `${task.plan.pairs === 1 ? 'One pair' : `${task.plan.pairs} pairs`} closed with the wires on, which proves nothing: the circuit may be what conducts. Take them off, confirm, and it’s asked again.`,
      );
    case 'prove-clips':
      return closingWords(map, task.plan.clips);
    case 'clips-unproved':
      return clipsUnprovedWords(map, task.plan.uses);
    case 'disputed':
      return sayAt(
        map,
        task.plan.setting,
        `Readings disagree`,
        `At ${settingName(map.structure, task.plan.setting)}. ${doubtWords(map, task)}`,
      );
    case 'look-again':
      return lookAgainWords(map, task.plan);
    case 'left-not-known':
      return leftNotKnownWords(task.plan.pairs);
    case 'working-pairs-done':
      return workingPairsWords(task.plan.pairs);
    case 'named-pairs-done':
      return namedPairsWords(task.plan);
    case 'done':
      return say(
        'The map is complete',
        `Every pair is settled in every position. One wrong reading wouldn’t show yet: ${recheckWords(recheck)}`,
      );
    case 'not-rechecked':
      return notRecheckedWords(task.plan.pairs);
    case 'rechecked':
      return say(
        'Complete and re-checked',
        'Any single wrong reading would have shown. A fault of the set-up, such as a miscounted row, would not.',
      );
  }
}

/** The reading that is most in doubt, where there is one. */
function doubtWords(map: SwitchMap, task: Task): string {
  const settling = settlingOf(map, task);
  const clip = clipInDoubt(map, task);
  if (clip)
    return `Check the clip on ${terminalName(map.structure, clip)}: it may not be making contact. Read one in the panel again, or choose there what the clip did.`;
  return settling
    ? `Most in doubt: ${pairWords(map.structure, settling)}. Measure it again, or pick another from the panel.`
    : 'Each was read three times. Mark in the panel which one is wrong, or leave it: then the map isn’t complete.';
}

/** The clip that explains what the plan stopped at, the likeliest; null where none does. */
function clipInDoubt(map: SwitchMap, task: Task): TerminalId | null {
  if (task.kind !== 'plan' || task.plan.kind !== 'disputed') return null;
  const { setting } = task.plan;
  const contradictions = map.settings.get(setting)?.settled.contradictions ?? [];
  return contradictions.flatMap((one) => suspectClips(map, setting, one))[0]?.terminal ?? null;
}

const recheckWords = (cost: RecheckCost | null): string =>
  cost
    ? `the re-check takes ${countTouches(cost.touches)}, about ${time(cost.seconds)}.`
    : 'the re-check would show it.';

/** The terminal or the position that the hands are at while pedals step through several. */
const touchName = ({ structure }: SwitchMap, at: TerminalId | SettingId): string =>
  structure.settings.some(({ id }) => id === at)
    ? settingName(structure, at as SettingId)
    : terminalName(structure, at as TerminalId);

/** How one comes to the next position of a handle. */
function nextPositionWords({ structure }: SwitchMap, id: ActuatorId): string {
  const form = structure.actuators.find((actuator) => actuator.id === id)?.form;
  if (form === 'push' || form === 'push-push' || form === 'key-bank') return 'Press once more';
  if (form === 'pull' || form === 'push-pull') return 'Pull or push once more';
  if (form === 'trigger') return 'Squeeze one click further';
  return `${workWord(form) === 'Turn' ? 'Turn' : 'Move it'} one click on`;
}

/** Why the meter is checked again. */
const CHECK_WORDS: Record<CheckDue, string> = {
  first: '',
  failed: 'The last check failed. ',
  ranged: 'Another range has another zero. ',
  idle: 'No readings for a while: the meter may have gone to sleep. ',
  opens: 'Nothing joined for forty readings: a sleeping meter or a lead that is off reads the same. ',
};

function zeroWords(simulated: boolean, sense: Sense): string {
  if (simulated) return 'The first reading is the zero: the leads’ own ohms, subtracted from later readings.';
  return sense === 'tone'
    ? 'Dial on the beeper, red lead not in A. It must beep.'
    : 'Dial on ohms, red lead not in A. Type what it shows: it is subtracted from later readings.';
}

/** By which sense it is asked, and which touch or position now, where one is asked after the other. */
interface Asked {
  sense: Sense;
  step: { name: string; first: boolean } | null;
}

function askWords(map: SwitchMap, ask: Ask, how: Asked): PromptWords {
  if (isHeldAsk(ask)) return holdWords(map, ask, how);
  const red = named(map, ask.red);
  const place = settingName(map.structure, ask.setting);
  const back = ask.kind === 'pair' && ask.fromOtherSide;
  const turn = back
    ? `Past ${place}, then back to it from the other side`
    : handleLeftAt(map) === ask.setting
      ? null
      : settingMoveWords(map.structure, ask.setting, place);
  const black = terminalList(map.structure, ask.kind === 'sweep' ? ask.black : [ask.black]);
  const over = ask.kind === 'sweep' ? `black over ${black}` : `black to ${black}`;
  const last = map.tape.findLast(({ standing }) => standing === 'counts')?.reading;
  const stays = last?.red.length === 1 && last.red[0] === ask.red;
  return {
    turn,
    big: stays ? (ask.kind === 'sweep' ? `Sweep ${over}` : `Black to ${black}`) : `Red to ${red}, ${over}`,
    small: `${stays ? `red stays on ${red}; ` : ''}${heldWords(map, ask.setting) ?? `handle ${turn ? 'at' : 'stays at'} ${place}.`}`,
    red: stays ? red : null,
  };
}

/** A handle that springs back has to be held, and a hand may be short: how long, and that a clip helps. */
function heldWords(map: SwitchMap, setting: SettingId): string | null {
  const structure = asAnswered(map.structure, map.log, 'found');
  const at = structure.settings.find(({ id }) => id === setting)?.at ?? {};
  const held = structure.actuators.filter(({ id, positions }) =>
    positions.some((position) => position.id === at[id] && position.rests === 'momentary'),
  );
  if (held.length === 0) return null;
  const most = plural(mostLeftIn(map, setting).readings, 'reading');
  const name = settingName(structure, setting);
  if (holdsItself(map)) return `clamp the handle at ${name}; at most ${most}.`;
  return held.length > 1
    ? `hold both handles at ${name}, at most ${most}: clip black, two hands are not enough.`
    : `hold the handle at ${name}, it springs back; at most ${most}: a clip on red frees a hand.`;
}

/** Both leads stay, the handle is turned; with clips, which ones change first. */
function holdWords(
  map: SwitchMap,
  ask: Extract<Ask, { kind: 'turn' | 'bundle' }>,
  { sense, step }: Asked,
): PromptWords {
  const { structure } = map;
  const [red, black] = [[ask.red].flat(), [ask.black].flat()];
  const list = (ids: readonly TerminalId[]) => terminalList(structure, ids);
  const last = map.tape.findLast(({ standing }) => standing === 'counts')?.reading;
  const places = ask.settings.map((id) => shortSettingName(structure, id)).join(', ');
  const [only, ...more] = ask.settings;
  const stays = (lead: readonly TerminalId[], before: readonly TerminalId[] | undefined) =>
    before?.join() === lead.join();
  // Clips are on by then: see the step before.
  const moves = [
    ...(red.length > 1 || stays(red, last?.red) ? [] : [`Red to ${list(red)}`]),
    ...(black.length > 1 || stays(black, last?.black) ? [] : [`black to ${list(black)}`]),
  ].join(', ');
  const hands = `${moves[0]?.toUpperCase() ?? ''}${moves.slice(1)}`;
  const held =
    ask.kind === 'bundle'
      ? `Tied on red: ${list(red)}${black.length > 1 ? `; on black: ${list(black)}` : ''}.`
      : `Red on ${list(red)}, black on ${list(black)}.`;
  if (only && more.length === 0) {
    const place = settingName(structure, only);
    const there = handleLeftAt(map) === only;
    return {
      turn: there ? null : settingMoveWords(structure, only, place),
      big: moves === '' ? (sense === 'ohms' ? 'What does it read?' : 'Does it beep?') : hands,
      small: `${held} Handle ${there ? 'stays at' : 'at'} ${place}.`,
      red: null,
    };
  }
  const work = workWord(structure.actuators[0]?.form);
  const asks = sense === 'ohms' ? `${work}: what does it read?` : `${work}: which beeped?`;
  const small = `Handle through ${places}. ${held}`;
  // In ohms one position is read after the other: what the hand does now is the biggest.
  if (sense === 'ohms' && step)
    return {
      turn: null,
      big: step.first && moves !== '' ? hands : `Handle to ${step.name}`,
      small,
      red: null,
    };
  return {
    turn: null,
    big: moves === '' ? asks : `${hands}. ${asks}`,
    small,
    red: null,
  };
}

/** Which clips come off and which go on, in that order, and that each new one is touched once. */
function clipsWords(map: SwitchMap, { prompt, change }: Extract<Task, { kind: 'clips' }>): PromptWords {
  const list = (ids: readonly TerminalId[]) => terminalList(map.structure, ids);
  const { off, on, touch, closing } = change;
  if (closing) return closingWords(map, touch);
  const put = [
    ...(on.red.length > 0 ? [`red clips on ${list(on.red)}`] : []),
    ...(on.black.length > 0 ? [`black clips on ${list(on.black)}`] : []),
  ].join(', ');
  const lone = prompt && [prompt.ask.red].flat().length > 1 ? 'black' : 'red';
  const each =
    touch.length === 1 ? 'It must beep' : 'Each must beep: one dead clip spoils every reading made with it';
  return {
    turn: off.length > 0 ? `Take off the clips on ${list(off)}` : null,
    big: put === '' ? `Clip ${list(touch)} on again` : `${put[0]?.toUpperCase()}${put.slice(1)}`,
    small: `Then touch ${lone} to ${list(touch)}. ${each}. Tap one that is silent.`,
    red: null,
  };
}

/** Clips that are to come off are touched once more first. */
function closingWords(map: SwitchMap, touch: readonly TerminalId[]): PromptWords {
  const clips = terminalList(map.structure, touch);
  const lone = map.clips.now.red.length > 0 ? 'black' : 'red';
  return {
    turn: null,
    big:
      touch.length === 1 ? `Touch the clip on ${clips} once more` : `Touch the clips on ${clips} once more`,
    small: `Before you take clips off: touch ${lone} to the bare lug and wiggle the clip. It must still beep; tap any that is silent.`,
    red: null,
  };
}

/** What to do before a value between closed and open is read again. */
const AGAIN_WORDS: Record<MiddleHint, string> = {
  'work-the-contact': 'Work the handle ten strokes first.',
  'hands-off-the-tips': 'Hands off the tips, one lead clipped, dry.',
  'a-part-or-film': '',
};
