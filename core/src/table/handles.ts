import type { SwitchMap } from '../continuity/index.js';
import { poles, type Pattern } from '../partition/index.js';
import type { ActuatorId, SettingId } from '../switch/index.js';
import { knownPattern } from './known-pattern.js';

/** A handle whose poles nothing else moves: a switch of its own on the same body. */
export interface HandlePart {
  actuator: ActuatorId;
  /** The terminals of its poles, by place. */
  terminals: number[];
  /** One required setting for each of its positions, in handle order. */
  settings: SettingId[];
}

/**
 * The handles as independent parts: every pole that joins something does the same wherever every other handle stands, in the
 * settings that were mapped, and each handle was seen in two places at least while another stood still. null: they are not, or
 * that cannot be told yet.
 */
export function independentHandles(map: SwitchMap): HandlePart[] | null {
  const { structure } = map;
  if (structure.actuators.length < 2 || !map.complete) return null;
  const whole = knownPattern(map);
  const ids = [...map.settings.keys()];
  const settings = structure.settings.filter(({ need }) => need === 'required');
  const pattern: Pattern = settings.map(({ id }) => whole[ids.indexOf(id)] ?? []);
  const parts = structure.actuators.map(({ id, positions }): HandlePart => ({
    actuator: id,
    terminals: [],
    settings: positions.flatMap((position) => settings.find(({ at }) => at[id] === position.id)?.id ?? []),
  }));
  for (const pole of poles(pattern).filter((terminals) => terminals.length > 1)) {
    const moves = structure.actuators.filter(({ id }) => !leavesAlone(id, pole));
    const part = moves.length === 1 ? parts.find(({ actuator }) => actuator === moves[0]?.id) : undefined;
    if (!part) return null;
    part.terminals.push(...pole);
  }
  return parts.every(({ terminals }) => terminals.length > 0) ? parts : null;

  /** What the pole does in a setting. */
  function shape(setting: number, pole: readonly number[]): string {
    const partition = pattern[setting] ?? [];
    return pole.map((place) => pole.findIndex((other) => partition[other] === partition[place])).join();
  }

  /** The handle was turned while all others stood, and the pole did the same each time. */
  function leavesAlone(handle: ActuatorId, pole: readonly number[]): boolean {
    let turned = false;
    for (const [one, a] of settings.entries())
      for (const [other, b] of settings.entries()) {
        if (other <= one || a.at[handle] === b.at[handle]) continue;
        const still = structure.actuators.every(({ id }) => id === handle || a.at[id] === b.at[id]);
        if (!still) continue;
        turned = true;
        if (shape(one, pole) !== shape(other, pole)) return false;
      }
    return turned;
  }
}
