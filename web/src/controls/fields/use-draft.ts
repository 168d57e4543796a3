import { useState } from 'react';

const storage = (): Storage | null => {
  try {
    return window.sessionStorage;
  } catch {
    // A browser that keeps nothing: what is typed is kept by leaving the field, as ever.
    return null;
  }
};

/**
 * What is typed into a field and not kept yet: it is there again after a reload of this tab.
 * @param name the field's, one on its page.
 */
export function useDraft(name: string): [typed: string | null, type: (text: string | null) => void] {
  const key = `draft ${window.location.pathname} ${name}`;
  const [typed, setTyped] = useState(() => storage()?.getItem(key) ?? null);
  const type = (text: string | null) => {
    setTyped(text);
    try {
      if (text === null) storage()?.removeItem(key);
      else storage()?.setItem(key, text);
    } catch {
      // Full: the same.
    }
  };
  return [typed, type];
}
