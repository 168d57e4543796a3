/** @jsxImportSource @which-way/drawing */
import { colorsOf, type Part, type Wire } from '@which-way/core/log';
import type { Terminal, TerminalId } from '@which-way/core/switch';
import type { Arrangement, Ground, Place } from './arrangement.js';
import type { Drawn } from './shape.js';
import type { Strand } from './strand.js';

/** The photo that a layout lies on: its address, and its width over its height. */
export interface GroundPhoto {
  url: string;
  shape: number;
}

/** What is said on the ground. */
export interface GroundSaid {
  noPhoto: string;
  notPlaced: string;
}

/** What the terminals lie on. */
export function groundMark(ground: Ground, photo: GroundPhoto | null, said: GroundSaid): Drawn {
  const common = { fill: 'var(--sheet)', stroke: 'var(--line)', strokeWidth: 3 };
  const words = { fontSize: 24, fill: 'var(--quiet)', textAnchor: 'middle' };
  switch (ground.kind) {
    case 'plate': {
      const { x, y, width, height } = ground;
      return <rect {...{ x, y, width, height }} rx={14} {...common} />;
    }
    case 'disc':
      return (
        <>
          <circle cx={ground.x} cy={ground.y} r={ground.radius} {...common} />
          {ground.label && (
            <text x={ground.x} y={ground.y - ground.radius - 12} {...words}>
              {ground.label}
            </text>
          )}
        </>
      );
    case 'pigtail': {
      const { x, y, toX, toY } = ground;
      const middle = (y + toY) / 2;
      return (
        <path
          d={`M${x} ${y}C${x} ${middle} ${toX} ${middle} ${toX} ${toY}`}
          fill="none"
          stroke="var(--line)"
          strokeWidth={10}
        />
      );
    }
    case 'hole':
      return (
        <>
          <circle cx={ground.x} cy={ground.y} r={7} fill="var(--line)" />
          {ground.label && (
            <text x={ground.x} y={ground.y + 30} {...words} fontSize={18} fontFamily="var(--font-mono)">
              {ground.label}
            </text>
          )}
        </>
      );
    case 'photo':
      return photo ? (
        <image
          href={photo.url}
          width={1000}
          height={ground.height}
          preserveAspectRatio="none"
          transform={ground.mirrored ? 'translate(1000 0) scale(-1 1)' : undefined}
        />
      ) : (
        <>
          <rect x={0} y={0} width={1000} height={ground.height} {...common} />
          <text x={500} y={ground.height / 2} {...words}>
            {said.noPhoto}
          </text>
        </>
      );
    case 'tray':
      return (
        <>
          <rect
            x={16}
            y={ground.y + 4}
            width={968}
            height={ground.height - 8}
            rx={14}
            {...common}
            strokeDasharray="12 9"
          />
          <text x={500} y={ground.y + 26} {...words} fontSize={20}>
            {said.notPlaced}
          </text>
        </>
      );
  }
}

/** A declared path: thin and grey, since nobody measured it; dotted where it was taken off. */
export function partMark(
  part: Part,
  { places }: Pick<Arrangement, 'places'>,
  said: { text: string; caption: string },
): Drawn {
  const [from, to] = part.terminals.map((id) => places.get(id));
  if (!from || !to) return null;
  const { text } = said;
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const width = 26 + text.length * 12;
  return (
    <g role="img" aria-label={said.caption}>
      <line
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        stroke="var(--quiet)"
        strokeWidth={part.form === 'jumper' ? 8 : 4}
        strokeDasharray={part.on ? undefined : '3 12'}
        strokeLinecap="round"
      />
      <rect
        x={middle.x - width / 2}
        y={middle.y - 18}
        width={width}
        height={36}
        rx={5}
        fill="var(--paper)"
        stroke="var(--quiet)"
        strokeWidth={2}
      />
      <text
        x={middle.x}
        y={middle.y}
        textAnchor="middle"
        dominantBaseline="central"
        fontSize={21}
        fill="var(--ink)"
      >
        {text}
      </text>
    </g>
  );
}

/** The tag of a wire: its number, its colour in a neutral casing, and the code. */
export function wireMark(
  { tag, color, liveThough }: Pick<Wire, 'tag' | 'color' | 'liveThough'>,
  { x, y }: Place,
  caption: string,
): Drawn {
  const colors = colorsOf(color) ?? [];
  const text = `${tag}${color ? ` ${color}` : ''}`;
  const width = 40 + text.length * 13;
  const left = x - width / 2;
  return (
    <g role="img" aria-label={caption} pointerEvents="none">
      <rect
        x={left}
        y={y - 17}
        width={width}
        height={34}
        rx={17}
        fill="var(--sheet)"
        stroke={liveThough ? 'var(--brick)' : 'var(--quiet)'}
        strokeWidth={liveThough ? 5 : 2.5}
      />
      {colors.map(({ shown }, index) => (
        <rect
          key={index}
          x={left + 11 + (20 / colors.length) * index}
          y={y - 10}
          width={20 / colors.length}
          height={20}
          fill={shown}
          stroke="var(--quiet)"
        />
      ))}
      <text
        x={left + 36}
        y={y}
        dominantBaseline="central"
        fontFamily="var(--font-mono)"
        fontWeight={700}
        fontSize={21}
        fill="var(--ink)"
      >
        {text}
      </text>
    </g>
  );
}

