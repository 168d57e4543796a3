import { useEffect, useRef } from 'react';
import { tinykeys } from 'tinykeys';
import { ownsKeys } from './owns-keys.js';

/** What a key does; `false` where it says nothing just now, and goes on to the browser. */
type Does = (event: KeyboardEvent) => unknown;

interface Options {
  event?: 'keydown' | 'keyup';
  /** Hears a key before anything else does. */
  capture?: boolean;
  /** Whether a key that is pressed there belongs to what has the focus. */
  owned?: (target: EventTarget | null) => boolean;
}

// With Alt: AltGr is both to a Windows keyboard, and writes the ~ of many countries.
const MODIFIED = ['', 'Shift+', 'Control+', 'Meta+', 'Control+Shift+', 'Meta+Shift+', 'Alt+', 'Control+Alt+'];

/**
 * Listens to keys while the screen is shown; nothing has to have the focus.
 * @param keys what each key does, by its name: `p`, `ArrowLeft`, `$mod+z` (Control, or Command on a Mac)
 */
export function useKeys(
  keys: Record<string, Does>,
  { event, capture, owned = ownsKeys }: Options = {},
): void {
  const latest = useRef({ keys, owned });
  useEffect(() => {
    latest.current = { keys, owned };
  });
  const names = Object.keys(keys).join(' | ');
  useEffect(() => {
    const heard = names.split(' | ').map((name): [string, (event: KeyboardEvent) => void] => [
      name,
      (pressed) => {
        const { keys: now, owned: isOwned } = latest.current;
        if (isOwned(pressed.target)) return;
        if (now[name]?.(pressed) !== false) pressed.preventDefault();
      },
    ]);
    return tinykeys(window, Object.fromEntries(heard), {
      ...(event && { event }),
      ...(capture && { capture }),
    });
  }, [names, event, capture]);
}

/** Listens to every key, whatever is held down with it. */
export function useAnyKey(does: Does, options?: Options): void {
  useKeys(Object.fromEntries(MODIFIED.map((held) => [`${held}(.+)`, does])), options);
}
