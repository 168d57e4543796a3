import { useCallback, useEffect, useRef } from 'react';

/**
 * A function that stays the same object from render to render and does what the newest one given does: for the sake of parts
 * of a screen that are drawn again only when what they show has changed. Not to be called while drawing.
 */
export function useStable<Given extends unknown[], Got>(
  act: (...given: Given) => Got,
): (...given: Given) => Got {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  return useCallback((...given: Given) => latest.current(...given), []);
}
