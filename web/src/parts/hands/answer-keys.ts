import { ANSWER_KEYS } from '@which-way/core/probing';
import { useLetGo } from '../../controls/keys/let-go.js';
import { useAnyKey } from '../../controls/keys/use-keys.js';
import { actionOf, type Action } from './hands-free.js';

/** What a key asks for on a page that is worked by one hand: the same keys and pedals as on the Map. */
type Asked = Extract<Action, 'yes' | 'no' | 'undo' | 'redo'>;

const PLAIN: ReadonlyMap<string, Asked> = new Map([
  [ANSWER_KEYS.yes, 'yes'],
  [ANSWER_KEYS.no, 'no'],
]);

/** Whether a key answers what is asked. */
export const isAnswer = ({ key }: KeyboardEvent): boolean => PLAIN.has(key);

/** Whether a control was reached by the keyboard: then Enter and Space press it. */
export const onControl = ({ target }: KeyboardEvent): boolean =>
  target instanceof Element &&
  (target.closest('button, a, [role=button]')?.matches(':focus-visible') ?? false);

/** Listens for Enter, Space and the pedals that were learnt; nothing has to have the focus. */
export function useAnswerKeys(does: Partial<Record<Asked, () => void>>): void {
  useAnyKey((event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return false;
    const plain = PLAIN.get(event.key);
    if (plain && onControl(event)) return false;
    const asked = actionOf(event.key) ?? plain;
    const act = asked && asked in does ? does[asked as Asked] : undefined;
    act?.();
    return act !== undefined;
  });
  useLetGo();
}
