import type { Actuator, ActuatorForm } from './actuator.js';
import type { ChangeNamed } from './changes/structure-change.js';
import type { ActuatorId, NewId, PositionId, SettingId } from './id.js';
import { newPosition, newTerminal, settingAt } from './new-switch.js';
import type { Setting } from './setting.js';
import type { Structure } from './structure.js';

/** A setting like another, but with one handle elsewhere. */
const movedTo = (setting: Setting, handle: ActuatorId, position: PositionId, newId: NewId): Setting => ({
  ...setting,
  id: newId<SettingId>(),
  at: { ...setting.at, [handle]: position },
});

/**
 * The change that adds a last position to a handle: in every combination in which its first one stands, or only where the
 * other handles stand in the first setting.
 * @example addedPosition(structure, handle, 'every-combination', newId)
 */
export function addedPosition(
  { settings }: Structure,
  { id, positions }: Actuator,
  where: 'every-combination' | 'first-setting',
  newId: NewId,
): ChangeNamed<'position-added'> {
  const position = newPosition(null, newId);
  const like =
    where === 'first-setting'
      ? settings.slice(0, 1).map((setting) => ({ ...setting, condition: null, need: 'required' as const }))
      : settings.filter(({ at }) => at[id] === positions[0]?.id);
  const fresh = settingAt(id, position.id, newId);
  return {
    change: 'position-added',
    actuator: id,
    position,
    after: positions.at(-1)?.id ?? null,
    settings: like.length > 0 ? like.map((setting) => movedTo(setting, id, position.id, newId)) : [fresh],
  };
}

/** One more handle, as a person says it: the first position is the one in which it stood so far. */
export interface AddedHandle {
  name: string;
  form: ActuatorForm;
  positionNames: readonly [string, ...string[]];
  /** Its further positions with every setting there is; else only with the first. */
  everyCombination: boolean;
}

/** The change that adds a handle, all of whose positions are known. */
export function addedHandle(
  { settings }: Structure,
  { name, form, positionNames, everyCombination }: AddedHandle,
  newId: NewId,
): ChangeNamed<'actuator-added'> {
  const id = newId<ActuatorId>();
  const [first, ...more] = positionNames;
  const home = newPosition(first, newId);
  const others = more.map((other) => newPosition(other, newId));
  return {
    change: 'actuator-added',
    actuator: { id, name, form, positions: [home, ...others], closed: 'declared' },
    home: home.id,
    settings: others.flatMap((position) =>
      (everyCombination ? settings : settings.slice(0, 1)).map((setting) =>
        movedTo(setting, id, position.id, newId),
      ),
    ),
  };
}

/** The change that adds a terminal under the next free number. */
export function addedTerminal({ terminals }: Structure, newId: NewId): ChangeNamed<'terminal-added'> {
  const labels = new Set(terminals.map(({ label }) => label));
  let next = terminals.length + 1;
  while (labels.has(String(next))) next += 1;
  return { change: 'terminal-added', terminal: newTerminal(String(next), newId) };
}
