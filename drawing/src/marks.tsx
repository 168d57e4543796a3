/** @jsxImportSource @which-way/drawing */
import { colorsOf, type Part, type Wire } from '@which-way/core/log';
import type { TerminalId } from '@which-way/core/switch';
import type { Arrangement, Ground, Place } from './arrangement.js';
import { legible, reach, TAG_SIZE, tagGrowth, tagHalf, tagText, type Least } from './legible.js';
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

/** An empty place of a deck has its number only where that leaves the numbers of lugs in peace. */
const MOST_HOLE = 28;

/** What the terminals lie on. */
export function groundMark(
  ground: Ground,
  photo: GroundPhoto | null,
  said: GroundSaid,
  least: Least = 0,
): Drawn {
  const common = { fill: 'var(--sheet)', stroke: 'var(--line)', strokeWidth: 3 };
  const size = legible(24, least);
  const words = { fontSize: size, fill: 'var(--quiet)', textAnchor: 'middle' };
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
              {reach(ground.label, size) < ground.radius * 2 + 60 ? ground.label : ground.label.split(',')[0]}
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
          {ground.label && legible(18, least) <= MOST_HOLE && (
            <text
              x={ground.x}
              y={ground.y + 30}
              {...words}
              fontSize={legible(18, least)}
              fontFamily="var(--font-mono)"
            >
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
          <text x={500} y={ground.y + 26} {...words} fontSize={legible(20, least)}>
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
  least: Least = 0,
): Drawn {
  const [from, to] = part.terminals.map((id) => places.get(id));
  if (!from || !to) return null;
  const { text } = said;
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const size = legible(21, least);
  const [width, height] = [26 + text.length * size * 0.58, size + 15];
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
        y={middle.y - height / 2}
        width={width}
        height={height}
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
        fontSize={size}
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
  least: Least = 0,
): Drawn {
  const colors = colorsOf(color) ?? [];
  const grown = tagGrowth(least);
  const text = tagText(tag, color, grown);
  const half = tagHalf(text);
  const [width, height, swatch] = [2 * half.width, 2 * half.height, 20];
  return (
    <g
      role="img"
      aria-label={caption}
      pointerEvents="none"
      transform={`translate(${x} ${y})${grown === 1 ? '' : ` scale(${grown})`}`}
    >
      <rect
        x={-width / 2}
        y={-height / 2}
        width={width}
        height={height}
        rx={height / 2}
        fill="var(--sheet)"
        stroke={liveThough ? 'var(--brick)' : 'var(--quiet)'}
        strokeWidth={liveThough ? 5 : 2.5}
      />
      {colors.map(({ shown }, index) => (
        <rect
          key={index}
          x={11 - width / 2 + (swatch / colors.length) * index}
          y={-swatch / 2}
          width={swatch / colors.length}
          height={swatch}
          fill={shown}
          stroke="var(--quiet)"
        />
      ))}
      <text
        x={36 - width / 2}
        y={0}
        dominantBaseline="central"
        fontFamily="var(--font-mono)"
        fontWeight={700}
        fontSize={TAG_SIZE}
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
