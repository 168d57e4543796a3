/** @jsxImportSource @which-way/drawing */
import { legible, type Least } from './legible.js';
import { piecesOf, type Picture, type Shape } from './shape.js';

/** A throw of a moving contact, with where it is closed. */
export interface DrawnThrow {
  label: string;
  /** Names of the settings in which it is closed; `returns`: the handle springs back from there. */
  closedAt: readonly { name: string; returns: boolean }[];
  /** Closed in the setting that is shown. */
  now: boolean;
}

/** One moving contact: its common and its throws. */
export interface DrawnMoving {
  label: string;
  throws: readonly DrawnThrow[];
}

/** What a schematic shows: the moving contacts of each pole, all moved by one handle, in one setting. */
export interface Schematic {
  poles: readonly (readonly DrawnMoving[])[];
  /** One handle moves them all: they are linked. */
  linked: boolean;
}

const ROW = 64;
const GAP = 34;
const COMMON_X = 220;
const THROW_X = 560;
const LINK_X = 390;
const TOP = 40;

const ink = 'var(--ink)';
const line = { stroke: ink, strokeWidth: 4, strokeLinecap: 'round', fill: 'none' };
const label = { fontSize: 30, fontFamily: 'var(--font-mono)', fontWeight: 700, fill: ink };

/**
 * Contacts as a circuit diagram draws them, simplified after the symbols of IEC 60617 (make and changeover contacts, a dashed
 * line for the mechanical link, a triangle for a position that springs back; from memory): arms as they stand in one setting.
 */
export function schematicPicture({ poles, linked }: Schematic, caption: string, least: Least = 0): Picture {
  let y = TOP;
  const arms: number[] = [];
  const drawn: (Shape | string)[] = [];
  for (const pole of poles) {
    for (const moving of pole) {
      const height = Math.max(1, moving.throws.length) * ROW;
      drawn.push(...movingMark(moving, y, least));
      arms.push(armAt(moving, y, LINK_X));
      y += height;
    }
    y += GAP;
  }
  const [first, last] = [arms[0], arms.at(-1)];
  const link =
    linked && arms.length > 1 && first !== undefined && last !== undefined ? (
      <line x1={LINK_X} y1={first} x2={LINK_X} y2={last} {...line} strokeWidth={3} strokeDasharray="10 8" />
    ) : null;
  return { width: 1000, height: Math.max(y, TOP + ROW), shapes: piecesOf([link, drawn]), caption };
}

/** Where the arms of a moving contact end; on nothing: between two throws, or above the only one. */
function armsOf({ throws }: DrawnMoving, top: number) {
  const middle = top + (Math.max(1, throws.length) * ROW) / 2;
  const at = (index: number) => top + index * ROW + ROW / 2;
  const closed = throws.flatMap(({ now }, index) => (now ? [at(index)] : []));
  const open = throws.length === 1 ? [middle - ROW * 0.55] : [middle];
  return closed.length > 0
    ? { middle, at, tips: closed, reach: THROW_X - 9 }
    : { middle, at, tips: open, reach: THROW_X - 70 };
}

/** How high the first arm is at some place across. */
function armAt(moving: DrawnMoving, top: number, x: number): number {
  const { middle, tips, reach } = armsOf(moving, top);
  return middle + ((tips[0] ?? middle) - middle) * ((x - COMMON_X) / (reach - COMMON_X));
}

function movingMark(moving: DrawnMoving, top: number, least: Least): (Shape | string)[] {
  const { label: common, throws } = moving;
  const { middle, at, tips, reach } = armsOf(moving, top);
  return piecesOf([
    <text x={COMMON_X - 90} y={middle + 10} textAnchor="end" {...label} fontSize={legible(30, least)}>
      {common}
    </text>,
    <line x1={COMMON_X - 78} y1={middle} x2={COMMON_X - 9} y2={middle} {...line} />,
    <circle cx={COMMON_X} cy={middle} r={9} {...line} />,
    tips.map((tip) => <line x1={COMMON_X + 9} y1={middle} x2={reach} y2={tip} {...line} strokeWidth={5} />),
    throws.map((one, index) => throwMark(one, at(index), least)),
  ]);
}

function throwMark({ label: name, closedAt }: DrawnThrow, y: number, least: Least) {
  const size = legible(25, least);
  const letter = size * 0.6;
  let x = THROW_X + 170;
  return (
    <>
      <circle cx={THROW_X} cy={y} r={9} {...line} />
      <line x1={THROW_X + 9} y1={y} x2={THROW_X + 78} y2={y} {...line} />
      <text x={THROW_X + 90} y={y + 10} {...label} fontSize={legible(30, least)}>
        {name}
      </text>
      {closedAt.map((setting) => {
        const from = x;
        x += setting.name.length * letter + (setting.returns ? 40 : 18);
        return (
          <>
            <text x={from} y={y + 9} fontSize={size} fill="var(--quiet)">
              {setting.name}
            </text>
            {setting.returns && (
              <path
                d={`M${from + setting.name.length * letter + 4} ${y - 9}l16 9l-16 9z`}
                fill="var(--quiet)"
              />
            )}
          </>
        );
      })}
    </>
  );
}
