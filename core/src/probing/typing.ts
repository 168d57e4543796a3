import { lastCheckedMeter, parseValue, type Value } from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { answersNamedPair, answersPair, answersTouch, checksMeter } from './answering.js';
import { readEntry, type Entry } from './entry.js';
import type { Message } from './message.js';
import type { Moment } from './moment.js';
import { handsAre, saysOnly, sets, type Means, type ProbingStep } from './step.js';
import { isHeldAsk } from './task.js';
import { asksPair, checkingMeter, touches, touchesSetting } from './touching.js';

/** A range of 200 shows 199,9, and some meters a tenth more before they say OL (common practice). */
const OVER_COUNTS = 1.1;

/** What a typed line may speak of now. */
function expected({ task, many }: Moment): 'terminal' | 'setting' | 'value' {
  if (task?.kind === 'clips') return 'terminal';
  if (!many) return 'value';
  return isHeldAsk(many) ? 'setting' : 'terminal';
}

/** What was typed is taken as what it says. */
export function commits(before: Moment, means: Means): ProbingStep {
  const { task, map, many, hands } = before;
  const entry = valueOfTouch(before) ?? readEntry(hands.typed, map.structure, expected(before));
  if (entry.kind === 'wrong') return saysOnly(before, entry.message);
  const beyond = 'value' in entry ? beyondRange(entry.value, before) : null;
  if (beyond) return saysOnly(before, beyond);
  const moment: Moment = { ...before, hands: { ...hands, typed: '' } };
  switch (entry.kind) {
    case 'pair':
      return namesPair(moment, entry, means);
    case 'setting': {
      const asked = entry.value !== null && many && isHeldAsk(many) && many.settings.includes(entry.setting);
      return asked ? sets(moment, entry.setting, entry.value) : touchesSetting(moment, entry.setting);
    }
    case 'terminal': {
      const ask = task?.kind === 'prompt' ? task.prompt.ask : null;
      const outside = ask?.kind === 'sweep' && !ask.black.includes(entry.terminal);
      return entry.value === null || outside || task?.kind === 'clips'
        ? touches(moment, entry.terminal, means)
        : sets(moment, entry.terminal, entry.value);
    }
    case 'value':
      if (checkingMeter(moment)) return checksMeter(moment, entry.value);
      if (many) return answersTouch(moment, entry.value, 'typed', means);
      return task?.kind === 'plan'
        ? saysOnly(moment, { code: 'no-value-asked' })
        : answersPair(moment, entry.value, 'typed', means);
  }
}

/** A value alone, while a sweep or a turn is read in ohms: it is of the touch that is asked now. A label wants its `=`. */
function valueOfTouch({ stepAt, hands }: Moment): Entry | null {
  if (stepAt === null || hands.sense !== 'ohms') return null;
  const value = parseValue(hands.typed);
  return value.ok ? { kind: 'value', value: value.value } : null;
}

/** Ohms that the meter cannot show on the range it is set to: a slip of the fingers, or another range. */
function beyondRange(value: Value | null, { map }: Moment): Message | null {
  const { rangeOhms } = lastCheckedMeter(map.log);
  if (value?.kind !== 'ohms' || rangeOhms === null || value.ohms <= rangeOhms * OVER_COUNTS) return null;
  return { code: 'beyond-range', ohms: value.ohms, rangeOhms };
}

/** Two terminals, and perhaps what was read between them. */
function namesPair(
  moment: Moment,
  { red, black, value }: { red: TerminalId; black: TerminalId; value: Value | null },
  means: Means,
): ProbingStep {
  const setting = settlingIn(moment) ?? moment.at;
  if (!setting || checkingMeter(moment)) return saysOnly(moment, { code: 'leads-together-first' });
  return value
    ? answersNamedPair(moment, { kind: 'pair', setting, red, black }, value, means)
    : asksPair(moment, { red, black, setting }, means);
}

/** The position whose readings are being settled: what is read for it belongs there, wherever the handle was. */
function settlingIn({ task }: Moment): SettingId | null {
  if (task?.kind !== 'plan') return null;
  const { plan } = task;
  return plan.kind === 'look-again' || plan.kind === 'disputed' ? plan.setting : null;
}

/** One more character. */
export const types = (moment: Moment, text: string): ProbingStep =>
  handsAre(moment, { typed: moment.hands.typed + text, message: null });
