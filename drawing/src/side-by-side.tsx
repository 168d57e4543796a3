/** @jsxImportSource @which-way/drawing */
import { colorsOf } from '@which-way/core/log';
import type { Side, Structure, Terminal, TerminalId } from '@which-way/core/switch';
import { arrange, linkPath, type Arrangement, type ArrangedSwitch } from './arrangement.js';
import { groundMark, linkMark, wireMark, type GroundSaid } from './marks.js';
import { terminalMark } from './terminal-mark.js';
import { legible, type Least } from './legible.js';
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
  /** From which side both are seen; absent: from the terminals. */
  seenFrom?: Side;
  /** Labels of the new one's lugs. */
  fresh: readonly string[];
  /** How they lie, lug by lug like these; absent: nobody has said, and they are drawn in two rows. */
  freshLies?: Pick<Structure, 'terminals' | 'layout' | 'placed'>;
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
const [LEFT, RIGHT, WIDTH, HEADING] = [0, 780, 1300, 50];
/** Between lanes of wires, and between the nearest lane and what the lugs lie on: there the tags stand. */
const LANE = 16;
const TAGS = 44;

export const joinKey = (one: number, other: number): string => [one, other].toSorted((a, b) => a - b).join();

/** How the lugs of the new one lie. */
function liesOf({ freshLies }: SideBySide, fresh: readonly Terminal[]): SideBySide['old'] {
  if (!freshLies) return { terminals: fresh as Terminal[], layout: { kind: 'two-rows' }, placed: [] };
  const placeOf = new Map(freshLies.terminals.map(({ id }, place) => [id, place]));
  const placed = freshLies.placed.flatMap((spot) => {
    const there = fresh[placeOf.get(spot.terminal) ?? -1];
    return there ? [{ ...spot, terminal: there.id }] : [];
  });
  return { terminals: fresh as Terminal[], layout: freshLies.layout, placed };
}

/** Both switches from one side, the wires between them in their own colours. */
export function sideBySidePicture(
  drawn: SideBySide,
  said: GroundSaid & { old: string; fresh: string; caption: string },
  least: Least = 0,
): Picture {
  const fresh = drawn.fresh.map((label, place): Terminal => ({
    id: `new ${place}` as TerminalId,
    label,
    marking: null,
    role: 'contact',
  }));
  const { seenFrom = 'terminal' } = drawn;
  const upperFresh = upperOf(liesOf(drawn, fresh), seenFrom);
  const harness = harnessOf(drawn.wires, upperOf(drawn.old, seenFrom), (place) =>
    upperFresh(fresh[place]?.id as TerminalId),
  );
  const top = HEADING + harness.above * LANE + (harness.above > 0 ? TAGS : 10);
  const before = side(drawn.old, seenFrom, LEFT, top);
  const after = side(liesOf(drawn, fresh), seenFrom, RIGHT, top);
  const height = Math.max(before.height, after.height);
  const freshId = (place: number) => fresh[place]?.id as TerminalId;
  const oldLinks = drawn.oldJoins.map(([from, to]) => ({ from, to, differs: false }));
  const freshLinks = drawn.freshJoins.map(([one, other]) => ({
    from: freshId(one),
    to: freshId(other),
    differs: drawn.differs.has(joinKey(one, other)),
  }));
  const ties = drawn.ties.flatMap((places) =>
    places.slice(1).map((place, at) => ({ from: freshId(places[at] as number), to: freshId(place) })),
  );
  const laneY = ({ up, lane }: Lane) => (up ? top - TAGS - lane * LANE : top + height + TAGS + lane * LANE);
  const crowded = drawn.wires.length > MOST_CODES;
  const wires = drawn.wires.map((wire, at) => {
    const [from, to] = [before.at(wire.from), after.at(freshId(wire.to))];
    const lanes = harness.lanes[at];
    if (!from || !to || !lanes) return null;
    const gutter = LEFT + 560 + ((at + 0.5) * (RIGHT - LEFT - 600)) / drawn.wires.length;
    const [out, home] = [laneY(lanes.from), laneY(lanes.to)];
    const path = `M${from.x} ${from.y}V${out}H${gutter}V${home}H${to.x}V${to.y}`;
    const edge = lanes.from.up ? top - TAGS / 2 : top + height + TAGS / 2;
    return { line: wireLine(path, wire.color), tag: tagMark(wire, { x: from.x, y: edge }, crowded, least) };
  });
  return {
    width: WIDTH,
    height: top + height + (harness.below > 0 ? TAGS + harness.below * LANE : 10),
    caption: said.caption,
    shapes: piecesOf([
      heading(said.old, LEFT + 500 * SCALE, least),
      heading(said.fresh, RIGHT + 500 * SCALE, least),
      before.grounds(said, least / SCALE),
      after.grounds(said, least / SCALE),
      wires.map((wire) => wire?.line),
      before.links(oldLinks, drawn.strand),
      after.links(freshLinks, drawn.strand),
      after.ties(ties),
      before.lugs(least / SCALE),
      after.lugs(least / SCALE),
      wires.map((wire) => wire?.tag),
    ]),
  };
}

