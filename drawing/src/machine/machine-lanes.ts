import {
  BOX_LEFT,
  BOX_WIDTH,
  LANE,
  LOAD_LEFT,
  LOAD_WIDTH,
  TOP,
  type MachineLead,
  type MachineLug,
  type MachinePoint,
  type Point,
} from './machine-drawn.js';
import type { MachinePlaces } from './machine-places.js';

/** Out of its point to a lane, along it, and into its other point. */
export function routed(
  places: MachinePlaces,
  { from, to }: MachineLead,
  at: number,
): { path: string; text: Point } {
  const { railX, inside, endAt } = places;
  const { lugs } = places.drawn;
  const lane = at * LANE;
  const gutter = BOX_LEFT + BOX_WIDTH + 30 + ((at * 37) % 150);
  const low = TOP + inside + 34 + lane;
  const [one, other] = [pointOf(places, from), pointOf(places, to)];
  if (to.at === 'supply') {
    const rail = railX[to.supply] as number;
    const toLeft = rail < BOX_LEFT;
    if (from.at === 'lug' && (lugs[from.lug] as MachineLug).side === 'supply' && toLeft)
      return { path: `M${one.x} ${one.y}H${rail}`, text: { x: (rail + BOX_LEFT) / 2 + 16, y: one.y - 8 } };
    const outRight = from.at === 'load' && one.x > LOAD_LEFT;
    if (outRight && !toLeft)
      return { path: `M${one.x} ${one.y}H${rail}`, text: { x: (one.x + rail) / 2, y: one.y - 8 } };
    // Down to a lane of its own under everything, and along it.
    const away =
      from.at === 'lug'
        ? lugExit(one, lugs[from.lug] as MachineLug, at)
        : one.x + (outRight ? 16 : -16) - (at % 5) * 6;
    return {
      path: `M${one.x} ${one.y}H${away}V${low}H${rail}`,
      text: { x: (away + rail) / 2, y: low - 6 },
    };
  }
  if (from.at === 'lug' && to.at === 'load') {
    const end = endAt(to);
    const start = (lugs[from.lug] as MachineLug).side === 'load' ? '' : `V${low}`;
    const into = end.side === 'left' ? gutter : LOAD_LEFT + LOAD_WIDTH + 18 + (at % 5) * 9;
    if (end.side === 'left')
      return {
        path: `M${one.x} ${one.y}${start}H${into}V${other.y}H${other.x}`,
        text: { x: BOX_LEFT + BOX_WIDTH + 10, y: one.y - 8 },
      };
    return {
      path: `M${one.x} ${one.y}${start}H${gutter}V${low}H${into}V${other.y}H${other.x}`,
      text: { x: BOX_LEFT + BOX_WIDTH + 10, y: one.y - 8 },
    };
  }
  const [out, into] = [besideLoad(one, at), besideLoad(other, at)];
  const between = out === into ? '' : `V${low}H${into}`;
  return { path: `M${one.x} ${one.y}H${out}${between}V${other.y}H${other.x}`, text: { x: into, y: low } };
}

/** A lane beside the loads, on the side of one of their ends. */
function besideLoad({ x }: Point, at: number): number {
  const away = 18 + (at % 5) * 9;
  return x === LOAD_LEFT ? LOAD_LEFT - away : LOAD_LEFT + LOAD_WIDTH + away;
}

function lugExit(one: Point, { side }: MachineLug, at: number): number {
  return side === 'supply' ? BOX_LEFT - 14 - (at % 5) * 8 : one.x + 44 + (at % 5) * 8;
}

function pointOf({ railX, bottom, lugAt, endAt }: MachinePlaces, point: MachinePoint): Point {
  switch (point.at) {
    case 'lug':
      return lugAt(point.lug);
    case 'supply':
      return { x: railX[point.supply] as number, y: bottom };
    case 'load':
      return endAt(point);
  }
}
