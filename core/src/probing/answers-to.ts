import { frameAsk, returnSweep, returnWanted } from '../planner/index.js';
import { lastCheck } from '../sense/index.js';
import { ACTS_OF, type Lead } from '../log/index.js';
import type { TerminalId } from '../switch/index.js';
import type { Act } from './act.js';
import type { Moment } from './moment.js';
import { heldByEar } from './capture/hears-for.js';
import { heldByWire } from './capture/wired.js';
import { settlingOf } from './settling.js';
import { isJoin } from './task.js';

/** What an answer is called, as a code. */
export type Label =
  | { code: PlainLabel }
  | { code: 'sounded-done' | 'read-done' | 'silent-clips'; count: number }
  | { code: 'read-again'; red: Lead; black: Lead };

export type PlainLabel =
  | 'take-it'
  | 'it-sounds'
  | 'done'
  | 'none'
  | 'all-over-range'
  | 'silent'
  | 'handle-there'
  | 'over-range'
  | 'all-sounded'
  | 'touch-each'
  | 'sweep-with-meter'
  | 'turn-with-meter'
  | 'probe'
  | 'measure'
  | 'skip'
  | 'flickers'
  | 'cannot-reach'
  | 'other-side'
  | 'new-position'
  | 'hit-the-stop'
  | 'back-at-start'
  | 'ask-them-now'
  | 'go-on-to-everything'
  | 're-check'
  | 'way-back'
  | 'all-to-frame'
  | 'wires-are-off'
  | 'read-them-again'
  | 'off-already'
  | 'undo';

/** An answer that the hands can give now. */
export interface Answer {
  act: Act;
  label: Label;
  /** The key that gives it, by the browser's name; null: it has none. */
  key: string | null;
  /** The main answer, one beside it, one of a row of small ones, or a way on once all is done. */
  look: 'main' | 'beside' | 'small' | 'way-on';
  off?: boolean;
  pressed?: boolean;
}

const plain = (code: PlainLabel): Label => ({ code });

const undoAnswer = ({ map }: Moment): Answer => ({
  act: { do: 'undo' },
  label: plain('undo'),
  key: 'Backspace',
  look: 'beside',
  off: !map.log.undo.some(({ what }) => ACTS_OF.map.has(what.kind)),
});

const yesAnswer = ({ hands }: Moment, label: Label): Answer => ({
  act: { do: 'yes' },
  label: hands.typed === '' ? label : plain('take-it'),
  key: 'Enter',
  look: 'main',
});

const noAnswer = (code: PlainLabel, off = false): Answer => ({
  act: { do: 'no' },
  label: plain(code),
  key: ' ',
  look: 'beside',
  off,
});

const skipAnswer: Answer = {
  act: { do: 'skip', reason: 'later' },
  label: plain('skip'),
  key: 'ArrowDown',
  look: 'beside',
};

/**
 * Every answer that the hands can give now, the main one first. What is shown, pressed, told and heard comes from here.
 * @example
 * const map = deriveMap(bench(3, 1).events);
 * const scene = { map, plan: { kind: 'check-meter', why: 'never' }, open: true, inCircuit: false, meter: null, clicks: null, pedals: false };
 * answersTo(momentOf(scene, idleHands('tone')))[0].act.do // => 'yes'
 */
export function answersTo(moment: Moment): Answer[] {
  const { task } = moment;
  const undo = undoAnswer(moment);
  switch (task?.kind) {
    case undefined:
      return [undo];
    case 'plan':
      return [...planAnswers(moment), ...(skipsUndo(moment) ? [] : [undo]), ...waysOn(moment)];
    case 'clips':
      return [
        yesAnswer(moment, clipsLabel(moment)),
        task.change.closing ? offAlready(moment, task.change.touch) : skipAnswer,
        undo,
      ];
    case 'correct':
      return [...valueAnswers(moment), undo];
    case 'prompt':
      return [...valueAnswers(moment), ...skipping(moment), undo];
  }
}

/** Before the first check there is nothing to take back. */
const skipsUndo = ({ task }: Moment): boolean =>
  task?.kind === 'plan' && task.plan.kind === 'check-meter' && task.plan.why === 'first';

/** The clips came off before anyone touched them: what read open through them is asked again. */
const offAlready = ({ map }: Moment, clips: readonly TerminalId[]): Answer => ({
  act: {
    do: 'doubt-clips',
    uses: map.clips.uses.filter(({ standing, terminal }) => standing === 'on' && clips.includes(terminal)),
  },
  label: plain('off-already'),
  key: null,
  look: 'beside',
});

function clipsLabel({ meter, found }: Moment): Label {
  if (meter !== null) return plain('touch-each');
  return found.size === 0 ? plain('all-sounded') : { code: 'silent-clips', count: found.size };
}

