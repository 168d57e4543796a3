import {
  LANE,
  ROW,
  type MachineDrawn,
  type MachineLoad,
  type MachineLug,
  type MachineSheet,
  type Point,
} from './machine-drawn.js';
import { heightOf } from './machine-marks.js';

/** Where everything of a machine stands in its picture. */
export interface MachinePlaces {
  drawn: MachineDrawn;
  sheet: MachineSheet;
  railX: readonly number[];
  loadTops: readonly number[];
  /** How high the room between head and lanes is. */
  inside: number;
  /** Where the rails end. */
  bottom: number;
  /** The middle of a lug. */
  lugAt(at: number): Point;
  /** Where an end of a load is. */
  endAt(of: { load: number; end: number }): Point & { side: 'left' | 'right' };
}

/** Where everything stands, by rule: live supplies left, the switch, the loads, the returns right. */
export function placesOf(drawn: MachineDrawn, sheet: MachineSheet): MachinePlaces {
  const { top, boxLeft, boxWidth, loadLeft, loadWidth } = sheet;
  const { supplies, lugs, loads, leads } = drawn;
  const left = lugs.filter(({ side }) => side === 'supply');
  const right = lugs.filter(({ side }) => side === 'load');
  const rows = Math.max(left.length, right.length, 1);
  const loadTops = topsOf(loads, sheet);
  const inside = Math.max(rows * ROW, (loadTops.at(-1) ?? 0) + heightOf(loads.at(-1), sheet));
  const bottom = top + inside + 20 + leads.length * LANE;
  const lugAt = (at: number): Point => {
    const lug = lugs[at] as MachineLug;
    const column = lug.side === 'supply' ? left : right;
    const step = inside / Math.max(column.length, 1);
    return {
      x: lug.side === 'supply' ? boxLeft + 26 : boxLeft + boxWidth - 26,
      y: top + step * (column.indexOf(lug) + 0.5),
    };
  };
  const railX = railsOf(supplies, sheet);
  const endAt = ({ load, end }: { load: number; end: number }): Point & { side: 'left' | 'right' } => {
    const { ends } = loads[load] as MachineLoad;
    const half = Math.ceil(ends.length / 2);
    const onLeft = end < half;
    const row = onLeft ? end : end - half;
    const y = top + (loadTops[load] ?? 0) + 34 + row * 30;
    return { x: onLeft ? loadLeft : loadLeft + loadWidth, y, side: onLeft ? 'left' : 'right' };
  };
  return { drawn, sheet, railX, loadTops, inside, bottom, lugAt, endAt };
}

function topsOf(loads: readonly MachineLoad[], sheet: MachineSheet): number[] {
  let top = 0;
  return loads.map((load) => {
    const here = top;
    top += heightOf(load, sheet) + 26;
    return here;
  });
}

function railsOf(supplies: MachineDrawn['supplies'], sheet: MachineSheet): number[] {
  let [live, back] = [0, 0];
  return supplies.map((supply) =>
    supply.live ? sheet.live + sheet.step * live++ : sheet.back - sheet.step * back++,
  );
}
