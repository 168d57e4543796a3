/** @jsxImportSource @which-way/drawing */
import { colorsOf } from '@which-way/core/log';
import type { TerminalId } from '@which-way/core/switch';
import { arrange } from './arrangement.js';
import { legible, type Least } from './legible.js';
import { linkMark } from './marks.js';
import { terminalMark } from './terminal-mark.js';
import { piecesOf, type Drawn, type Picture } from './shape.js';
import { joinKey, type SideBySide } from './side-by-side.js';

/** Sizes in the drawing's own measure: a row a lug, the lugs of the one left of the wires and those of the other right of them. */
const [WIDTH, HEADING, ROW, LUG] = [820, 64, 76, 32];
const [OLD, FRESH] = [280, 540];
/** The box around a column of lugs, from the lugs outwards; joins run within it. */
const BOX = 260;
const [FIRST_LANE, LANE, MOST_LANES] = [40, 16, 6];

/**
 * The old switch and the new one as two columns of lugs, each wire one line in its own colours from the old lug to the new: what a hand
 * does that moves them. The old lugs stand in the order in which they lie, row by row, the new ones in the order of their labels' list.
 * Joins of the position that is shown run outside the columns.
 */
export function lugOnLugPicture(
  drawn: SideBySide,
  said: { old: string; fresh: string; caption: string },
  least: Least = 0,
): Picture {
  const old = inOrder(drawn);
  const rows = Math.max(old.length, drawn.fresh.length);
  const height = HEADING + rows * ROW + 24;
  const y = (row: number) => HEADING + (row + 0.5) * ROW;
  const rowOf = new Map(old.map((id, row) => [id, row]));
  const wired = new Set(drawn.wires.map(({ to }) => to));
  const labels = new Map(drawn.old.terminals.map((terminal) => [terminal.id, terminal]));
  const oldJoins = drawn.oldJoins.map(([a, b]) => join(rowOf.get(a) ?? 0, rowOf.get(b) ?? 0));
  const freshJoins = drawn.freshJoins.map(([a, b]) => ({
    ...join(a, b),
    differs: drawn.differs.has(joinKey(a, b)),
  }));
  const arc = (x: number, out: number, { from, to }: Join, lane: number) => {
    const reach = x + out * (FIRST_LANE + (lane % MOST_LANES) * LANE);
    return `M${x} ${y(from)}C${reach} ${y(from)} ${reach} ${y(to)} ${x} ${y(to)}`;
  };
  const ties = drawn.ties.flatMap((places) =>
    places.slice(1).map((place, at) => join(places[at] as number, place)),
  );
  return {
    width: WIDTH,
    height,
    caption: said.caption,
    shapes: piecesOf([
      heading(said.old, OLD - BOX + 8, least),
      heading(said.fresh, FRESH - 50, least),
      box(OLD - BOX, old.length),
      box(FRESH - 50, drawn.fresh.length),
      drawn.wires.map((wire) => {
        const from = rowOf.get(wire.from);
        return from === undefined ? null : wireLine(curve(y(from), y(wire.to)), wire.color);
      }),
      oldJoins.map((one, lane) => linkMark(arc(OLD - LUG, -1, one, lane), { strand: drawn.strand })),
      freshJoins.map((one, lane) =>
        linkMark(arc(FRESH + LUG, 1, one, lane), { strand: drawn.strand, disputed: one.differs }),
      ),
      ties.map((tie, lane) => (
        <path
          d={arc(FRESH + LUG, 1, tie, freshJoins.length + lane)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={8}
          strokeDasharray="16 8"
        />
      )),
      old.map((id, row) => {
        const terminal = labels.get(id);
        return terminal ? at(OLD, y(row), terminalMark(terminal, LUG, 'plain', null, least)) : null;
      }),
      drawn.fresh.map((label, row) =>
        at(
          FRESH,
          y(row),
          terminalMark(
            { id: `new ${row}` as TerminalId, label, marking: null, role: 'contact' },
            LUG,
            wired.has(row) ? 'plain' : 'not-needed',
            null,
            least,
          ),
        ),
      ),
      tags(drawn, (id) => y(rowOf.get(id) ?? 0)),
    ]),
  };
}

interface Join {
  from: number;
  to: number;
}

const join = (from: number, to: number): Join => ({ from, to });

/** The old lugs as they lie, row by row, seen from the side that is shown. */
function inOrder({ old, seenFrom = 'terminal' }: SideBySide): TerminalId[] {
  const { places, radius } = arrange(old, seenFrom);
  const ids = old.terminals.map(({ id }) => id);
  // In a ring, or where they were put by hand, the list is the order that a person reads.
  if (!['one-row', 'two-rows'].includes(old.layout.kind)) return ids;
  const row = (id: TerminalId) => Math.round((places.get(id)?.y ?? 0) / (2 * radius));
  const across = (id: TerminalId) => places.get(id)?.x ?? 0;
  return ids.toSorted((one, other) => row(one) - row(other) || across(one) - across(other));
}

const at = (x: number, y: number, inside: Drawn): Drawn => <g transform={`translate(${x} ${y})`}>{inside}</g>;

/** A name above its column: a long one smaller and in two lines, the longest cut. */
function heading(text: string, x: number, least: Least): Drawn {
  const [lines, size] = text.length > MOST_LARGE ? [inTwo(text), 23] : [[text], 30];
  return lines.map((line, index) => (
    <text
      x={x}
      y={lines.length > 1 ? 26 + index * 27 : 38}
      fontSize={legible(size, least)}
      fontWeight={700}
      fill="var(--ink)"
    >
      {line.length > MOST_SMALL ? `${line.slice(0, MOST_SMALL - 1)}…` : line}
    </text>
  ));
}

/** Broken between two words, where the two lines are most alike. */
function inTwo(text: string): string[] {
  const gaps = [...text.matchAll(/ /g)].map(({ index }) => index);
  const middle = gaps.toSorted((a, b) => Math.abs(a - text.length / 2) - Math.abs(b - text.length / 2))[0];
  return middle === undefined ? [text] : [text.slice(0, middle), text.slice(middle + 1)];
}

/** Letters of a name that the column takes in large type, and in a line of small type. */
const [MOST_LARGE, MOST_SMALL] = [18, 24];

const box = (x: number, rows: number): Drawn => (
  <rect
    x={x}
    y={HEADING}
    width={BOX + 50}
    height={rows * ROW}
    rx={10}
    fill="var(--sheet)"
    stroke="var(--line)"
    strokeWidth={2}
  />
);

/** From the right of an old lug to the left of a new one. */
const curve = (from: number, to: number): string =>
  `M${OLD + LUG} ${from}C${OLD + 140} ${from} ${FRESH - 140} ${to} ${FRESH - LUG} ${to}`;

/** A wire in its own colours between two neutral edges, parted from those that it crosses. */
function wireLine(path: string, color: string): Drawn {
  const [first, second] = colorsOf(color) ?? [];
  const plain = { d: path, fill: 'none' };
  return (
    <g>
      <path {...plain} stroke="var(--paper)" strokeWidth={20} />
      <path {...plain} stroke="var(--quiet)" strokeWidth={13} />
      <path {...plain} stroke={first?.shown ?? 'var(--paper)'} strokeWidth={9} />
      {second && <path {...plain} stroke={second.shown} strokeWidth={9} strokeDasharray="22 22" />}
    </g>
  );
}

/** What the wires of a lug are called, left of it; joins run between the two. */
function tags({ wires }: SideBySide, y: (id: TerminalId) => number): Drawn[] {
  const of = new Map<TerminalId, string[]>();
  for (const { from, tag, color } of wires)
    if (tag !== '') of.set(from, [...(of.get(from) ?? []), `${tag} ${color}`.trim()]);
  return [...of].map(([id, names]) => (
    <text x={OLD - BOX + 14} y={y(id) + 9} fontSize={28} fontFamily="var(--font-mono)" fill="var(--ink)">
      {names.join(', ').slice(0, 14)}
    </text>
  ));
}
