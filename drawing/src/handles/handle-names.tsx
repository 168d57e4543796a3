/** @jsxImportSource @which-way/drawing */
import { reach } from '../legible.js';
import type { Drawn } from '../shape.js';
import { HANDLE_WIDTH, HEIGHT, INK, nameAt, type SeenHandle } from './seen-handle.js';

/** Where the name of a position would stand: the middle of its line, and which side of the name that point is. */
export interface NameSpot {
  x: number;
  y: number;
  anchor: 'start' | 'middle' | 'end';
}

/** A mark at a position. */
export interface Round {
  x: number;
  y: number;
  radius: number;
}

interface Placed extends NameSpot {
  name: string;
  here: boolean;
}

/** From the edge of the drawing, and between two names. */
const [EDGE, APART] = [3, 5];

/**
 * The names of a handle's positions, whole: all of them where they keep clear of one another, else the one alone where it
 * stands, else none. A name is never cut; what is left out is said beside the drawing.
 * @param rows ways to place them, the best first.
 */
export function HandleNames({
  drawn,
  rows,
}: {
  drawn: SeenHandle;
  rows: readonly ((index: number) => NameSpot)[];
}): Drawn {
  const { actuator, position, size } = drawn;
  const all = rows.map((spotOf) =>
    actuator.positions.map((one, index): Placed => {
      const name = nameAt(drawn, index);
      return { ...inside(spotOf(index), reach(name, size)), name, here: one === position };
    }),
  );
  const whole = all.find((names) => keepClear(names, size));
  const here = all.flatMap((names) => names.filter((one) => one.here && keepClear([one], size))).slice(0, 1);
  return (whole ?? here).map(({ name, x, y, anchor, here: bold }) => (
    <text
      x={x}
      y={y}
      textAnchor={anchor}
      dominantBaseline="central"
      fontSize={size}
      fontWeight={bold ? 800 : 500}
      fill={INK}
    >
      {name}
    </text>
  ));
}

/** A spot whose name lies within the drawing, where one in the middle would reach over its edge. */
function inside(spot: NameSpot, width: number): NameSpot {
  if (spot.anchor !== 'middle') return spot;
  const half = width / 2 + EDGE;
  return { ...spot, x: Math.min(Math.max(spot.x, half), HANDLE_WIDTH - half) };
}

/** What a name takes up, so high above and below its middle. */
function boxOf({ x, y, anchor }: NameSpot, name: string, size: number, half: number) {
  const width = reach(name, size);
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return { left, right: left + width, top: y - half, bottom: y + half };
}

/** Capitals reach this far above and below the middle of their line, in sizes of type. */
const CAPITAL = 0.38;

/** Whether a name would touch a round mark. */
export function touches(spot: NameSpot, name: string, size: number, mark: Round): boolean {
  const { left, right, top, bottom } = boxOf(spot, name, size, CAPITAL * size);
  const across = Math.max(left - mark.x, 0, mark.x - right);
  const down = Math.max(top - mark.y, 0, mark.y - bottom);
  return Math.hypot(across, down) < mark.radius;
}

function keepClear(names: readonly Placed[], size: number): boolean {
  const boxes = names.map((one) => boxOf(one, one.name, size, size / 2));
  return boxes.every(
    (one, index) =>
      one.left >= 0 &&
      one.right <= HANDLE_WIDTH &&
      one.top >= 0 &&
      one.bottom <= HEIGHT &&
      boxes
        .slice(index + 1)
        .every(
          (other) =>
            one.right + APART <= other.left ||
            other.right + APART <= one.left ||
            one.bottom <= other.top ||
            other.bottom <= one.top,
        ),
  );
}
