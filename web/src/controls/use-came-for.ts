import { useCallback } from 'react';
import { useLocation } from 'react-router';

/** Brings a part of a page into sight where the way that was taken names it. */
export function useCameFor(id: string): (part: HTMLElement | null) => void {
  const { hash } = useLocation();
  return useCallback(
    (part) => {
      if (hash === `#${id}`) part?.scrollIntoView({ block: 'start' });
    },
    [hash, id],
  );
}
