import type { Least } from '@which-way/drawing/legible';
import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** How large a drawing is shown, in px; 0 by 0 until it is. */
export interface Shown {
  width: number;
  height: number;
}

/** The least size of type on the screen, in px. */
const LEAST_TYPE = 11;

/** Follows the size at which a drawing is shown. */
export function useShown(): [RefObject<SVGSVGElement | null>, Shown] {
  const drawing = useRef<SVGSVGElement>(null);
  const [shown, setShown] = useState<Shown>({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const svg = drawing.current;
    if (!svg) return;
    const measure = () => {
      const { width, height } = svg.getBoundingClientRect();
      setShown((was) => (was.width === width && was.height === height ? was : { width, height }));
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(svg);
    return () => observer.disconnect();
  }, []);
  return [drawing, shown];
}

/** What the least size of type is in the measure of a drawing that is shown so large. */
export function leastOf(shown: Shown, drawing: Shown): Least {
  const scale = Math.min(shown.width / drawing.width, shown.height / drawing.height);
  return scale > 0 ? Math.ceil((LEAST_TYPE / scale) * 10) / 10 : 0;
}
