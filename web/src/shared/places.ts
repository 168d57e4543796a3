import type { Layout } from '@which-way/core/switch';

/** Where a terminal is drawn, in a field 1000 wide and `fieldHeight` high. */
export interface Place {
  x: number;
  y: number;
}

/** Height of the field: a circle needs it as high as it can be, rows are wide. */
export const fieldHeight = (layout: Layout): number => (layout === 'circle' ? 700 : 560);

/** How big terminals can be drawn without touching each other. */
export function terminalRadius(places: readonly Place[]): number {
  let nearest = Infinity;
  places.forEach((one, index) => {
    for (const other of places.slice(index + 1)) {
      nearest = Math.min(nearest, Math.hypot(one.x - other.x, one.y - other.y));
    }
  });
  return Math.max(13, Math.min(62, nearest * 0.4));
}

/**
 * Places of terminals in order, seen from the terminal side. Circle: clockwise from the top. Two rows: the first
 * half above, left to right, the second half below. List: lines in reading order.
 */
export function placesOf(count: number, layout: Layout): Place[] {
  const at = Array.from({ length: count }, (_, index) => index);
  const middle = fieldHeight(layout) / 2;
  switch (layout) {
    case 'circle':
      return at.map((index) => {
        const angle = (index / count) * 2 * Math.PI - Math.PI / 2;
        return { x: 500 + 276 * Math.cos(angle), y: middle + 276 * Math.sin(angle) };
      });
    case 'one-row':
      return at.map((index) => ({ x: spread(index, count), y: middle }));
    case 'two-rows': {
      const top = Math.ceil(count / 2);
      return at.map((index) =>
        index < top
          ? { x: spread(index, top), y: middle - 150 }
          : { x: spread(index - top, top), y: middle + 150 },
      );
    }
    case 'list': {
      const width = count <= 6 ? count : Math.ceil(Math.sqrt(count * 1.8));
      const lines = Math.ceil(count / width);
      const step = lines === 1 ? 0 : 400 / (lines - 1);
      return at.map((index) => ({
        x: spread(index % width, width),
        y: lines === 1 ? middle : middle - 200 + step * Math.floor(index / width),
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
    const y = middle.y + (fieldHeight(layout) / 2 - middle.y) * pull;
    return `M${from.x} ${from.y}Q${x} ${y} ${to.x} ${to.y}`;
  }
  const level = Math.abs(from.y - to.y) < 1;
  const side = level ? (from.y <= fieldHeight(layout) / 2 ? 1 : -1) : 0;
  const bend = level ? side * Math.min(150, 50 + span * 0.2 + lane * 16) : 0;
  const shift = level ? 0 : lane * 10;
  return `M${from.x} ${from.y}Q${middle.x + shift} ${middle.y + bend} ${to.x} ${to.y}`;
}
