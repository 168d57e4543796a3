import { useEffect, useRef } from 'react';
import { keyName, pressed, type Act, type Panel } from '@which-way/core/probing';
import { letGo, letGoOfLink } from '../../../controls/keys/let-go.js';
import { ownsKeys } from '../../../controls/keys/owns-keys.js';
import { actionOf, toggle, type Action } from '../../../parts/hands/hands-free.js';
import type { Probing } from '../probing/use-probing.js';

/** Panels that a key opens. */
export type Panels = Record<Panel, () => void>;

/** Listens to the keyboard while the Map is shown; nothing has to have the focus. */
export function useMapKeys(probing: Probing, panels: Panels): void {
  const latest = useRef({ probing, panels });
  useEffect(() => {
    latest.current = { probing, panels };
  });
  useEffect(() => {
    const held: Held = { down: false, repeats: 0, undone: false };
    const onKey = (event: KeyboardEvent) => {
      const { target } = event;
      if (!(target instanceof Element) || ownsKeys(target)) return;
      const onControl = target.closest('button, a, [role=button]')?.matches(':focus-visible') ?? false;
      const begun = latest.current.probing.hands.typed !== '';
      if (onControl && !begun && (event.key === 'Enter' || event.key === ' ')) return;
      const learnt = actionOf(event.key);
      if (learnt) {
        event.preventDefault();
        act(learnt, event.repeat, latest.current.probing, held);
        return;
      }
      if (press(event, latest.current.probing, latest.current.panels)) event.preventDefault();
    };
    letGoOfLink();
    const onUp = (event: KeyboardEvent) => {
      if (actionOf(event.key) === 'no') release(latest.current.probing, held);
    };
    window.addEventListener('keydown', onKey);
    window.addEventListener('keyup', onUp);
    window.addEventListener('click', letGo);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('keyup', onUp);
      window.removeEventListener('click', letGo);
    };
  }, []);
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
  if (event.altKey) return false;
  const name = keyName({ key: event.key, shift: event.shiftKey, control: event.ctrlKey || event.metaKey });
  // What stands there while the next is thought of takes no answer.
  const said = pressed(probing.busy ? { ...probing, task: null } : probing, name);
  if (!said) return false;
  if ('open' in said) panels[said.open]();
  else probing.act(said);
  return true;
}
