import { useEffect, useRef } from 'react';
import { actionOf, toggle, type Action } from './hands-free.js';
import type { Probing } from './use-probing.js';

/** The keys of the Map screen, for the help and for people who look. */
export const MAP_KEYS: readonly [string, string][] = [
  ['Enter', 'Done; it sounds; take what was typed; with the simulated meter: measure'],
  ['Space', 'None sounded; open'],
  ['7 9 …', 'Type a terminal’s label, Enter after each: it sounded'],
  ['9=0,3', 'A terminal and its ohms: 0,3  2k2  OL'],
  ['2-5', 'Read a pair of your own choice; 2-5=OL answers it at once'],
  ['Backspace', 'Rub out what was typed; else undo the last act'],
  ['Shift Backspace', 'Redo (also Ctrl Y); Ctrl Z undoes'],
  ['↓', 'Skip: ask it later'],
  ['~', 'It flickers; in a sweep 9=~'],
  ['<', 'One pair from the other side: turn past the position and back to it'],
  ['→', 'Click on: a new position'],
  ['End', 'Hit the stop: that was the last position'],
  ['Home', 'Back at the start: the handle goes round'],
  ['+', 'One more lug'],
  ['/', 'How to map; then 1 to 7 the way, t tone, o ohms, h clamp, c clips, q quick check, s seconds'],
  ['Escape', 'Leave what was begun'],
  ['F8, F9', 'Sounds, speech: on or off'],
  ['?', 'These keys'],
];

/** Panels that a key opens. */
export interface Panels {
  help: () => void;
  approach: () => void;
}

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
      if (!(target instanceof Element) || target.closest('input, select, textarea, [role=dialog]')) return;
      const onControl = target.closest('button, a, [role=button]')?.matches(':focus-visible') ?? false;
      const begun = latest.current.probing.typed !== '';
      if (onControl && !begun && (event.key === 'Enter' || event.key === ' ')) return;
      const learnt = actionOf(event.key);
      if (learnt) {
        event.preventDefault();
        act(learnt, event.repeat, latest.current.probing, held);
        return;
      }
      if (press(event, latest.current.probing, latest.current.panels)) event.preventDefault();
    };
    // The link that was tapped to come here must not take the first Enter.
    const { activeElement } = document;
    if (activeElement instanceof HTMLElement && activeElement.matches('a:not(:focus-visible)'))
      activeElement.blur();
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

/** Does what a learnt key or pedal is set to. */
function act(action: Action, repeated: boolean, probing: Probing, held: Held): void {
  if (action === 'no') {
    if (!repeated) Object.assign(held, { down: true, repeats: 0, undone: false });
    else if (held.down) held.repeats += 1;
    else return;
    if (held.repeats === LONG) {
      held.undone = true;
      probing.stepBack();
    }
    return;
  }
  if (repeated) return;
  if (action === 'yes') probing.step(true);
  else if (action === 'undo') probing.undo();
  else if (action === 'redo') probing.redo();
  else if (action === 'skip') probing.skip();
  else toggle(action);
}

function release(probing: Probing, held: Held): void {
  if (held.down && !held.undone) probing.step(false);
  held.down = false;
}

/** After a tap or a click nothing keeps the focus, so that the next Enter answers the prompt and not the last button. */
function letGo({ detail }: MouseEvent): void {
  const { activeElement } = document;
  const byPointer = detail > 0;
  if (!byPointer || !(activeElement instanceof HTMLElement || activeElement instanceof SVGElement)) return;
  if (activeElement.closest('input, select, textarea, [role=dialog]')) return;
  if (activeElement.matches('button, [role=button]')) activeElement.blur();
}

/** Does what a key says; false when it says nothing here. */
function press(event: KeyboardEvent, probing: Probing, panels: Panels): boolean {
  const { key } = event;
  const { task, busy } = probing;
  const finding = !busy && task?.kind === 'plan' && task.plan.kind === 'find-position';
  if (event.ctrlKey || event.metaKey) {
    if (key.toLowerCase() === 'z' && !event.shiftKey) probing.undo();
    else if (key.toLowerCase() === 'y' || (key.toLowerCase() === 'z' && event.shiftKey)) probing.redo();
    else return false;
    return true;
  }
  if (event.altKey) return false;
  switch (key) {
    case 'Enter':
      probing.yes();
      return true;
    case ' ':
      probing.no();
      return true;
    case 'Backspace':
      if (probing.typed !== '') probing.setTyped(probing.typed.slice(0, -1));
      else if (event.shiftKey) probing.redo();
      else probing.undo();
      return true;
    case 'Escape':
      probing.escape();
      return true;
    case 'ArrowDown':
      probing.skip();
      return true;
    case '~':
      if (probing.typed !== '') break;
      probing.flickers();
      return true;
    case '<':
      if (probing.typed !== '') break;
      probing.otherSide();
      return true;
    case 'ArrowRight':
      if (finding) probing.clickOn();
      return finding;
    case 'End':
      if (finding) probing.closeList('stop');
      return finding;
    case 'Home':
      if (finding) probing.closeList('round');
      return finding;
    case '+':
      probing.addLug();
      return true;
    case '?':
      panels.help();
      return true;
    case '/':
      if (probing.typed !== '') break;
      panels.approach();
      return true;
  }
  if (key.length !== 1) return false;
  probing.setMessage(null);
  probing.setTyped(probing.typed + key);
  return true;
}
