/** @jsxImportSource @which-way/drawing */
import { colorsOf } from '@which-way/core/log';
import type { Structure, Terminal, TerminalId } from '@which-way/core/switch';
import { arrange, linkPath, type Arrangement, type ArrangedSwitch } from './arrangement.js';
import { groundMark, linkMark, terminalMark, type GroundSaid } from './marks.js';
import { piecesOf, type Drawn, type Picture } from './shape.js';
import type { Strand } from './strand.js';

/** A wire that moves from a lug of the old switch to one of the new. */
export interface MovedWire {
  from: TerminalId;
  /** Place of the new one's lug. */
  to: number;
  /** Its tag and colour code; empty where it has none. */
  tag: string;
  color: string;
}

/** An old switch beside its replacement, in one position. */
export interface SideBySide {
  old: Pick<Structure, 'terminals' | 'layout' | 'placed'>;
  /** Labels of the new one's lugs. How they lie on it nobody has said: they are drawn in two rows. */
  fresh: readonly string[];
  wires: readonly MovedWire[];
  /** Lugs of the new one that are tied by an added junction. */
  ties: readonly (readonly number[])[];
  strand: Strand;
  /** Joins in the position that is shown. */
  oldJoins: readonly (readonly [TerminalId, TerminalId])[];
  freshJoins: readonly (readonly [number, number])[];
  /** Joins of the new one that the old one has not, or that it lacks: drawn as what differs. */
  differs: ReadonlySet<string>;
}

/** Sizes in the drawing's own measure. */
const SCALE = 0.52;
const [LEFT, RIGHT, WIDTH, TOP] = [0, 780, 1300, 56];

export const joinKey = (one: number, other: number): string => [one, other].toSorted((a, b) => a - b).join();

/** Both switches from the terminal side, the wires between them in their own colours. */
export function sideBySidePicture(
  drawn: SideBySide,
  said: GroundSaid & { old: string; fresh: string; caption: string },
): Picture {
  const fresh = drawn.fresh.map((label, place): Terminal => ({
    ...{ id: `new ${place}` as TerminalId, label, marking: null, role: 'contact' },
  }));
  const before = side(drawn.old, LEFT);
  const after = side({ terminals: fresh, layout: { kind: 'two-rows' }, placed: [] }, RIGHT);
  const height = Math.max(before.height, after.height);
  const freshId = (place: number) => fresh[place]?.id as TerminalId;
  const oldLinks = drawn.oldJoins.map(([from, to]) => ({ from, to, differs: false }));
  const freshLinks = drawn.freshJoins.map(([one, other]) => ({
    ...{ from: freshId(one), to: freshId(other), differs: drawn.differs.has(joinKey(one, other)) },
  }));
  const ties = drawn.ties.flatMap((places) =>
    places.slice(1).map((place, at) => ({ from: freshId(places[at] as number), to: freshId(place) })),
  );
  const wires = drawn.wires.map((wire, at) => {
    const [from, to] = [before.at(wire.from), after.at(freshId(wire.to))];
    return from && to ? wireLine(from, to, wire, at, drawn.wires.length) : null;
  });
  return {
    width: WIDTH,
    height: height + TOP,
    caption: said.caption,
    shapes: piecesOf([
      heading(said.old, LEFT + 500 * SCALE),
      heading(said.fresh, RIGHT + 500 * SCALE),
      before.grounds(said),
      after.grounds(said),
      before.links(oldLinks, drawn.strand),
      after.links(freshLinks, drawn.strand),
      after.ties(ties),
      wires.map((wire) => wire?.line),
      before.lugs(),
      after.lugs(),
      wires.map((wire) => wire?.tag),
    ]),
  };
}

const heading = (text: string, x: number): Drawn => (
  <text x={x} y={34} fontSize={30} fontWeight={700} textAnchor="middle" fill="var(--ink)">
    {text.length > 34 ? `${text.slice(0, 33)}…` : text}
  </text>
);

interface Joined {
  from: TerminalId;
  to: TerminalId;
}

