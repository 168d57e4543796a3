import type { SettingId, TerminalId } from '../switch/index.js';
import { plainPlan } from '../planner/index.js';
import { firstSetting } from '../log/index.js';
import { measuresOne } from './answering.js';
import type { Moment } from './moment.js';
import { handsAre, saysOnly, sets, shows, type Means, type ProbingStep } from './step.js';
import { isHeldAsk } from './task.js';

/** Whether the meter has to be looked at before anything else. */
export const checkingMeter = ({ task }: Moment): boolean =>
  task?.kind === 'plan' && task.plan.kind === 'check-meter';

/** A pair of the person's own choice is asked, where the handle is unless said otherwise. */
export function asksPair(
  moment: Moment,
  { red, black, setting }: { red: TerminalId; black: TerminalId; setting: SettingId | null },
  means: Means,
): ProbingStep {
  const at = setting ?? moment.at;
  return at ? shows(moment, { kind: 'pair', setting: at, red, black }, means) : handsAre(moment, {});
}

/** A terminal was tapped, or named: it sounded, it is the first or the second of a pair, or its clip was silent. */
export function touches(moment: Moment, terminal: TerminalId, means: Means): ProbingStep {
  const { task, hands } = moment;
  const sweep = task?.kind === 'prompt' && task.prompt.ask.kind === 'sweep' ? task.prompt.ask : null;
  if (!hands.picking && sweep) {
    if (sweep.black.includes(terminal)) return touchesInSweep(moment, terminal);
    return saysOnly(
      moment,
      terminal === sweep.red ? { code: 'red-stays' } : { code: 'not-in-the-sweep', terminal },
    );
  }
  if (checkingMeter(moment)) return saysOnly(moment, { code: 'leads-together-first' });
  if (!hands.picking && task?.kind === 'clips') return touchesClip(moment, terminal);
  if (hands.picked === null) return handsAre(moment, { picking: true, picked: terminal, message: null });
  if (hands.picked === terminal) return handsAre(moment, { picked: null });
  return asksPair(moment, { red: hands.picked, black: terminal, setting: null }, means);
}

function touchesInSweep(moment: Moment, terminal: TerminalId): ProbingStep {
  const { found, meter, hands, map, sounded } = moment;
  if (found.has(terminal)) return sets(moment, terminal, null);
  if (meter !== null) return measuresOne(moment, terminal);
  if (hands.sense === 'tone') return sets(moment, terminal, sounded);
  const label = map.structure.terminals.find(({ id }) => id === terminal)?.label ?? '';
  return handsAre(moment, { typed: `${label}=` });
}

/** A clip that was silent; touched again: it sounded. */
function touchesClip(moment: Moment, terminal: TerminalId): ProbingStep {
  const { task, found } = moment;
  if (task?.kind !== 'clips' || !task.change.touch.includes(terminal))
    return saysOnly(moment, { code: 'clip-not-asked' });
  return sets(moment, terminal, found.has(terminal) ? null : { kind: 'tone', sounded: false });
}

/** A position of a prompt that holds the leads: it sounded there; again: it did not. */
export function touchesSetting(moment: Moment, setting: SettingId): ProbingStep {
  const { many, found, meter, hands, map, sounded } = moment;
  if (!many || !isHeldAsk(many) || !many.settings.includes(setting))
    return saysOnly(moment, { code: 'position-not-asked' });
  if (found.has(setting)) return sets(moment, setting, null);
  if (meter !== null) return measuresOne(moment, setting);
  if (hands.sense === 'tone') return sets(moment, setting, sounded);
  const number = map.structure.settings.findIndex(({ id }) => id === setting) + 1;
  return handsAre(moment, { typed: `${number}=` });
}

/** The handle is turned to a position of the person's own choice. */
export function turnsTo(moment: Moment, setting: SettingId, means: Means): ProbingStep {
  const { many, map } = moment;
  if (many && isHeldAsk(many)) return touchesSetting(moment, setting);
  // Whoever turns there wants what is left there, whatever would be quickest.
  const there = plainPlan(map, setting);
  return there.kind === 'ask' && firstSetting(there.ask) === setting
    ? shows(moment, there.ask, means)
    : saysOnly(moment, { code: 'position-settled' });
}
