import {
  LANE,
  type MachineLead,
  type MachineLug,
  type MachinePoint,
  type MachineSheet,
  type Point,
} from './machine-drawn.js';
import type { MachinePlaces } from './machine-places.js';

/** Out of its point to a lane, along it, and into its other point. */
export function routed(
  places: MachinePlaces,
  { from, to }: MachineLead,
  at: number,
): { path: string; text: Point } {
  const { railX, inside, endAt, sheet } = places;
  const { boxLeft, boxWidth, loadLeft, loadWidth } = sheet;
  const { lugs } = places.drawn;
  const lane = at * LANE;
  const gutter = boxLeft + boxWidth + 30 + ((at * 37) % sheet.gutter);
  const low = sheet.top + inside + 34 + lane;
  const [one, other] = [pointOf(places, from), pointOf(places, to)];
  if (to.at === 'supply') {
    const rail = railX[to.supply] as number;
    const toLeft = rail < boxLeft;
    if (from.at === 'lug' && (lugs[from.lug] as MachineLug).side === 'supply' && toLeft)
      return { path: `M${one.x} ${one.y}H${rail}`, text: { x: (rail + boxLeft) / 2 + 16, y: one.y - 8 } };
    const outRight = from.at === 'load' && one.x > loadLeft;
    if (outRight && !toLeft)
      return { path: `M${one.x} ${one.y}H${rail}`, text: { x: (one.x + rail) / 2, y: one.y - 8 } };
    // Down to a lane of its own under everything, and along it.
    const away =
      from.at === 'lug'
        ? lugExit(sheet, one, lugs[from.lug] as MachineLug, at)
        : one.x + (outRight ? 16 : -16) - (at % 5) * 6;
    return {
      path: `M${one.x} ${one.y}H${away}V${low}H${rail}`,
      text: { x: (away + rail) / 2, y: low - 6 },
    };
  }
  if (from.at === 'lug' && to.at === 'load') {
    const end = endAt(to);
    const start = (lugs[from.lug] as MachineLug).side === 'load' ? '' : `V${low}`;
    const into = end.side === 'left' ? gutter : loadLeft + loadWidth + 18 + (at % 5) * 9;
    if (end.side === 'left')
      return {
        path: `M${one.x} ${one.y}${start}H${into}V${other.y}H${other.x}`,
        text: { x: boxLeft + boxWidth + 10, y: one.y - 8 },
      };
    return {
      path: `M${one.x} ${one.y}${start}H${gutter}V${low}H${into}V${other.y}H${other.x}`,
      text: { x: boxLeft + boxWidth + 10, y: one.y - 8 },
    };
  }
  const [out, into] = [besideLoad(sheet, one, at), besideLoad(sheet, other, at)];
  const between = out === into ? '' : `V${low}H${into}`;
  return { path: `M${one.x} ${one.y}H${out}${between}V${other.y}H${other.x}`, text: { x: into, y: low } };
}

/** A lane beside the loads, on the side of one of their ends. */
function besideLoad({ loadLeft, loadWidth }: MachineSheet, { x }: Point, at: number): number {
  const away = 18 + (at % 5) * 9;
  return x === loadLeft ? loadLeft - away : loadLeft + loadWidth + away;
}

function lugExit({ boxLeft }: MachineSheet, one: Point, { side }: MachineLug, at: number): number {
  return side === 'supply' ? boxLeft - 14 - (at % 5) * 8 : one.x + 44 + (at % 5) * 8;
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
