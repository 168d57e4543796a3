import { useEffect, useRef } from 'react';
import { actionOf, type Action } from '../../parts/hands/hands-free.js';
import { letGo, letGoOfLink } from '../../controls/keys/let-go.js';
import { ownsKeys } from '../../controls/keys/owns-keys.js';

/** What a key asks for on a page that is worked by one hand: the same keys and pedals as on the Map. */
type Asked = Extract<Action, 'yes' | 'no' | 'undo' | 'redo'>;

const PLAIN: Readonly<Record<string, Asked>> = { ' ': 'yes', Enter: 'no' };

/** Listens for Space, Enter and the pedals that were learnt; nothing has to have the focus. */
export function useAnswerKeys(does: Partial<Record<Asked, () => void>>): void {
  const latest = useRef(does);
  useEffect(() => {
    latest.current = does;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const { target } = event;
      if (!(target instanceof Element) || ownsKeys(target)) return;
      if (event.ctrlKey || event.altKey || event.metaKey || event.repeat) return;
      const onControl = target.closest('button, a, [role=button]')?.matches(':focus-visible') ?? false;
      const plain = PLAIN[event.key];
      if (plain && onControl) return;
      const asked = actionOf(event.key) ?? plain;
      const act = asked && asked in latest.current ? latest.current[asked as Asked] : undefined;
      if (!act) return;
      event.preventDefault();
      act();
    };
    letGoOfLink();
    window.addEventListener('keydown', onKey);
    window.addEventListener('click', letGo);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('click', letGo);
    };
  }, []);
}