/** How a link between two terminals is drawn. */
export interface LinkLook {
  strand: Strand;
  /** Other settings' links stand back. */
  faint?: boolean | undefined;
  disputed?: boolean | undefined;
}

/** A join in a setting: the strand of the setting along a path, and a wide clear one that a finger meets. */
export function linkMark(path: string, { strand, faint = false, disputed = false }: LinkLook): Drawn {
  const dashes =
    strand.dash === '' ? [] : strand.dash.split(' ').map((part) => Number(part) * (faint ? 0.9 : 1.6));
  return (
    <>
      <path d={path} fill="none" stroke="transparent" strokeWidth={44} />
      <path
        d={path}
        fill="none"
        stroke={disputed ? 'var(--amber)' : strand.color}
        strokeWidth={faint ? 5 : 11}
        strokeDasharray={dashes.length > 0 ? dashes.join(' ') : undefined}
        strokeLinecap={strand.dash.startsWith('1 ') ? 'round' : 'butt'}
        opacity={faint ? 0.38 : 1}
      />
    </>
  );
}

/** Terminals that clips tie together on one lead. */
export interface DrawnTie {
  lead: 'red' | 'black';
  ids: readonly TerminalId[];
}

export function tieMark({ lead, ids }: DrawnTie, { places }: Pick<Arrangement, 'places'>): Drawn {
  const points = ids.flatMap((id) => places.get(id) ?? []).map(({ x, y }) => `${x},${y}`);
  return (
    <polyline
      data-testid={`tie-${lead}`}
      points={points.join(' ')}
      fill="none"
      stroke={lead === 'red' ? 'var(--lead-red)' : 'var(--ink)'}
      strokeWidth={14}
      strokeLinejoin="round"
    />
  );
}

/** How a terminal takes part in what is being asked. */
export type TerminalPart = 'red' | 'black' | 'sounded' | 'not-needed' | 'now' | 'picked' | 'plain' | 'free';

/** A terminal at the origin: its lug with its label, as it takes part, and what is said under it. */
export function terminalMark(
  terminal: Terminal,
  radius: number,
  part: TerminalPart,
  note: string | null,
): Drawn {
  const red = part === 'red';
  const sounded = part === 'sounded';
  const moving = part === 'black' || sounded;
  const chosen = part === 'picked' || part === 'now';
  const size = Math.min(radius * 0.95, (radius * 2.9) / Math.max(1, terminal.label.length), 54);
  const mono = { textAnchor: 'middle', fontFamily: 'var(--font-mono)' };
  const lug = {
    fill: red ? 'var(--lead-red)' : sounded ? 'var(--teal)' : 'var(--sheet)',
    stroke: red ? 'var(--lead-red)' : part === 'picked' ? 'var(--brass)' : 'var(--ink)',
    strokeWidth: part === 'now' ? 18 : moving ? 10 : part === 'picked' ? 8 : 3,
    strokeDasharray: part === 'free' || terminal.role === 'dummy' ? '7 6' : undefined,
  };
  return (
    <>
      {red && note === null && <rect x={-9} y={0} width={18} height={radius + 46} fill="var(--lead-red)" />}
      {lugMark(terminal.role === 'frame', chosen ? radius + 3 : radius, lug)}
      <text
        {...mono}
        dominantBaseline="central"
        fontWeight={700}
        fontSize={size}
        fill={red ? '#fff' : sounded ? 'var(--on-teal)' : 'var(--ink)'}
      >
        {terminal.label}
      </text>
      {note !== null && (
        <text {...mono} y={radius + 30} fontSize={24} fill="var(--ink)">
          {note}
        </text>
      )}
    </>
  );
}

/** A lug is round; the frame is square, since it is not one. */
function lugMark(square: boolean, radius: number, look: Record<string, string | number | undefined>): Drawn {
  return square ? (
    <>
      {/* A finger needs more height than the mark has. */}
      <rect x={-radius} y={-radius} width={radius * 2} height={radius * 2} fill="transparent" />
      <rect x={-radius} y={-radius * 0.62} width={radius * 2} height={radius * 1.24} rx={4} {...look} />
    </>
  ) : (
    <circle r={radius} {...look} />
  );
}
