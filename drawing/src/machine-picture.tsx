/** @jsxImportSource @which-way/drawing */
import { piecesOf, type Drawn, type Picture } from './shape.js';

/** A lug of the switch in a machine's picture. */
export interface MachineLug {
  label: string;
  /** Which side of the switch it stands on: towards the supplies, or towards the loads. */
  side: 'supply' | 'load';
}

/** A lead: from a lug, a supply or an end of a load to another. */
export interface MachineLead {
  from: MachinePoint;
  to: MachinePoint;
  text: string;
  carries: boolean;
}

export type MachinePoint =
  { at: 'lug'; lug: number } | { at: 'supply'; supply: number } | { at: 'load'; load: number; end: number };

export interface MachineLoad {
  name: string;
  /** Names of its ends, in order: those of the first half stand left. */
  ends: readonly string[];
  says: string;
  look: 'on' | 'off' | 'live' | 'unknown';
}

/** What is drawn of a machine in one setting. */
export interface MachineDrawn {
  supplies: readonly { name: string; live: boolean }[];
  lugs: readonly MachineLug[];
  joins: readonly { a: number; b: number; carries: boolean }[];
  loads: readonly MachineLoad[];
  leads: readonly MachineLead[];
  switchName: string;
}

interface Point {
  x: number;
  y: number;
}

const WIDTH = 1000;
const TOP = 70;
const ROW = 74;
const [BOX_LEFT, BOX_WIDTH] = [190, 210];
const [LOAD_LEFT, LOAD_WIDTH] = [610, 190];
const RADIUS = 24;
/** The first rail on each side, and how far the next stands from it. */
const RAILS = { live: 50, back: 950, step: 34 } as const;
const LANE = 13;
const CARRIES = 'var(--teal)';

