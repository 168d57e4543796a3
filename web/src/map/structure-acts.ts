import type { SwitchMap } from '@which-way/core/continuity';
import type { SimulatedSwitch } from '@which-way/core/simulated';
import { newPosition, newTerminal, settingAt, type ClosedBy } from '@which-way/core/switch';
import type { useSession } from '../job/job-context.js';
import { newId } from '../job/new-id.js';

/** What turns up on the way: one more position, the end of their list, one more lug. */
export function structureActs({
  map,
  hidden,
  session,
  clear,
  setMessage,
}: {
  map: SwitchMap;
  hidden: SimulatedSwitch | null;
  session: ReturnType<typeof useSession>;
  clear: () => void;
  setMessage: (message: string) => void;
}) {
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

  return { clickOn, closeList, addLug };
}
