import type { Act } from './act.js';
import type { Moment } from './moment.js';

/** What a key opens beside the machine. */
export type Panel = 'help' | 'approach';

/** What a key does, as a code, for the help and the guide. */
export type Does =
  | 'take'
  | 'none'
  | 'type-label'
  | 'type-value'
  | 'type-pair'
  | 'rub-out-or-undo'
  | 'redo'
  | 'skip'
  | 'flickers'
  | 'other-side'
  | 'click-on'
  | 'stop'
  | 'round'
  | 'lug'
  | 'approach'
  | 'escape'
  | 'sounds-speech'
  | 'help';

/** One line of the table of keys. */
export interface KeyLine {
  /** As it is shown; where it is no single key, an example of what is typed. */
  shown: string;
  does: Does;
  /** The keys as the keyboard names them, with what they come to now; null: the key says nothing here. */
  keys: Readonly<Record<string, (moment: Moment) => Act | { open: Panel } | null>>;
}

/** A key that types where something is typed already. */
const unlessTyping =
  (act: Act | { open: Panel }) =>
  ({ hands }: Moment): Act | { open: Panel } =>
    hands.typed === '' ? act : { do: 'type', text: TYPED_BY[keyOf(act)] ?? '' };

/** A key that counts only while positions are being found. */
const whileFinding =
  (act: Act) =>
  ({ task }: Moment): Act | null =>
    task?.kind === 'plan' && task.plan.kind === 'find-position' ? act : null;

const keyOf = (act: Act | { open: Panel }): string => ('open' in act ? act.open : act.do);
const TYPED_BY: Readonly<Record<string, string>> = { flickers: '~', 'other-side': '<', approach: '/' };

const always = (act: Act | { open: Panel }) => () => act;

/** The keys of the two answers, the same on every screen: yes, it sounds, it joins, done; no, none, open, missed. */
export const ANSWER_KEYS = { yes: 'Enter', no: ' ' } as const;

/** Every key of the Map, in the order in which the help shows them. The keyboard, the help and the guide read this table. */
export const KEY_TABLE: readonly KeyLine[] = [
  { shown: 'Enter', does: 'take', keys: { [ANSWER_KEYS.yes]: always({ do: 'yes' }) } },
  { shown: 'Space', does: 'none', keys: { [ANSWER_KEYS.no]: always({ do: 'no' }) } },
  { shown: '7 9 …', does: 'type-label', keys: {} },
  { shown: '9=0,3', does: 'type-value', keys: {} },
  { shown: '2-5', does: 'type-pair', keys: {} },
  {
    shown: 'Backspace',
    does: 'rub-out-or-undo',
    keys: {
      Backspace: ({ hands }) => (hands.typed === '' ? { do: 'undo' } : { do: 'rub-out' }),
      'Ctrl+z': always({ do: 'undo' }),
    },
  },
  {
    shown: 'Shift Backspace',
    does: 'redo',
    keys: {
      'Shift+Backspace': ({ hands }) => (hands.typed === '' ? { do: 'redo' } : { do: 'rub-out' }),
      'Ctrl+y': always({ do: 'redo' }),
      'Ctrl+Shift+z': always({ do: 'redo' }),
    },
  },
  { shown: '↓', does: 'skip', keys: { ArrowDown: always({ do: 'skip', reason: 'later' }) } },
  { shown: '~', does: 'flickers', keys: { '~': unlessTyping({ do: 'flickers' }) } },
  { shown: '<', does: 'other-side', keys: { '<': unlessTyping({ do: 'other-side' }) } },
  { shown: '→', does: 'click-on', keys: { ArrowRight: whileFinding({ do: 'click-on' }) } },
  { shown: 'End', does: 'stop', keys: { End: whileFinding({ do: 'close-list', by: 'stop' }) } },
  { shown: 'Home', does: 'round', keys: { Home: whileFinding({ do: 'close-list', by: 'round' }) } },
  { shown: '+', does: 'lug', keys: { '+': always({ do: 'add-lug' }) } },
  { shown: '/', does: 'approach', keys: { '/': unlessTyping({ open: 'approach' }) } },
  { shown: 'Escape', does: 'escape', keys: { Escape: always({ do: 'escape' }) } },
  { shown: 'F8, F9', does: 'sounds-speech', keys: {} },
  { shown: '?', does: 'help', keys: { '?': always({ open: 'help' }) } },
];

const BY_KEY = new Map(KEY_TABLE.flatMap(({ keys }) => Object.entries(keys)));

/** A key as the table names it: `a`, `Enter`, `Shift+Backspace`, `Ctrl+z`. Shift is named only where the key writes nothing. */
export function keyName(pressed: { key: string; shift: boolean; control: boolean }): string {
  const { key, shift, control } = pressed;
  const written = key.length === 1 && !control;
  return `${control ? 'Ctrl+' : ''}${shift && !written ? 'Shift+' : ''}${control ? key.toLowerCase() : key}`;
}

/** What a key comes to in a moment: an act, a panel, or nothing. What writes a character and is in no line types it. */
export function pressed(moment: Moment, name: string): Act | { open: Panel } | null {
  const line = BY_KEY.get(name) ?? BY_KEY.get(name.replace(/^Shift\+/, ''));
  if (line) return line(moment);
  return name.length === 1 ? { do: 'type', text: name } : null;
}