/** What can be said of the value that is asked. */
function valueAnswers(moment: Moment): Answer[] {
  const { many, meter, hands, found, map } = moment;
  if (meter !== null) {
    const whole = many && (many.kind === 'sweep' ? 'sweep-with-meter' : 'turn-with-meter');
    return [yesAnswer(moment, plain(whole ?? 'probe'))];
  }
  if (many && moment.ear)
    return [{ ...noAnswer(heldByEar(moment) ? 'handle-there' : 'silent'), look: 'main' }];
  if (many && moment.wired)
    return [{ ...noAnswer(heldByWire(moment) ? 'handle-there' : 'over-range'), look: 'main' }];
  if (many) {
    const check = lastCheck(map.log);
    const count = [...found.values()].filter((value) => isJoin(value, check)).length;
    if (hands.sense === 'ohms') {
      const read: Label = found.size === 0 ? plain('done') : { code: 'read-done', count: found.size };
      return [yesAnswer(moment, read), noAnswer('all-over-range', found.size > 0)];
    }
    const label: Label = count === 0 ? plain('done') : { code: 'sounded-done', count };
    return [yesAnswer(moment, label), noAnswer('none', found.size > 0)];
  }
  const takesYes = hands.sense === 'tone' || hands.typed !== '';
  return [
    ...(takesYes ? [yesAnswer(moment, plain('it-sounds'))] : []),
    noAnswer(hands.sense === 'tone' ? 'silent' : 'over-range'),
  ];
}

/** Not now, not at all, not steady, or from the other side. */
function skipping({ task }: Moment): Answer[] {
  const pair = task?.kind === 'prompt' && task.prompt.ask.kind === 'pair' ? task.prompt.ask : null;
  const other: Answer = {
    act: { do: 'other-side' },
    label: plain('other-side'),
    key: '<',
    look: 'small',
    pressed: pair?.fromOtherSide === true,
  };
  return [
    skipAnswer,
    { act: { do: 'flickers' }, label: plain('flickers'), key: '~', look: 'small' },
    { act: { do: 'skip', reason: 'cannot-reach' }, label: plain('cannot-reach'), key: null, look: 'small' },
    ...(pair ? [other] : []),
  ];
}

const main = (act: Act, code: PlainLabel): Answer => ({ act, label: plain(code), key: null, look: 'main' });

/** What can be said where the plan asks for no reading. */
function planAnswers(moment: Moment): Answer[] {
  const { task, meter, hands, map } = moment;
  if (task?.kind !== 'plan') return [];
  switch (task.plan.kind) {
    case 'check-meter': {
      const tone = hands.sense === 'tone';
      const yes = yesAnswer(moment, plain(meter === null ? 'it-sounds' : 'measure'));
      return [
        ...(meter !== null || tone || hands.typed !== '' ? [yes] : []),
        ...(task.plan.why !== 'first' && meter === null ? [noAnswer(tone ? 'silent' : 'over-range')] : []),
      ];
    }
    case 'find-position':
      return [
        {
          act: { do: 'click-on' },
          label: plain('new-position'),
          key: moment.ear ? ' ' : 'ArrowRight',
          look: 'main',
        },
        { act: { do: 'close-list', by: 'stop' }, label: plain('hit-the-stop'), key: 'End', look: 'beside' },
        {
          act: { do: 'close-list', by: 'round' },
          label: plain('back-at-start'),
          key: 'Home',
          look: 'beside',
        },
      ];
    case 'skipped-left':
      return [main({ do: 'ask-skipped' }, 'ask-them-now')];
    case 'named-pairs-done':
    case 'working-pairs-done':
      return [main({ do: 'approach', change: { extent: 'everything' } }, 'go-on-to-everything')];
    case 'in-circuit-left':
      return [main({ do: 'wires-off' }, 'wires-are-off')];
    case 'clips-unproved':
      return [main({ do: 'doubt-clips', uses: task.plan.uses }, 'read-them-again')];
    case 'prove-clips':
      return [];
    case 'done':
      return [main({ do: 'recheck' }, 're-check')];
    case 'rechecked':
    case 'not-rechecked':
    case 'left-not-known':
      return [];
    case 'disputed':
    case 'look-again': {
      const settling = settlingOf(map, task);
      if (!settling) return [];
      return [yesAnswer(moment, { code: 'read-again', red: settling.red, black: settling.black })];
    }
  }
}

/** Once all is settled: back through the positions, and all lugs against the frame. */
function waysOn({ task, map }: Moment): Answer[] {
  if (task?.kind !== 'plan' || !['done', 'rechecked', 'not-rechecked'].includes(task.plan.kind)) return [];
  const frame = frameAsk(map);
  const back = !returnWanted(map) && returnSweep(map).left.length > 0;
  return [
    ...(back ? [{ ...main({ do: 'way-back' }, 'way-back'), look: 'way-on' as const }] : []),
    ...(frame ? [{ ...main({ do: 'ask', ask: frame }, 'all-to-frame'), look: 'way-on' as const }] : []),
  ];
}
