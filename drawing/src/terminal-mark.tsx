/** @jsxImportSource @which-way/drawing */
import type { Terminal } from '@which-way/core/switch';
import { legible, reach, type Least } from './legible.js';
import type { Drawn } from './shape.js';

/** How a terminal takes part in what is being asked. */
export type TerminalPart = 'red' | 'black' | 'sounded' | 'not-needed' | 'now' | 'picked' | 'plain' | 'free';

/** A terminal at the origin: its lug with its label, as it takes part, and what is said under it. */
export function terminalMark(
  terminal: Terminal,
  radius: number,
  part: TerminalPart,
  note: string | null,
  least: Least = 0,
): Drawn {
  const red = part === 'red';
  const sounded = part === 'sounded';
  const moving = part === 'black' || sounded;
  const chosen = part === 'picked' || part === 'now';
  const isFrame = terminal.role === 'frame';
  const size = Math.max(labelSize(terminal.label, radius, least), isFrame ? least : 0);
  const mono = { textAnchor: 'middle', fontFamily: 'var(--font-mono)' };
  const lug = {
    fill: red ? 'var(--lead-red)' : sounded ? 'var(--teal)' : 'var(--sheet)',
    stroke: red ? 'var(--lead-red)' : part === 'picked' ? 'var(--brass)' : 'var(--ink)',
    strokeWidth: part === 'now' ? 18 : moving ? 10 : part === 'picked' ? 8 : 3,
    strokeDasharray: part === 'free' || terminal.role === 'dummy' ? '7 6' : undefined,
  };
  const across = reach(terminal.label, size);
  // A label that reaches over its lug stands on the lug's own colour.
  const halo =
    !isFrame && across > radius * 1.9
      ? { paintOrder: 'stroke', stroke: lug.fill, strokeWidth: size * 0.3, strokeLinejoin: 'round' }
      : {};
  const under = legible(24, least);
  return (
    <>
      {red && note === null && <rect x={-9} y={0} width={18} height={radius + 46} fill="var(--lead-red)" />}
      {isFrame
        ? frameMark(Math.max(radius * 2, across + size * 0.6), Math.max(radius * 1.24, size * 1.3), lug)
        : lugMark(chosen ? radius + 3 : radius, lug)}
      <text
        {...mono}
        {...halo}
        dominantBaseline="central"
        fontWeight={700}
        fontSize={size}
        fill={red ? '#fff' : sounded ? 'var(--on-teal)' : 'var(--ink)'}
      >
        {terminal.label}
      </text>
      {note !== null && (
        <text {...mono} y={radius + 6 + under} fontSize={under} fill="var(--ink)">
          {note}
        </text>
      )}
    </>
  );
}

/** As large as the lug takes, and readable as long as a label keeps clear of the next: lugs stand 2.5 radii apart at least. */
function labelSize({ length }: string, radius: number, least: Least): number {
  const letters = Math.max(1, length);
  const fits = Math.min(radius * 0.95, (radius * 2.9) / letters, 54);
  return Math.max(fits, Math.min(least, radius * 2.4, (radius * 4) / letters));
}

const lugMark = (radius: number, look: Record<string, string | number | undefined>): Drawn => (
  <circle r={radius} {...look} />
);

/** The frame is square, since it is not a lug. A finger needs more height than the mark has. */
const frameMark = (
  width: number,
  height: number,
  look: Record<string, string | number | undefined>,
): Drawn => (
  <>
    <rect x={-width / 2} y={-width / 2} width={width} height={width} fill="transparent" />
    <rect x={-width / 2} y={-height / 2} width={width} height={height} rx={4} {...look} />
  </>
);