/** One of the two, at its place in the whole. */
function side(drawn: ArrangedSwitch, left: number) {
  const arrangement: Arrangement = arrange(drawn, 'terminal');
  const { places, radius, height } = arrangement;
  const move = (inside: Drawn): Drawn => (
    <g transform={`translate(${left} ${TOP}) scale(${SCALE})`}>{inside}</g>
  );
  const path = ({ from, to }: Joined) => {
    const [one, other] = [places.get(from), places.get(to)];
    return one && other ? linkPath(one, other, arrangement) : '';
  };
  return {
    height: height * SCALE,
    at: (id: TerminalId) => {
      const place = places.get(id);
      return place && { x: left + place.x * SCALE, y: TOP + place.y * SCALE };
    },
    // A photo is not drawn here: its pins are.
    grounds: (said: GroundSaid) =>
      move(
        arrangement.ground.filter(({ kind }) => kind !== 'photo').map((one) => groundMark(one, null, said)),
      ),
    links: (links: readonly (Joined & { differs: boolean })[], strand: Strand) =>
      move(links.map((link) => linkMark(path(link), { strand, disputed: link.differs }))),
    ties: (ties: readonly Joined[]) =>
      move(
        ties.map((tie) => (
          <path d={path(tie)} fill="none" stroke="var(--ink)" strokeWidth={14} strokeDasharray="26 12" />
        )),
      ),
    lugs: () =>
      move(
        drawn.terminals.map((terminal) => {
          const { x, y } = places.get(terminal.id) ?? { x: 500, y: height / 2 };
          return <g transform={`translate(${x} ${y})`}>{terminalMark(terminal, radius, 'plain', null)}</g>;
        }),
      ),
  };
}

interface Point {
  x: number;
  y: number;
}

/** A wire in its own colours between two neutral edges, and its tag where the wires lie apart from each other. */
function wireLine(
  from: Point,
  to: Point,
  { tag, color }: MovedWire,
  at: number,
  all: number,
): { line: Drawn; tag: Drawn } {
  const middle = (from.x + to.x) / 2;
  const path = `M${from.x} ${from.y}C${middle} ${from.y} ${middle} ${to.y} ${to.x} ${to.y}`;
  const colors = colorsOf(color) ?? [];
  const [first, second] = colors;
  const plain = { d: path, fill: 'none', strokeLinecap: 'round' };
  // Along the curve at a share of its own, so that tags do not lie on one another.
  const share = 0.32 + (0.36 * (at + 0.5)) / all;
  const point = along(from, to, middle, share);
  const text = [tag, color].filter(Boolean).join(' ');
  return {
    line: (
      <g opacity={0.95}>
        <path {...plain} stroke="var(--quiet)" strokeWidth={10} />
        <path {...plain} stroke={first?.shown ?? 'var(--paper)'} strokeWidth={6} />
        {second && (
          <path
            {...plain}
            stroke={second.shown}
            strokeWidth={6}
            strokeDasharray="14 14"
            strokeLinecap="butt"
          />
        )}
      </g>
    ),
    tag: text !== '' && (
      <g transform={`translate(${point.x} ${point.y})`}>
        <rect
          x={-12 - text.length * 7}
          y={-17}
          width={24 + text.length * 14}
          height={34}
          rx={17}
          fill="var(--sheet)"
          stroke="var(--quiet)"
          strokeWidth={2}
        />
        <text
          textAnchor="middle"
          dominantBaseline="central"
          fontFamily="var(--font-mono)"
          fontWeight={700}
          fontSize={22}
          fill="var(--ink)"
        >
          {text}
        </text>
      </g>
    ),
  };
}

/** A point of the curve from one to another that leaves and arrives level. */
function along(from: Point, to: Point, middle: number, t: number): Point {
  const u = 1 - t;
  const mix = (a: number, b: number, c: number, d: number) =>
    u * u * u * a + 3 * u * u * t * b + 3 * u * t * t * c + t * t * t * d;
  return { x: mix(from.x, middle, middle, to.x), y: mix(from.y, from.y, to.y, to.y) };
}