/** With more wires than this a tag shows its number alone. */
const MOST_CODES = 8;

/** A lane in which a wire runs: above or below, counted from what the lugs lie on. */
interface Lane {
  up: boolean;
  lane: number;
}

const heading = (text: string, x: number, least: Least): Drawn => (
  <text x={x} y={34} fontSize={legible(30, least)} fontWeight={700} textAnchor="middle" fill="var(--ink)">
    {text.length > 34 ? `${text.slice(0, 33)}…` : text}
  </text>
);

/** Whether a lug lies in the upper half of its switch; where all lie in one row every other one counts as upper. */
function upperOf(drawn: ArrangedSwitch, from: Side): (id: TerminalId) => boolean {
  const { places } = arrange(drawn, from);
  const all = [...places.values()].map(({ y }) => y);
  const [highest, lowest] = [Math.min(...all), Math.max(...all)];
  const order = [...places.keys()];
  return (id) =>
    lowest - highest < 20 ? order.indexOf(id) % 2 === 0 : (places.get(id)?.y ?? 0) < (highest + lowest) / 2;
}

/** A lane for each end of each wire, so that no two lie on one another; and how many there are above and below. */
function harnessOf(
  wires: readonly MovedWire[],
  upper: (id: TerminalId) => boolean,
  freshUpper: (place: number) => boolean,
): { lanes: { from: Lane; to: Lane }[]; above: number; below: number } {
  const count = { above: 0, below: 0 };
  const next = (up: boolean): Lane => ({ up, lane: up ? count.above++ : count.below++ });
  const lanes = wires.map(({ from, to }) => {
    const [out, home] = [upper(from), freshUpper(to)];
    const first = next(out);
    return { from: first, to: out === home ? first : next(home) };
  });
  return { lanes, ...count };
}

interface Joined {
  from: TerminalId;
  to: TerminalId;
}

/** One of the two, at its place in the whole. */
function side(drawn: ArrangedSwitch, from: Side, left: number, top: number) {
  const arrangement: Arrangement = arrange(drawn, from);
  const { places, radius, height } = arrangement;
  const move = (inside: Drawn): Drawn => (
    <g transform={`translate(${left} ${top}) scale(${SCALE})`}>{inside}</g>
  );
  const path = ({ from, to }: Joined) => {
    const [one, other] = [places.get(from), places.get(to)];
    return one && other ? linkPath(one, other, arrangement) : '';
  };
  return {
    height: height * SCALE,
    at: (id: TerminalId) => {
      const place = places.get(id);
      return place && { x: left + place.x * SCALE, y: top + place.y * SCALE };
    },
    // A photo is not drawn here: its pins are.
    grounds: (said: GroundSaid, least: Least) =>
      move(
        arrangement.ground
          .filter(({ kind }) => kind !== 'photo')
          .map((one) => groundMark(one, null, said, least)),
      ),
    links: (links: readonly (Joined & { differs: boolean })[], strand: Strand) =>
      move(links.map((link) => linkMark(path(link), { strand, disputed: link.differs }))),
    ties: (ties: readonly Joined[]) =>
      move(
        ties.map((tie) => (
          <path d={path(tie)} fill="none" stroke="var(--ink)" strokeWidth={14} strokeDasharray="26 12" />
        )),
      ),
    lugs: (least: Least) =>
      move(
        drawn.terminals.map((terminal) => {
          const { x, y } = places.get(terminal.id) ?? { x: 500, y: height / 2 };
          return (
            <g transform={`translate(${x} ${y})`}>{terminalMark(terminal, radius, 'plain', null, least)}</g>
          );
        }),
      ),
  };
}

interface Point {
  x: number;
  y: number;
}

/** A wire in its own colours between two neutral edges. */
function wireLine(path: string, color: string): Drawn {
  const [first, second] = colorsOf(color) ?? [];
  const plain = { d: path, fill: 'none', strokeLinejoin: 'round' };
  return (
    <g>
      <path {...plain} stroke="var(--quiet)" strokeWidth={9} />
      <path {...plain} stroke={first?.shown ?? 'var(--paper)'} strokeWidth={5.5} />
      {second && <path {...plain} stroke={second.shown} strokeWidth={5.5} strokeDasharray="14 14" />}
    </g>
  );
}

/** What a wire is called, on it; with many wires its number alone. */
function tagMark({ tag, color }: MovedWire, place: Point, crowded: boolean, least: Least): Drawn {
  if (tag === '') return null;
  return wireMark(
    { tag, color: crowded ? '' : color, liveThough: false },
    place,
    `${tag} ${color}`.trim(),
    least,
  );
}
