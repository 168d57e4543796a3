/** @jsxImportSource @which-way/drawing */
import type { Drawn } from '../shape.js';
import {
  BOX_LEFT,
  BOX_WIDTH,
  CARRIES,
  LOAD_LEFT,
  LOAD_WIDTH,
  RADIUS,
  TOP,
  type MachineDrawn,
  type MachineLead,
  type MachineLoad,
  type Point,
} from './machine-drawn.js';

export const heightOf = (load: MachineLoad | undefined): number =>
  load ? Math.max(78, 30 + Math.ceil(load.ends.length / 2) * 30) : 0;

/** What the lugs of the switch lie on. */
export function bodyMark(name: string, inside: number): Drawn {
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
export function belowOf(supplies: MachineDrawn['supplies'], at: number): boolean {
  const side = supplies.filter(({ live }) => live === supplies[at]?.live);
  const rank = side.indexOf(supplies[at] as (typeof side)[number]);
  return rank % 2 === 1 && side.some(({ name }) => name.length > SHORT);
}

export function railMark(
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

export function leadMark(
  { text, carries }: MachineLead,
  { path, text: at }: { path: string; text: Point },
): Drawn {
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

export function joinMark(a: Point, b: Point, carries: boolean): Drawn {
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

export function lugMark(text: string, { x, y }: Point): Drawn {
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
export function loadMark({ name, ends, says, look }: MachineLoad, at: number): Drawn {
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
