/** The key of a choice in an open panel, beside its name; no part of the name. */
export const KeyCap = ({ of }: { of: string }) => (
  <kbd
    aria-hidden="true"
    data-key={of}
    className="rounded-sm border border-line px-1 font-mono text-small text-quiet pointer-coarse:hidden before:content-[attr(data-key)]"
  />
);

/**
 * Does what a key says in an open panel: the control in it that names the key in `aria-keyshortcuts` is chosen or, where
 * something is typed, given the focus. Keys of a field that is typed in stay with it.
 * @returns whether something was chosen, or a field waits to be typed in; null where the key says nothing.
 */
export function pressShortcut(event: React.KeyboardEvent): 'chosen' | 'open' | null {
  const { target, currentTarget, key } = event;
  if (event.ctrlKey || event.metaKey || event.altKey || !/^[a-z0-9]$/.test(key)) return null;
  if (target instanceof HTMLElement && isTypedIn(target)) return null;
  const control = currentTarget.querySelector<HTMLElement>(`[aria-keyshortcuts="${key}"]`);
  if (!control) return null;
  event.preventDefault();
  if (isTypedIn(control)) {
    control.focus();
    if (control instanceof HTMLInputElement) control.select();
    return 'open';
  }
  control.click();
  return 'chosen';
}

const isTypedIn = (element: HTMLElement): boolean => element.matches('textarea, input');
