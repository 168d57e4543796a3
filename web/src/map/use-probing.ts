import { answerTo, approachOf, handleAt, plainPlan } from '@which-way/core/planner';
import { safetyStanding } from '@which-way/core/safety';
import {
  lastCheckedMeter,
  newPosition,
  newTerminal,
  sameAsk,
  settingAt,
  wiresOffOf,
  firstSetting,
  readingsAsked,
  type Approach,
  type Ask,
  type ClosedBy,
  type Prompt,
  type PromptId,
  type Reading,
  type ReadingId,
  type SettingId,
  type TerminalId,
  type Value,
} from '@which-way/core/switch';
import { useEffect, useMemo, useState } from 'react';
import { useJobState, useSession } from '../job/job-context.js';
import { newId } from '../job/new-id.js';
import { readEntry } from './entry.js';
import {
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
import { useInstrument, type InstrumentAt } from './use-instrument.js';
import type { DeskView } from './use-desk.js';
import { usePlan } from './use-plan.js';
import { zeroTrouble } from './zero.js';

/** Everything the Map screen shows and does. */
export type Probing = ReturnType<typeof useProbing>;

const NOTHING_TAPPED: Found = new Map();

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
  const [correcting, setCorrecting] = useState<ReadingId | null>(null);
  const [picked, setPicked] = useState<TerminalId | null>(null);
  const [picking, setPicking] = useState(false);

  const prompt = useMemo(() => shownPrompt(map), [map]);
  const found = tapped && tapped.prompt === prompt?.id ? tapped.values : NOTHING_TAPPED;
  const handle = useMemo(() => handleAt(map), [map]);
  const plan = usePlan(map, handle, now, desk);
  const wrong = map.tape.find(
    ({ reading, standing }) => reading.id === correcting && standing === 'counts',
  )?.reading;
  const task = taskOf(wrong, plan, prompt);
  const [shown, setShown] = useState<Task | null>(null);
  if (task && !(shown && sameTask(shown, task))) setShown(task);
  const at = wrong?.setting ?? handle;
  const instrumentAt = useInstrument(hidden, map, sense);
  const instrument = instrumentAt?.(at) ?? null;
  const many = task?.kind === 'prompt' && isMany(task.prompt.ask) ? task.prompt.ask : null;

  const clear = () => {
    setTapped(null);
    setTyped('');
    setMessage(null);
    setPicked(null);
    setPicking(false);
    setCorrecting(null);
  };
  const show = (ask: Ask) => {
    clear();
    session.emit({ kind: 'prompt-shown', prompt: { id: newId<PromptId>(), ask } });
  };
  const wanted = task === null && plan?.kind === 'ask' && open ? plan.ask : null;
  useEffect(() => {
    if (wanted) session.emit({ kind: 'prompt-shown', prompt: { id: newId<PromptId>(), ask: wanted } });
  }, [wanted, session]);

  const source = instrument ? 'simulated' : 'typed';
  const closedValue: Value = { kind: 'tone', sounded: true };
  const openValue: Value = sense === 'tone' ? { kind: 'tone', sounded: false } : { kind: 'over' };

  const implied = useMemo(() => impliedIn(map, prompt, found), [map, prompt, found]);

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
    session.emit(answerTo(prompt, { values: all, source: from, inCircuit }, newId));
  };
  const answerPair = (value: Value, from: 'typed' | 'simulated' = 'typed') => {
    if (task?.kind === 'correct') {
      const replacement: Reading = { ...task.reading, id: newId<ReadingId>(), value };
      clear();
      session.emit({ kind: 'superseded', reading: task.reading.id, replacement, source: from });
    } else if (prompt?.ask.kind === 'pair') {
      const values = new Map([[prompt.ask.black, value]]);
      clear();
      session.emit(answerTo(prompt, { values, source: from, inCircuit }, newId));
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
    if (picked === null) {
      setPicking(true);
      setMessage(null);
      return setPicked(terminal);
    }
    if (picked === terminal) return setPicked(null);
    askPair(picked, terminal);
  };

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
    const expects = many ? (isHeldAsk(many) ? 'setting' : 'terminal') : 'value';
    const entry = readEntry(typed, map.structure, expects);
    if (entry.kind === 'wrong') return setMessage(entry.message);
    setTyped('');
    if (entry.kind === 'pair') return typedPair(entry.red, entry.black, entry.value);
    if (entry.kind === 'setting')
      return entry.value && many && isHeldAsk(many) && many.settings.includes(entry.setting)
        ? setValue(entry.setting, entry.value)
        : touchSetting(entry.setting);
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
    clear();
    session.emit(
      { kind: 'prompt-shown', prompt: shown },
      answerTo(shown, { values: new Map([[black, value]]), source: 'typed', inCircuit }, newId),
    );
  };

  /** The main answer: done, it sounds, or what the simulated meter says. */
  const yes = () => {
    if (typed !== '') return commit();
    if (task?.kind === 'plan' && task.plan.kind === 'check-meter') {
      if (instrument) return checkMeter(instrument.leadsTogether());
      if (sense === 'tone') return checkMeter(closedValue);
      return setMessage('Type what the meter shows with the leads together, such as 0,2.');
    }
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

  const actuator = map.structure.actuators[0];
  const clickOn = () => {
    if (!actuator) return;
    if (hidden && actuator.positions.length >= hidden.positions.length) {
      return setMessage('The simulated handle does not move: it is at its stop.');
    }
    const position = newPosition(null, newId);
    // Other handles stay where they are in the first setting.
    const fresh = settingAt(actuator.id, position.id, newId);
    const settings = [{ ...fresh, at: { ...map.structure.settings[0]?.at, ...fresh.at } }];
    clear();
    const after = actuator.positions.at(-1)?.id ?? null;
    session.restructure({ change: 'position-added', actuator: actuator.id, position, after, settings });
  };
  const closeList = (by: ClosedBy) => {
    if (!actuator) return;
    if (hidden && actuator.positions.length < hidden.positions.length) {
      return setMessage('The simulated handle still clicks on: there is another position.');
    }
    clear();
    session.restructure({ change: 'positions-closed', actuator: actuator.id, by });
  };
  const addLug = () => {
    const labels = new Set(map.structure.terminals.map(({ label }) => label));
    let next = map.structure.terminals.length + 1;
    while (labels.has(String(next))) next += 1;
    session.restructure({ change: 'terminal-added', terminal: newTerminal(String(next), newId) });
  };
  const skip = (reason: 'later' | 'cannot-reach' = 'later') => {
    if (task?.kind !== 'prompt') return;
    clear();
    session.emit({ kind: 'skipped', prompt: task.prompt, reason });
  };
  const turnTo = (setting: SettingId) => {
    if (many && isHeldAsk(many)) return touchSetting(setting);
    // Whoever turns to a position of their own choice wants what is left there, whatever would be quickest.
    const there = plainPlan(map, setting);
    if (there.kind === 'ask' && firstSetting(there.ask) === setting) return show(there.ask);
    setMessage('That position is settled. To read a pair there, tap its cell in the table.');
  };
  const escape = () => {
    if (typed !== '' || found.size > 0 || picking || correcting || message) return clear();
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
    correct: (id: ReadingId) => {
      clear();
      setCorrecting(id);
    },
    undo: () => {
      clear();
      session.undo();
    },
    redo: () => {
      clear();
      session.redo();
    },
  }; // prettier-ignore
}