/** A machine laid out by rule: live supplies left, the switch, the loads, the returns right; a lead has a lane of its own. */
export function machinePicture(drawn: MachineDrawn, caption: string): Picture {
  const { supplies, lugs, joins, loads, leads } = drawn;
  const left = lugs.filter(({ side }) => side === 'supply');
  const right = lugs.filter(({ side }) => side === 'load');
  const rows = Math.max(left.length, right.length, 1);
  const loadTops = topsOf(loads);
  const inside = Math.max(rows * ROW, (loadTops.at(-1) ?? 0) + heightOf(loads.at(-1)));
  const bottom = TOP + inside + 20 + leads.length * LANE;
  const lugAt = (at: number): Point => {
    const lug = lugs[at] as MachineLug;
    const column = lug.side === 'supply' ? left : right;
    const step = inside / Math.max(column.length, 1);
    return {
      x: lug.side === 'supply' ? BOX_LEFT + 26 : BOX_LEFT + BOX_WIDTH - 26,
      y: TOP + step * (column.indexOf(lug) + 0.5),
    };
  };
  const railX = railsOf(supplies);
  const endAt = ({ load, end }: { load: number; end: number }): Point & { side: 'left' | 'right' } => {
    const { ends } = loads[load] as MachineLoad;
    const half = Math.ceil(ends.length / 2);
    const onLeft = end < half;
    const row = onLeft ? end : end - half;
    const y = TOP + (loadTops[load] ?? 0) + 34 + row * 30;
    return { x: onLeft ? LOAD_LEFT : LOAD_LEFT + LOAD_WIDTH, y, side: onLeft ? 'left' : 'right' };
  };
  const shapes = [
    supplies.map((supply, at) =>
      railMark(supply, { x: railX[at] as number, bottom, below: belowOf(supplies, at) }),
    ),
    bodyMark(drawn.switchName, inside),
    leads
      .map((lead, at) => ({ lead, at }))
      .toSorted((one, other) => Number(one.lead.carries) - Number(other.lead.carries))
      .map(({ lead, at }) => leadMark(lead, routed(lead, at))),
    joins.map(({ a, b, carries }) => joinMark(lugAt(a), lugAt(b), carries)),
    lugs.map((lug, at) => lugMark(lug.label, lugAt(at))),
    loads.map((load, at) => loadMark(load, loadTops[at] ?? 0)),
  ];
  return { width: WIDTH, height: bottom + 36, shapes: piecesOf(shapes), caption };

  /** Out of its point to a lane, along it, and into its other point. */
  function routed({ from, to }: MachineLead, at: number): { path: string; text: Point } {
    const lane = at * LANE;
    const gutter = BOX_LEFT + BOX_WIDTH + 30 + ((at * 37) % 150);
    const low = TOP + inside + 34 + lane;
    const [one, other] = [pointOf(from), pointOf(to)];
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
        from.at === 'lug' ? lugExit(one, from.lug, at) : one.x + (outRight ? 16 : -16) - (at % 5) * 6;
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

  function lugExit(one: Point, lug: number, at: number): number {
    return (lugs[lug] as MachineLug).side === 'supply'
      ? BOX_LEFT - 14 - (at % 5) * 8
      : one.x + 44 + (at % 5) * 8;
  }

  function pointOf(point: MachinePoint): Point {
    switch (point.at) {
      case 'lug':
        return lugAt(point.lug);
      case 'supply':
        return { x: railX[point.supply] as number, y: bottom };
      case 'load':
        return endAt(point);
    }
  }
}

/** What the lugs of the switch lie on. */
function bodyMark(name: string, inside: number): Drawn {
  return (
    <>
      <rect
        x={BOX_LEFT}
        y={TOP - 16}
        width={BOX_WIDTH}
        height={inside + 32}
        rx={10}
        fill="var(--sheet)"
        stroke="var(--line)"
        strokeWidth={3}
      />
      {label(name, { x: BOX_LEFT + BOX_WIDTH / 2, y: TOP - 28, anchor: 'middle', size: 22 })}
    </>
  );
}

const heightOf = (load: MachineLoad | undefined): number =>
  load ? Math.max(78, 30 + Math.ceil(load.ends.length / 2) * 30) : 0;

function topsOf(loads: readonly MachineLoad[]): number[] {
  let top = 0;
  return loads.map((load) => {
    const here = top;
    top += heightOf(load) + 26;
    return here;
  });
}

function railsOf(supplies: MachineDrawn['supplies']): number[] {
  let [live, back] = [0, 0];
  return supplies.map((supply) =>
    supply.live ? RAILS.live + RAILS.step * live++ : RAILS.back - RAILS.step * back++,
  );
}

interface Label {
  x: number;
  y: number;
  anchor: 'start' | 'middle' | 'end';
  size: number;
  bold?: boolean;
}

function label(text: string, { x, y, anchor, size, bold = false }: Label): Drawn {
  return (
    <text x={x} y={y} fontSize={size} fontWeight={bold ? 700 : 400} textAnchor={anchor} fill="var(--ink)">
      {text}
    </text>
  );
}

/** The longest name that stands above its rail beside others. */
const SHORT = 2;

/** Whether the name of a rail stands below it: every second one of a side, where it is too long to stand beside its neighbour. */
function belowOf(supplies: MachineDrawn['supplies'], at: number): boolean {
  const side = supplies.filter(({ live }) => live === supplies[at]?.live);
  const rank = side.indexOf(supplies[at] as (typeof side)[number]);
  return rank % 2 === 1 && side.some(({ name }) => name.length > SHORT);
}

function railMark(
  { name, live }: { name: string; live: boolean },
  { x, bottom, below }: { x: number; bottom: number; below: boolean },
): Drawn {
  return (
    <>
      <line x1={x} y1={40} x2={x} y2={bottom} stroke="var(--ink)" strokeWidth={live ? 9 : 5} />
      {label(name, { x, y: below ? bottom + 26 : 28, anchor: live ? 'start' : 'end', size: 24, bold: true })}
    </>
  );
}

function leadMark({ text, carries }: MachineLead, { path, text: at }: { path: string; text: Point }): Drawn {
  return (
    <>
      {carries && <path d={path} fill="none" stroke="var(--paper)" strokeWidth={14} strokeLinejoin="round" />}
      <path
        d={path}
        fill="none"
        stroke={carries ? CARRIES : 'var(--ink)'}
        strokeWidth={carries ? 8 : 2.5}
        strokeLinejoin="round"
      />
      {text !== '' && label(text, { x: at.x, y: at.y, anchor: 'start', size: 19 })}
    </>
  );
}

function joinMark(a: Point, b: Point, carries: boolean): Drawn {
  const bend = a.x === b.x ? (a.x < BOX_LEFT + BOX_WIDTH / 2 ? 60 : -60) : 0;
  const path =
    bend === 0
      ? `M${a.x} ${a.y}L${b.x} ${b.y}`
      : `M${a.x} ${a.y}Q${a.x + bend} ${(a.y + b.y) / 2} ${b.x} ${b.y}`;
  return (
    <path
      d={path}
      fill="none"
      stroke={carries ? CARRIES : 'var(--ink)'}
      strokeWidth={carries ? 8 : 4}
      strokeLinecap="round"
    />
  );
}

function lugMark(text: string, { x, y }: Point): Drawn {
  return (
    <g transform={`translate(${x} ${y})`}>
      <circle r={RADIUS} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={3} />
      <text
        textAnchor="middle"
        dominantBaseline="central"
        fontFamily="var(--font-mono)"
        fontWeight={700}
        fontSize={Math.min(23, 60 / Math.max(1, text.length))}
        fill="var(--ink)"
      >
        {text}
      </text>
    </g>
  );
}

const LOOK: Record<MachineLoad['look'], { fill: string; stroke: string; dash?: string; width: number }> = {
  on: { fill: 'var(--sheet)', stroke: CARRIES, width: 6 },
  off: { fill: 'var(--sheet)', stroke: 'var(--ink)', width: 2.5 },
  live: { fill: 'var(--sheet)', stroke: 'var(--brick)', width: 5 },
  unknown: { fill: 'none', stroke: 'var(--quiet)', width: 2.5, dash: '8 7' },
};

/** A load: its name, what it does in words, and its ends. */
function loadMark({ name, ends, says, look }: MachineLoad, at: number): Drawn {
  const { fill, stroke, dash, width } = LOOK[look];
  const top = TOP + at;
  const half = Math.ceil(ends.length / 2);
  const many = ends.length > 2;
  return (
    <>
      <rect
        x={LOAD_LEFT}
        y={top}
        width={LOAD_WIDTH}
        height={heightOf({ name, ends, says, look })}
        rx={8}
        fill={fill}
        stroke={stroke}
        strokeWidth={width}
        strokeDasharray={dash}
      />
      {label(name.length > 16 ? `${name.slice(0, 15)}…` : name, {
        x: LOAD_LEFT + LOAD_WIDTH / 2,
        y: top + 30,
        anchor: 'middle',
        size: 22,
        bold: true,
      })}
      {label(says, { x: LOAD_LEFT + LOAD_WIDTH / 2, y: top + 58, anchor: 'middle', size: 20 })}
      {many &&
        ends.map((end, index) =>
          label(end, {
            x: index < half ? LOAD_LEFT + 8 : LOAD_LEFT + LOAD_WIDTH - 8,
            y: top + 40 + (index < half ? index : index - half) * 30,
            anchor: index < half ? 'start' : 'end',
            size: 17,
          }),
        )}
    </>
  );
}
