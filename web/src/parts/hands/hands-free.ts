import { useStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { createStore } from 'zustand/vanilla';
import { HANDS_FREE_TEXT } from '@which-way/words/screens/parts/hands/hands-free';

/** What a key or a pedal may be set to do on the Map. */
export const ACTIONS = ['yes', 'no', 'undo', 'redo', 'skip', 'sounds', 'speech'] as const;
export type Action = (typeof ACTIONS)[number];

/** What this bench has set up: kept in this browser, for all jobs. */
export interface HandsFree {
  /** Keys or pedals besides the ordinary ones, by the name the browser gives them; null: none. */
  keys: Record<Action, string | null>;
  sounds: boolean;
  speech: boolean;
}

const PLAIN: HandsFree = {
  keys: { yes: null, no: null, undo: null, redo: null, skip: null, sounds: 'F8', speech: 'F9' },
  sounds: true,
  speech: false,
};

export const handsFree = createStore<HandsFree>()(
  persist(() => PLAIN, {
    name: 'hands-free',
    storage: createJSONStorage(() => localStorage),
    // What an older version did not know keeps its plain value.
    merge: (kept, plain) => {
      const before = (kept ?? {}) as Partial<HandsFree>;
      return { ...plain, ...before, keys: { ...plain.keys, ...before.keys } };
    },
  }),
);

export const useHandsFree = (): HandsFree => useStore(handsFree);

/** Keys that type, move about or leave: they are not given away. */
const NOT_GIVEN =
  /^(.|Tab|Escape|Enter|Backspace|Shift|Control|Alt|Meta|Home|End|Arrow(Up|Down|Left|Right))$/u;

/** Gives a key or pedal to an action, taking it from any other. Returns why not, where it cannot be. */
export function giveKey(action: Action, key: string): string | null {
  if (NOT_GIVEN.test(key)) return HANDS_FREE_TEXT.isNeededForTypingOr(key === ' ' ? 'Space' : key);
  const { keys } = handsFree.getState();
  const others = Object.fromEntries(
    ACTIONS.map((one) => [one, keys[one] === key ? null : keys[one]]),
  ) as HandsFree['keys'];
  handsFree.setState({ keys: { ...others, [action]: key } });
  return null;
}

/** What a key is set to do. */
export function actionOf(key: string): Action | null {
  const { keys } = handsFree.getState();
  return ACTIONS.find((action) => keys[action] === key) ?? null;
}

export function toggle(what: 'sounds' | 'speech'): void {
  handsFree.setState((now) => ({ [what]: !now[what] }));
}
