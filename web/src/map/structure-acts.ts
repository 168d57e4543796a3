import type { SwitchMap } from '@which-way/core/continuity';
import type { SimulatedSwitch } from '@which-way/core/simulated';
import { addedPosition, addedTerminal, type ClosedBy } from '@which-way/core/switch';
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
    clear();
    session.restructure(addedPosition(map.structure, actuator, 'first-setting', newId));
  };
  const closeList = (by: ClosedBy) => {
    if (!actuator) return;
    if (hidden && actuator.positions.length < hidden.positions.length) {
      return setMessage('The simulated handle still clicks on: there is another position.');
    }
    clear();
    session.restructure({ change: 'positions-closed', actuator: actuator.id, by });
  };
  const addLug = () => session.restructure(addedTerminal(map.structure, newId));

  return { clickOn, closeList, addLug };
}
