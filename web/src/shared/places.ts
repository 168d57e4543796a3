import type { Layout } from '@which-way/core/switch';

/** Where a terminal is drawn, in a field 1000 wide and 700 high. */
export interface Place {
  x: number;
  y: number;
}

/** How big terminals are drawn, by how many there are. */
export function terminalRadius(count: number, layout: Layout): number {
  if (layout === 'circle') return Math.max(16, Math.min(60, 760 / count));
  const perLine = layout === 'two-rows' ? Math.ceil(count / 2) : layout === 'one-row' ? count : 6;
  return Math.max(15, Math.min(64, 400 / perLine));
}

/**
 * Places of terminals in order, seen from the terminal side. Circle: clockwise from the top. Two rows: the first
 * half above, left to right, the second half below. List: six in a line, in reading order.
 */
export function placesOf(count: number, layout: Layout): Place[] {
  const at = Array.from({ length: count }, (_, index) => index);
  switch (layout) {
    case 'circle':
      return at.map((index) => {
        const angle = (index / count) * 2 * Math.PI - Math.PI / 2;
        return { x: 500 + 276 * Math.cos(angle), y: 350 + 276 * Math.sin(angle) };
      });
    case 'one-row':
      return at.map((index) => ({ x: spread(index, count), y: 350 }));
    case 'two-rows': {
      const top = Math.ceil(count / 2);
      return at.map((index) =>
        index < top ? { x: spread(index, top), y: 190 } : { x: spread(index - top, top), y: 510 },
      );
    }
    case 'list': {
      const lines = Math.ceil(count / 6);
      return at.map((index) => ({
        x: spread(index % 6, Math.min(6, count)),
        y: lines === 1 ? 350 : 110 + (480 * Math.floor(index / 6)) / (lines - 1),
      }));
    }
  }
}

function spread(index: number, count: number): number {
  return count === 1 ? 500 : 100 + (800 * index) / (count - 1);
}

/** A line from one terminal to another that keeps clear of those between them: it bends towards the middle. */
export function linkPath(from: Place, to: Place, layout: Layout, lane = 0): string {
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const span = Math.hypot(to.x - from.x, to.y - from.y);
  if (layout === 'circle') {
    const pull = 0.55 + lane * 0.05;
    const x = middle.x + (500 - middle.x) * pull;
    const y = middle.y + (350 - middle.y) * pull;
    return `M${from.x} ${from.y}Q${x} ${y} ${to.x} ${to.y}`;
  }
  const level = Math.abs(from.y - to.y) < 1;
  const side = level ? (from.y <= 350 ? 1 : -1) : 0;
  const bend = level ? side * Math.min(150, 50 + span * 0.2 + lane * 16) : 0;
  const shift = level ? 0 : lane * 10;
  return `M${from.x} ${from.y}Q${middle.x + shift} ${middle.y + bend} ${to.x} ${to.y}`;
}
