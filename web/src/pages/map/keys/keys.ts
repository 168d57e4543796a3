import { useRef } from 'react';
import { keyName, pressed, type Act, type Panel } from '@which-way/core/probing';
import { useLetGo } from '../../../controls/keys/let-go.js';
import { isAnswer, onControl } from '../../../parts/hands/answer-keys.js';
import { useAnyKey } from '../../../controls/keys/use-keys.js';
import { actionOf, toggle, type Action } from '../../../parts/hands/hands-free.js';
import type { Probing } from '../probing/use-probing.js';

/** Panels that a key opens. */
export type Panels = Record<Panel, () => void>;

/** Listens to the keyboard while the Map is shown; nothing has to have the focus. */
export function useMapKeys(probing: Probing, panels: Panels): void {
  const held = useRef<Held>({ down: false, repeats: 0, undone: false });
  useAnyKey((event) => {
    const begun = probing.hands.typed !== '';
    if (isAnswer(event) && onControl(event) && !begun) return false;
    const learnt = actionOf(event.key);
    if (!learnt) return press(event, probing, panels);
    act(learnt, event.repeat, probing, held.current);
    return true;
  });
  useAnyKey(
    (event) => {
      if (actionOf(event.key) === 'no') release(probing, held.current);
      return false;
    },
    { event: 'keyup', owned: () => false },
  );
  useLetGo();
}

/** How long a pedal for 'none' has been down: it answers on being let go, or undoes once when held. */
interface Held {
  /** It went down here, while the Map was listening: only then does letting it go answer. */
  down: boolean;
  repeats: number;
  undone: boolean;
}

/** Key repeats after which a pedal counts as held: about half a second beyond the first. */
const LONG = 4;

/** What learnt keys and pedals do. */
const ACTS: Record<'yes' | 'undo' | 'redo' | 'skip', Act> = {
  yes: { do: 'step', sounded: true },
  undo: { do: 'undo' },
  redo: { do: 'redo' },
  skip: { do: 'skip', reason: 'later' },
};

/** Does what a learnt key or pedal is set to. */
function act(action: Action, repeated: boolean, probing: Probing, held: Held): void {
  if (action === 'no') {
    if (!repeated) Object.assign(held, { down: true, repeats: 0, undone: false });
    else if (held.down) held.repeats += 1;
    else return;
    if (held.repeats === LONG) {
      held.undone = true;
      probing.act({ do: 'step-back' });
    }
    return;
  }
  if (repeated) return;
  if (action === 'sounds' || action === 'speech') toggle(action);
  else probing.act(ACTS[action]);
}

function release(probing: Probing, held: Held): void {
  if (held.down && !held.undone) probing.act({ do: 'step', sounded: false });
  held.down = false;
}

/** Does what a key says; false when it says nothing here. */
function press(event: KeyboardEvent, probing: Probing, panels: Panels): boolean {
  const written = event.getModifierState('AltGraph');
  if (event.altKey && !written) return false;
  const control = !written && (event.ctrlKey || event.metaKey);
  const name = keyName({ key: event.key, shift: event.shiftKey, control });
  // What stands there while the next is thought of takes no answer.
  const said = pressed(probing.busy ? { ...probing, task: null } : probing, name);
  if (!said) return false;
  if ('open' in said) panels[said.open]();
  else probing.act(said);
  return true;
}
