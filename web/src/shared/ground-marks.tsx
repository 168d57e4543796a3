import { colorsOf, type Part, type Wire } from '@which-way/core/log';
import { ohms } from '../words/quantity.js';
import { PART_WORDS } from '../words/wires.js';
import type { Arrangement, Ground } from './arrangement.js';

/** The photo that a layout lies on: its address, and its width over its height. */
export interface GroundPhoto {
  url: string;
  shape: number;
}

/** What the terminals lie on. */
export function GroundMark({ ground, photo }: { ground: Ground; photo: GroundPhoto | null }) {
  const common = { fill: 'var(--sheet)', stroke: 'var(--line)', strokeWidth: 3 };
  const words = { fontSize: 24, fill: 'var(--quiet)', textAnchor: 'middle' as const };
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
            <text x={ground.x} y={ground.y + 30} {...words} fontSize={18} className="font-mono">
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
            The photo is not on this machine
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
            not placed yet
          </text>
        </>
      );
  }
}

/** A declared path: thin and grey, since nobody measured it; dotted where it was taken off. */
export function PartMark({ part, arrangement }: { part: Part; arrangement: Arrangement }) {
  const [from, to] = part.terminals.map((id) => arrangement.places.get(id));
  if (!from || !to) return null;
  const word = PART_WORDS[part.form];
  const text = part.ohms === null ? word : `${word} ${ohms(part.ohms)}`;
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const width = 26 + text.length * 12;
  return (
    <g role="img" aria-label={`Declared: ${text}${part.on ? '' : ', taken off'}`}>
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
export function WireTag({ wire: { tag, color, liveThough }, x, y }: { wire: Wire; x: number; y: number }) {
  const colors = colorsOf(color) ?? [];
  const text = `${tag}${color ? ` ${color}` : ''}`;
  const width = 40 + text.length * 13;
  const left = x - width / 2;
  return (
    <g role="img" aria-label={`Tag ${text}${liveThough ? ', live: re-mark' : ''}`} pointerEvents="none">
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
