import { useEffect, type KeyboardEvent, type RefObject } from 'react';

const STEPS: Readonly<Record<string, readonly [across: number, down: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A piece counts as ahead where it lies more along the arrow than beside it. */
const BESIDE = 1;

/**
 * One Tab comes to a drawing and the next goes on from it; within it the arrows go to the nearest piece that can be pressed
 * on that side. Whatever is drawn again keeps to that.
 */
export function useOneStop(
  drawing: RefObject<SVGSVGElement | null>,
): (event: KeyboardEvent<SVGSVGElement>) => void {
  const pieces = () => [...(drawing.current?.querySelectorAll<SVGGElement>('[role=button]') ?? [])];
  const stopAt = (one: SVGGElement | undefined) => {
    for (const piece of pieces()) piece.setAttribute('tabindex', piece === one ? '0' : '-1');
  };
  useEffect(() => {
    const all = pieces();
    const stops = all.filter(({ tabIndex }) => tabIndex === 0);
    if (all.length > 1 && stops.length !== 1)
      stopAt(all.find((one) => one === document.activeElement) ?? all.find(isTerminal) ?? all[0]);
  });
  return (event) => {
    const step = STEPS[event.key];
    const from = document.activeElement;
    if (!step || !(from instanceof SVGGElement) || !pieces().includes(from)) return;
    const here = middleOf(from);
    const ahead = pieces().flatMap((piece) => {
      const there = middleOf(piece);
      const [across, down] = [there.x - here.x, there.y - here.y];
      const along = across * step[0] + down * step[1];
      const beside = Math.abs(across * step[1]) + Math.abs(down * step[0]);
      return piece !== from && along > 1 && beside <= along * BESIDE ? [{ piece, far: along + beside }] : [];
    });
    const next = ahead.toSorted((one, other) => one.far - other.far)[0];
    if (!next) return;
    event.preventDefault();
    event.stopPropagation();
    stopAt(next.piece);
    next.piece.focus();
  };
}

const isTerminal = (piece: Element) => piece.hasAttribute('data-role');

function middleOf(piece: SVGGElement) {
  const { left, top, width, height } = piece.getBoundingClientRect();
  return { x: left + width / 2, y: top + height / 2 };
}
