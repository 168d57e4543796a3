/** @jsxImportSource @which-way/drawing */
import { legible, reach, type Least } from '../legible.js';
import type { Drawn } from '../shape.js';
import {
  CARRIES,
  RADIUS,
  type MachineDrawn,
  type MachineLead,
  type MachineLoad,
  type MachineSheet,
  type Point,
} from './machine-drawn.js';

/** What a machine is drawn with. */
export interface Pen {
  sheet: MachineSheet;
  least: Least;
}

/** The size of a load's name, and from one line of it to the next. */
const [NAME, NAME_LINE] = [22, 25];

/** A load's name in as many lines as it takes; a single word is never broken. */
function nameLines(name: string, { loadWidth }: MachineSheet): string[] {
  const lines: string[] = [];
  for (const word of name.split(/\s+/)) {
    const longer = `${lines.at(-1) ?? ''} ${word}`.trim();
    if (lines.length > 0 && reach(longer, NAME) <= loadWidth) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

export function heightOf(load: MachineLoad | undefined, sheet: MachineSheet): number {
  if (!load) return 0;
  const lines = nameLines(load.name, sheet).length;
  return Math.max(78 + (lines - 1) * NAME_LINE, 30 + Math.ceil(load.ends.length / 2) * 30);
}

/** What the lugs of the switch lie on. */
export function bodyMark({ sheet, least }: Pen, name: string, inside: number): Drawn {
  const { top, boxLeft, boxWidth } = sheet;
  return (
    <>
      <rect
        x={boxLeft}
        y={top - 16}
        width={boxWidth}
        height={inside + 32}
        rx={10}
        fill="var(--sheet)"
        stroke="var(--line)"
        strokeWidth={3}
      />
      {label(name, { x: boxLeft + boxWidth / 2, y: top - 28, anchor: 'middle', size: legible(22, least) })}
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
  { least }: Pen,
  { name, live }: { name: string; live: boolean },
  { x, bottom, below }: { x: number; bottom: number; below: boolean },
): Drawn {
  return (
    <>
      <line x1={x} y1={40} x2={x} y2={bottom} stroke="var(--ink)" strokeWidth={live ? 9 : 5} />
      {label(name, {
        x,
        y: below ? bottom + 26 : 28,
        anchor: live ? 'start' : 'end',
        size: legible(24, least),
        bold: true,
      })}
    </>
  );
}

export function leadMark(
  { least }: Pen,
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
      {text !== '' && label(text, { x: at.x, y: at.y, anchor: 'start', size: legible(19, least) })}
    </>
  );
}

export function joinMark({ boxLeft, boxWidth }: MachineSheet, a: Point, b: Point, carries: boolean): Drawn {
  const bend = a.x === b.x ? (a.x < boxLeft + boxWidth / 2 ? 60 : -60) : 0;
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

export function lugMark({ least }: Pen, text: string, { x, y }: Point): Drawn {
  return (
    <g transform={`translate(${x} ${y})`}>
      <circle r={RADIUS} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={3} />
      <text
        textAnchor="middle"
        dominantBaseline="central"
        fontFamily="var(--font-mono)"
        fontWeight={700}
        fontSize={legible(Math.min(23, 60 / Math.max(1, text.length)), least)}
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
export function loadMark({ sheet, least }: Pen, load: MachineLoad, at: number): Drawn {
  const { name, ends, says, look } = load;
  const { loadLeft, loadWidth } = sheet;
  const { fill, stroke, dash, width } = LOOK[look];
  const top = sheet.top + at;
  const half = Math.ceil(ends.length / 2);
  const many = ends.length > 2;
  const lines = nameLines(name, sheet);
  const middle = { x: loadLeft + loadWidth / 2, anchor: 'middle' as const };
  return (
    <>
      <rect
        x={loadLeft}
        y={top}
        width={loadWidth}
        height={heightOf(load, sheet)}
        rx={8}
        fill={fill}
        stroke={stroke}
        strokeWidth={width}
        strokeDasharray={dash}
      />
      {lines.map((line, index) =>
        label(line, { ...middle, y: top + 30 + index * NAME_LINE, size: legible(NAME, least), bold: true }),
      )}
      {label(says, { ...middle, y: top + 33 + lines.length * NAME_LINE, size: legible(20, least) })}
      {many &&
        ends.map((end, index) =>
          label(end, {
            x: index < half ? loadLeft + 8 : loadLeft + loadWidth - 8,
            y: top + 40 + (index < half ? index : index - half) * 30,
            anchor: index < half ? 'start' : 'end',
            size: legible(17, least),
          }),
        )}
    </>
  );
}
