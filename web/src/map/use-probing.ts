import { answerTo, approachOf, clipChangeFor, handleAt, plainPlan } from '@which-way/core/planner';
import { lastCheck } from '@which-way/core/sense';
import { safetyStanding } from '@which-way/core/safety';
import {
  lastCheckedMeter,
  sameAsk,
  wiresOffOf,
  firstSetting,
  readingsAsked,
  type Approach,
  type Ask,
  type Prompt,
  type Reading,
  type Value,
} from '@which-way/core/log';
import { type PromptId, type ReadingId, type SettingId, type TerminalId } from '@which-way/core/switch';
import { useMemo, useState } from 'react';
import { useJobState, useSession } from '../job/job-context.js';
import { newId } from '../job/new-id.js';
import { useShowing } from './use-showing.js';
import { useHandsFree } from './hands-free.js';
import { readEntry } from './entry.js';
import {
  asksAgain,
  betweenBands,
  comesFromOtherSide,
  impliedIn,
  isHeldAsk,
  isMany,
  lastReadInOhms,
  sameTask,
  shownPrompt,
  standsIn,
  taskOf,
  type Found,
  type Sense,
  type Task,
} from './task.js';
import { clipActs } from './clip-acts.js';
import { pedalSteps } from './pedal-steps.js';
import { reread } from './reread.js';
import { structureActs } from './structure-acts.js';
import { settlingOf } from './settling.js';
import { useInstrument, type InstrumentAt } from './use-instrument.js';
import type { DeskView } from './use-desk.js';
import { usePlan } from './use-plan.js';
import { zeroTrouble } from './zero.js';

/** Everything the Map screen shows and does. */
export type Probing = ReturnType<typeof useProbing>;

const NOTHING_TAPPED: Found = new Map();

interface Again {
  readings: readonly ReadingId[];
  replaces: boolean;
}
const NOTHING_AGAIN: Again = { readings: [], replaces: true };

