import type { SwitchMap } from '../../continuity/index.js';
import { liveEvents, type Ask } from '../../log/index.js';
import { type SettingId, type TerminalId } from '../../switch/index.js';
import { settingsInOrder } from '../field/field-of-map.js';
import { tellTaleOf } from './tell-tale.js';

/** Whether a person has asked to go back through the positions, and not taken that back. */
export const returnWanted = ({ log }: SwitchMap): boolean => liveEvents(log, 'return-begun').length > 0;

/** Settings that were read on the way back, with whether it was the same as on the way there. */
export interface ReturnSweep {
  same: SettingId[];
  /** Made from one side only, or read otherwise: the detent, the contact, or a row counted wrong. */
  otherwise: SettingId[];
  /** Still to be read, in the order of the way back. */
  left: SettingId[];
}

/**
 * How far the way back has come: from the last position to the first, each with one pair that tells it from the others.
 * The last one cannot be come to from beyond, unless the handle goes round.
 */
export function returnSweep(map: SwitchMap): ReturnSweep {
  const round = map.structure.actuators.every(({ closed }) => closed === 'round');
  const order = settingsInOrder(map);
  const sweep: ReturnSweep = { same: [], otherwise: [], left: [] };
  for (const setting of (round ? order : order.slice(0, -1)).toReversed()) {
    const back = map.tape.filter(
      ({ reading, standing }) =>
        standing === 'counts' && reading.fromOtherSide === true && reading.setting === setting,
    );
    const settled = map.settings.get(setting)?.settled;
    if (back.length > 0) {
      const ids = new Set(back.map(({ reading }) => reading.id));
      const differs = settled?.lookAgain.some(({ readings }) => readings.some((id) => ids.has(id)));
      const disputed = settled?.contradictions.some(({ joins, opens }) =>
        [...joins, ...opens].some((id) => ids.has(id)),
      );
      (differs || disputed ? sweep.otherwise : sweep.same).push(setting);
    } else if (tellTaleOf(map, setting)) sweep.left.push(setting);
  }
  return sweep;
}

/** The next pair of the way back; null when it is done. */
export function returnAsk(map: SwitchMap): Ask | null {
  const [setting] = returnSweep(map).left;
  const told = setting && tellTaleOf(map, setting);
  if (!told) return null;
  const terminal = (place: number) => map.structure.terminals[place]?.id as TerminalId;
  return { kind: 'pair', setting, red: terminal(told.a), black: terminal(told.b), fromOtherSide: true };
}