/** The state of the hands: what is asked, what was tapped or typed so far, and what each answer does. */
export function useProbing(desk: DeskView, now: string) {
  const session = useSession();
  const map = useJobState((state) => state.map);
  const job = useJobState((state) => state.job);
  const hidden = job?.simulation ?? null;
  const outOfMachine = job?.outOfMachine ?? false;
  const open = useMemo(() => safetyStanding(map.log, outOfMachine).open, [map.log, outOfMachine]);
  const inCircuit = useMemo(() => !(outOfMachine || wiresOffOf(map.log) === true), [map.log, outOfMachine]);
  const [sense, setSense] = useState<Sense>(() => (hidden || lastReadInOhms(map) ? 'ohms' : 'tone'));
  const [tapped, setTapped] = useState<{ prompt: PromptId; values: Found } | null>(null);
  const [typed, setTyped] = useState('');
  const [message, setMessage] = useState<string | null>(null);
  /** Readings to be read again; `replaces`: whatever is read now takes the old one’s place. */
  const [correcting, setCorrecting] = useState<Again>(NOTHING_AGAIN);
  const [picked, setPicked] = useState<TerminalId | null>(null);
  const [picking, setPicking] = useState(false);

  const prompt = useMemo(() => shownPrompt(map), [map]);
  const found = tapped && tapped.prompt === prompt?.id ? tapped.values : NOTHING_TAPPED;
  const handle = useMemo(() => handleAt(map), [map]);
  const plan = usePlan(map, handle, now, desk);
  const wrong = map.tape.find(
    ({ reading, standing }) => correcting.readings[0] === reading.id && standing === 'counts',
  )?.reading;
  const clips = useMemo(() => prompt && clipChangeFor(map, prompt.ask), [map, prompt]);
  const task = taskOf(wrong, plan, prompt, clips);
  const [shown, setShown] = useState<Task | null>(null);
  if (task && !(shown && sameTask(shown, task))) setShown(task);
  const at = wrong?.setting ?? handle;
  const instrumentAt = useInstrument(hidden, map, sense);
  const instrument = instrumentAt?.(at, task !== null && comesFromOtherSide(task)) ?? null;
  const many = task?.kind === 'prompt' && isMany(task.prompt.ask) ? task.prompt.ask : null;

  const clear = () => {
    setTapped(null);
    setTyped('');
    setMessage(null);
    setPicked(null);
    setPicking(false);
    setCorrecting(NOTHING_AGAIN);
  };
  const show = (ask: Ask) => {
    clear();
    session.emit({ kind: 'prompt-shown', prompt: { id: newId<PromptId>(), ask } });
  };
  const wanted = task === null && plan?.kind === 'ask' && open ? plan.ask : null;
  useShowing(wanted, map, session);

  const source = instrument ? 'simulated' : 'typed';
  const closedValue: Value = { kind: 'tone', sounded: true };
  const openValue: Value = sense === 'tone' ? { kind: 'tone', sounded: false } : { kind: 'over' };

  const implied = useMemo(() => impliedIn(map, prompt, found), [map, prompt, found]);

  /** Where skin or a film may lie across, the same pair is asked once more before its value counts. */
  const readAgain = (readings: readonly Reading[]) => {
    const check = lastCheck(map.log);
    const again = readings.filter(({ value }) => asksAgain(value, check) !== null);
    setCorrecting({ readings: again.map(({ id }) => id), replaces: false });
  };
  /** Ends a sweep or a turn: what was not found and does not follow was open, or is what the meter says. */
  const finish = (rest: Value | InstrumentAt, values = found) => {
    if (!prompt || !many) return;
    const all = new Map(values);
    for (const { setting, red, black, key } of readingsAsked(prompt.ask)) {
      if (all.has(key) || impliedIn(map, prompt, all).has(key)) continue;
      all.set(key, typeof rest === 'function' ? rest(setting).probe(red, black) : rest);
    }
    clear();
    const from = typeof rest === 'function' ? 'simulated' : 'typed';
    const answer = answerTo(prompt, { values: all, source: from, inCircuit }, newId);
    session.emit(answer);
    if (many.kind !== 'bundle') readAgain(answer.readings);
  };
  const answerPair = (value: Value, from: 'typed' | 'simulated' = 'typed') => {
    if (task?.kind === 'correct') {
      const [, ...further] = correcting.readings;
      // What is still between closed and open stands beside the first.
      const beside = !correcting.replaces && betweenBands(value, lastCheck(map.log));
      clear();
      session.emit(...reread(task.reading, value, { source: from, inCircuit, beside }));
      setCorrecting({ readings: further, replaces: correcting.replaces });
    } else if (prompt?.ask.kind === 'pair') {
      const values = new Map([[prompt.ask.black, value]]);
      const answer = answerTo(prompt, { values, source: from, inCircuit }, newId);
      clear();
      session.emit(answer);
      readAgain(answer.readings);
    }
  };
  /** A first check that fails is only told; a later one puts what was read since the last good one in doubt. */
  const failCheck = (value: Value, trouble: string) => {
    setMessage(trouble);
    setTyped('');
    const why = plan?.kind === 'check-meter' ? plan.why : 'first';
    if (why === 'idle' || why === 'opens') session.emit({ kind: 'meter-failed', leadsTogether: value });
  };
  const checkMeter = (value: Value) => {
    const meter = lastCheckedMeter(map.log);
    const trouble = zeroTrouble(value, meter);
    if (trouble) return failCheck(value, trouble);
    clear();
    session.emit({ kind: 'meter-checked', leadsTogether: value, meter });
  };

  const setValue = (of: TerminalId | SettingId, value: Value | null) => {
    const next = new Map(found);
    if (value) next.set(of, value);
    else next.delete(of);
    if (prompt) setTapped({ prompt: prompt.id, values: next });
    setMessage(null);
  };
  const askPair = (red: TerminalId, black: TerminalId, setting: SettingId | null = at) => {
    if (setting) show({ kind: 'pair', setting, red, black });
  };
  const touch = (terminal: TerminalId) => {
    const label = map.structure.terminals.find(({ id }) => id === terminal)?.label ?? '';
    if (!picking && task?.kind === 'prompt' && task.prompt.ask.kind === 'sweep') {
      const { red, black } = task.prompt.ask;
      if (!black.includes(terminal)) {
        const why =
          terminal === red ? 'Red stays there' : `${label} is not in this sweep: it is known, or comes later`;
        return setMessage(`${why}. For a pair of your own choice press “Another pair” or type 1-2.`);
      }
      if (instrument)
        return setValue(terminal, found.has(terminal) ? null : instrument.probe([red], [terminal]));
      if (found.has(terminal)) return setValue(terminal, null);
      if (sense === 'ohms') return setTyped(`${label}=`);
      return setValue(terminal, closedValue);
    }
    if (task?.kind === 'plan' && task.plan.kind === 'check-meter')
      return setMessage('First hold the leads together.');
    if (!picking && task?.kind === 'clips') return touchClip(terminal);
    if (picked === null) {
      setPicking(true);
      setMessage(null);
      return setPicked(terminal);
    }
    if (picked === terminal) return setPicked(null);
    askPair(picked, terminal);
  };

  const { touchClip, clipsTouched } = clipActs({
    map, task, found, instrument, session, clear, setValue, setMessage,
  }); // prettier-ignore

  /** A position of a prompt that holds the leads: it sounded there; again: it did not. */
  const touchSetting = (setting: SettingId) => {
    if (!many || !isHeldAsk(many) || !many.settings.includes(setting))
      return setMessage('That position is not asked now: it is known, or comes later.');
    if (found.has(setting)) return setValue(setting, null);
    if (instrumentAt)
      return setValue(setting, instrumentAt(setting).probe([many.red].flat(), [many.black].flat()));
    const number = map.structure.settings.findIndex(({ id }) => id === setting) + 1;
    if (sense === 'ohms') return setTyped(`${number}=`);
    return setValue(setting, closedValue);
  };

  const commit = () => {
    const held = many !== null && isHeldAsk(many);
    const expects = task?.kind === 'clips' ? 'terminal' : held ? 'setting' : many ? 'terminal' : 'value';
    const entry = readEntry(typed, map.structure, expects);
    if (entry.kind === 'wrong') return setMessage(entry.message);
    setTyped('');
    if (entry.kind === 'pair') return typedPair(entry.red, entry.black, entry.value);
    if (entry.kind === 'setting')
      return entry.value && many && isHeldAsk(many) && many.settings.includes(entry.setting)
        ? setValue(entry.setting, entry.value)
        : touchSetting(entry.setting);
    if (entry.kind === 'terminal' && task?.kind === 'clips') return touchClip(entry.terminal);
    if (entry.kind === 'terminal') {
      const { ask } = (task as Extract<Task, { kind: 'prompt' }>).prompt;
      if (ask.kind === 'sweep' && !ask.black.includes(entry.terminal)) return touch(entry.terminal);
      return entry.value ? setValue(entry.terminal, entry.value) : touch(entry.terminal);
    }
    if (task?.kind === 'plan' && task.plan.kind === 'check-meter') return checkMeter(entry.value);
    if (task?.kind === 'plan')
      return setMessage('No value is asked now. Type two terminals, such as 1-2, to read a pair.');
    return answerPair(entry.value);
  };
  const typedPair = (red: TerminalId, black: TerminalId, value: Value | null) => {
    if (!at || (task?.kind === 'plan' && task.plan.kind === 'check-meter'))
      return setMessage('First hold the leads together.');
    if (!value) return askPair(red, black);
    const shown: Prompt = { id: newId<PromptId>(), ask: { kind: 'pair', setting: at, red, black } };
    const answer = answerTo(shown, { values: new Map([[black, value]]), source: 'typed', inCircuit }, newId);
    clear();
    session.emit({ kind: 'prompt-shown', prompt: shown }, answer);
    readAgain(answer.readings);
  };

  const correct = (id: ReadingId) => {
    clear();
    setCorrecting({ readings: [id], replaces: true });
  };
  const settling = settlingOf(map, task, correct, askPair);

  /** The main answer: done, it sounds, or what the simulated meter says. */
  const yes = () => {
    if (typed !== '') return commit();
    if (task?.kind === 'plan' && task.plan.kind === 'check-meter') {
      if (instrument) return checkMeter(instrument.leadsTogether());
      if (sense === 'tone') return checkMeter(closedValue);
      return setMessage('Type what the meter shows with the leads together, such as 0,2.');
    }
    if (task?.kind === 'plan' && settling) return settling.again();
    if (task?.kind === 'clips') return clipsTouched();
    if (many) {
      if (instrumentAt) return finish(instrumentAt);
      if (found.size === 0)
        return setMessage('Nothing is tapped. If none sounded, press Space; else tap those that did.');
      return finish(openValue);
    }
    const pair = task?.kind === 'correct' ? task.reading : task?.kind === 'prompt' ? task.prompt.ask : null;
    if (!pair) return undefined;
    if (instrument) {
      const [red, black] = [[pair.red].flat(), [pair.black].flat()];
      return answerPair(instrument.probe(red, black), 'simulated');
    }
    if (sense === 'tone') return answerPair(closedValue);
    return setMessage('Type what the meter shows, such as 0,3; or Space for OL.');
  };
  /** None sounded; open. */
  const no = () => {
    if (typed !== '') return commit();
    if (task?.kind === 'clips') return setMessage('Tap the clips that are silent, or type them; then Enter.');
    if (many) {
      if (found.size > 0)
        return setMessage('Some are tapped. Press Enter when they are all; or Escape to begin it again.');
      return finish(openValue);
    }
    if (task?.kind === 'plan' && task.plan.kind === 'check-meter') {
      return failCheck(
        openValue,
        'No sound with the leads together: look at the dial, the plugs and the battery, then try again.',
      );
    }
    if (task) answerPair(openValue);
    return undefined;
  };

  const undo = () => {
    clear();
    session.undo();
  };
  const pedals = useHandsFree().keys;
  const { stepAt, step, stepBack } = pedalSteps({
    map, prompt, many, found, implied, typed, yes, no, finish, commit, setValue, setMessage,
    pedals: pedals.yes !== null || pedals.no !== null, instrumentAt,
    values: [openValue, closedValue],
    undo,
  }); // prettier-ignore
  const { clickOn, closeList, addLug } = structureActs({ map, hidden, session, clear, setMessage });
  const skip = (reason: 'later' | 'cannot-reach' = 'later') => {
    if (task?.kind !== 'prompt' && task?.kind !== 'clips') return;
    clear();
    session.emit({ kind: 'skipped', prompt: task.prompt, reason });
  };
  /** The same pair once more thought of: the handle comes from the other side, or from the usual one again. */
  const otherSide = () => {
    if (task?.kind !== 'prompt') return;
    const { ask } = task.prompt;
    if (ask.kind !== 'pair')
      return setMessage('For one pair at a time: choose it with “Another pair”, then say so.');
    const { kind, setting, red, black } = ask;
    show({ kind, setting, red, black, ...(!ask.fromOtherSide && { fromOtherSide: true }) });
  };
  const turnTo = (setting: SettingId) => {
    if (many && isHeldAsk(many)) return touchSetting(setting);
    // Whoever turns to a position of their own choice wants what is left there, whatever would be quickest.
    const there = plainPlan(map, setting);
    if (there.kind === 'ask' && firstSetting(there.ask) === setting) return show(there.ask);
    setMessage('That position is settled. To read a pair there, tap its cell in the table.');
  };
  const escape = () => {
    if (typed !== '' || found.size > 0 || picking || correcting.readings.length > 0 || message)
      return clear();
    if (prompt?.ask.kind === 'pair' && plan?.kind === 'ask' && !sameAsk(prompt.ask, plan.ask)) show(plan.ask);
  };

  return {
    map, job, open, inCircuit, plan, now,
    /** What was shown last stays to be seen for the moment in which the next is thought of; it takes no answers. */
    task: task ?? (shown && standsIn(shown, map.structure) ? shown : null),
    busy: task === null,
    at, sense, found, typed, message, picked, picking, implied, instrument, source, many,
    setSense, setTyped, setMessage, touch, yes, no, skip, escape, clickOn, closeList, addLug, turnTo, askPair,
    touchSetting,
    step,
    stepBack,
    stepAt,
    otherSide,
    show,
    /** It flickers: of several, the one typed before it. */
    flickers: () => (many ? setMessage('Which one? Type it with ~, such as 9=~.') : answerPair({ kind: 'unsteady' })),
    /** Changes how it is mapped, from the next prompt on. */
    approach: (change: Partial<Approach>) => {
      session.emit({ kind: 'approached', approach: { ...approachOf(map), ...change } });
    },
    pickPair: () => {
      clear();
      setPicking(true);
      setMessage('Tap the first terminal for red, then the one for black.');
    },
    correct,
    settling,
    undo,
    redo: () => {
      clear();
      session.redo();
    },
  }; // prettier-ignore
}
