/** @jsxImportSource @which-way/drawing */
import { angleOf, type Actuator, type ActuatorForm, type Position, type Side } from '@which-way/core/switch';
import { piecesOf, type Drawn, type Picture } from './shape.js';

/** The field that a handle is drawn in. */
const WIDTH = 260;
const HEIGHT = 176;
const INK = 'var(--ink)';
const METAL = 'var(--line)';

/** A handle, where it stands, and from which side it is seen. */
interface SeenHandle {
  actuator: Actuator;
  position: Position | null;
  index: number;
  mirrored: boolean;
  /** What is said under one that is pressed, pulled or squeezed. */
  stroke: string;
}

/** Left and right as seen: all drawings are made from the front. */
const across = ({ mirrored }: SeenHandle, x: number): number => (mirrored ? WIDTH - x : x);

function point(drawn: SeenHandle, degrees: number, radius: number, middle: { x: number; y: number }) {
  const angle = ((drawn.mirrored ? -degrees : degrees) * Math.PI) / 180;
  return { x: middle.x + radius * Math.sin(angle), y: middle.y - radius * Math.cos(angle) };
}

/** Position marks around a turning handle; the one it stands at is full. Where names would overlap, only that one has its. */
function Marks({
  drawn,
  middle,
  radius,
}: {
  drawn: SeenHandle;
  middle: { x: number; y: number };
  radius: number;
}) {
  const { actuator } = drawn;
  const marks = actuator.positions.map((position, index) => ({
    position,
    here: position === drawn.position,
    name: position.name ?? String(index + 1),
    ...point(drawn, angleOf(actuator, position), radius, middle),
  }));
  const gaps = marks
    .slice(1)
    .map(({ x, y }, at) => Math.hypot(x - (marks[at]?.x ?? x), y - (marks[at]?.y ?? y)));
  const room = Math.min(16, 0.56 * Math.min(...gaps, 99));
  const named = room >= 12;
  // The one it stands at lies on top.
  return marks
    .toSorted((one, other) => Number(one.here) - Number(other.here))
    .map(({ position, here, name, x, y }) => {
      const label = name.length <= 4 ? name : name.slice(0, 3);
      return (
        <g key={position.id}>
          <circle
            cx={x}
            cy={y}
            r={named || here ? 16 : Math.max(3, room - 3)}
            fill={here ? INK : 'var(--sheet)'}
            stroke={INK}
            strokeWidth={2}
          />
          {(named || here) && (
            <text
              x={x}
              y={y}
              textAnchor="middle"
              dominantBaseline="central"
              fontSize={[14, 14, 14, 12, 10][label.length] ?? 10}
              fontFamily="var(--font-mono)"
              fontWeight={700}
              fill={here ? 'var(--sheet)' : INK}
            >
              {label}
            </text>
          )}
        </g>
      );
    });
}

function knob(drawn: SeenHandle, grip: Drawn): Drawn {
  const middle = { x: WIDTH / 2, y: HEIGHT / 2 + 2 };
  const { actuator, position } = drawn;
  const tip = position ? point(drawn, angleOf(actuator, position), 36, middle) : null;
  const ends = actuator.closed === 'round' ? [] : [actuator.positions[0], actuator.positions.at(-1)];
  return (
    <>
      <circle cx={middle.x} cy={middle.y} r={42} fill={METAL} stroke={INK} strokeWidth={3} />
      {grip}
      {tip && (
        <line
          x1={middle.x}
          y1={middle.y}
          x2={tip.x}
          y2={tip.y}
          stroke={INK}
          strokeWidth={9}
          strokeLinecap="round"
        />
      )}
      <Marks drawn={drawn} middle={middle} radius={66} />
      {actuator.closed !== null &&
        ends.map((end, index) => {
          if (!end) return null;
          const beyond = angleOf(actuator, end) + (index === 0 ? -16 : 16);
          const [inner, outer] = [46, 74].map((radius) => point(drawn, beyond, radius, middle));
          return inner && outer ? (
            <line
              key={index}
              x1={inner.x}
              y1={inner.y}
              x2={outer.x}
              y2={outer.y}
              stroke="var(--brass)"
              strokeWidth={5}
            />
          ) : null;
        })}
      {actuator.closed === 'round' && (
        <circle
          cx={middle.x}
          cy={middle.y}
          r={85}
          fill="none"
          stroke="var(--brass)"
          strokeWidth={2.5}
          strokeDasharray="2 6"
        />
      )}
    </>
  );
}

/** Names under a straight run of positions. */
function Names({ drawn, y, xOf }: { drawn: SeenHandle; y: number; xOf: (index: number) => number }) {
  return drawn.actuator.positions.map((position, index) => (
    <text
      key={position.id}
      x={across(drawn, xOf(index))}
      y={y}
      textAnchor="middle"
      fontSize={13}
      fontWeight={position === drawn.position ? 800 : 500}
      fill={INK}
    >
      {(position.name ?? String(index + 1)).slice(0, 8)}
    </text>
  ));
}

function along(count: number, index: number, from = 50, to = 210): number {
  return count <= 1 ? (from + to) / 2 : from + ((to - from) * index) / (count - 1);
}

function slide(drawn: SeenHandle): Drawn {
  const count = drawn.actuator.positions.length;
  const x = across(drawn, along(count, drawn.index));
  return (
    <>
      <rect x={24} y={52} width={212} height={40} rx={4} fill="var(--paper)" stroke={INK} strokeWidth={3} />
      <rect x={x - 22} y={40} width={44} height={64} rx={4} fill={METAL} stroke={INK} strokeWidth={3} />
      <path d={`M${x - 8} 48v48M${x} 48v48M${x + 8} 48v48`} stroke={INK} strokeWidth={2} />
      <Names drawn={drawn} y={128} xOf={(index) => along(count, index)} />
    </>
  );
}

function toggle(drawn: SeenHandle): Drawn {
  const count = drawn.actuator.positions.length;
  const x = across(drawn, along(count, drawn.index, 76, 184));
  return (
    <>
      <rect x={70} y={84} width={120} height={16} fill={METAL} stroke={INK} strokeWidth={3} />
      <line x1={130} y1={88} x2={x} y2={28} stroke={INK} strokeWidth={16} strokeLinecap="round" />
      <circle cx={x} cy={28} r={13} fill={INK} />
      <Names drawn={drawn} y={126} xOf={(index) => along(count, index, 56, 204)} />
    </>
  );
}

function rocker(drawn: SeenHandle): Drawn {
  const count = drawn.actuator.positions.length;
  const lean = count <= 1 ? 0 : (drawn.index / (count - 1) - 0.5) * 2;
  const [left, right] = drawn.mirrored ? [-lean, lean] : [lean, -lean];
  return (
    <>
      <rect x={40} y={70} width={180} height={34} rx={4} fill="var(--paper)" stroke={INK} strokeWidth={3} />
      <path
        d={`M52 ${66 + left * -16}L130 58L208 ${66 + right * -16}V86H52Z`}
        fill={METAL}
        stroke={INK}
        strokeWidth={3}
      />
      <Names drawn={drawn} y={130} xOf={(index) => along(count, index, 64, 196)} />
    </>
  );
}

/** Pushed in by so much of its way. */
function plunger(drawn: SeenHandle): Drawn {
  const count = drawn.actuator.positions.length;
  const pulls = drawn.actuator.form === 'pull' || drawn.actuator.form === 'push-pull';
  const share = count <= 1 ? 0 : drawn.index / (count - 1);
  const out = pulls ? 20 + 34 * share : 54 - 34 * share;
  return (
    <>
      <rect x={60} y={84} width={140} height={18} fill={METAL} stroke={INK} strokeWidth={3} />
      <rect x={118} y={84 - out} width={24} height={out} fill="var(--sheet)" stroke={INK} strokeWidth={3} />
      <rect x={92} y={74 - out} width={76} height={16} rx={5} fill={INK} />
      <text x={130} y={128} textAnchor="middle" fontSize={14} fontWeight={700} fill={INK}>
        {drawn.stroke}
      </text>
    </>
  );
}

function trigger(drawn: SeenHandle): Drawn {
  const count = drawn.actuator.positions.length;
  const pulled = count <= 1 ? 0 : (30 * drawn.index) / (count - 1);
  const x = (value: number) => across(drawn, value);
  return (
    <>
      <path
        d={`M${x(60)} 24H${x(210)}V62H${x(150)}L${x(170)} 118H${x(120)}L${x(104)} 62H${x(60)}Z`}
        fill={METAL}
        stroke={INK}
        strokeWidth={3}
      />
      <path
        d={`M${x(92 + pulled)} 66q${drawn.mirrored ? -12 : 12} 22 0 44`}
        fill="none"
        stroke={INK}
        strokeWidth={12}
        strokeLinecap="round"
      />
      <text x={130} y={142} textAnchor="middle" fontSize={14} fontWeight={700} fill={INK}>
        {drawn.stroke}
      </text>
    </>
  );
}

function lever(drawn: SeenHandle): Drawn {
  const middle = { x: WIDTH / 2, y: 150 };
  const tip = drawn.position ? point(drawn, angleOf(drawn.actuator, drawn.position), 78, middle) : null;
  return (
    <>
      <rect x={60} y={142} width={140} height={20} fill={METAL} stroke={INK} strokeWidth={3} />
      {tip && (
        <>
          <line
            x1={middle.x}
            y1={middle.y}
            x2={tip.x}
            y2={tip.y}
            stroke={INK}
            strokeWidth={10}
            strokeLinecap="round"
          />
          <circle cx={tip.x} cy={tip.y} r={11} fill={INK} />
        </>
      )}
      <Marks drawn={drawn} middle={middle} radius={122} />
    </>
  );
}

function keyBank(drawn: SeenHandle): Drawn {
  const { actuator, position } = drawn;
  const posed = actuator.positions.flatMap(({ pose }) => (pose?.kind === 'keys' ? pose.down : []));
  const count = Math.max(actuator.positions.length, ...posed, 1);
  const down = position?.pose?.kind === 'keys' ? position.pose.down : [drawn.index + 1];
  const width = Math.min(44, 220 / count);
  return Array.from({ length: count }, (_, index) => {
    const x = across(drawn, 130 + (index - (count - 1) / 2) * (width + 4)) - width / 2;
    const pressed = down.includes(index + 1);
    return (
      <g key={index}>
        <rect
          x={x}
          y={pressed ? 64 : 34}
          width={width}
          height={pressed ? 42 : 72}
          rx={3}
          fill={pressed ? INK : 'var(--sheet)'}
          stroke={INK}
          strokeWidth={3}
        />
        <text
          x={x + width / 2}
          y={132}
          textAnchor="middle"
          fontSize={13}
          fontWeight={pressed ? 800 : 500}
          fill={INK}
        >
          {index + 1}
        </text>
      </g>
    );
  });
}

const keyhole = (drawn: SeenHandle) =>
  knob(
    drawn,
    <circle cx={WIDTH / 2} cy={HEIGHT / 2 + 2} r={16} fill="var(--paper)" stroke={INK} strokeWidth={3} />,
  );

const potentiometer = (drawn: SeenHandle) =>
  knob(
    drawn,
    <path
      d="M106 101A34 34 0 1 1 154 101"
      fill="none"
      stroke="var(--brass)"
      strokeWidth={4}
      strokeDasharray="4 4"
    />,
  );

/** How each form of handle is drawn, from the front; `mirrored` puts left for right. */
const DRAWINGS: Record<ActuatorForm, (drawn: SeenHandle) => Drawn> = {
  rotary: (drawn) => knob(drawn, null),
  'pot-switch': potentiometer,
  key: keyhole,
  lever,
  toggle,
  rocker,
  slide,
  trigger,
  push: plunger,
  'push-push': plunger,
  'push-pull': plunger,
  pull: plunger,
  'key-bank': keyBank,
};

/** What is said beside a drawn handle. */
export interface HandleSaid {
  caption: string;
  stroke: string;
}

/** A handle as what it is and where it stands, from the side from which the lugs are drawn. `index`: its position; -1: not known. */
export function handlePicture(actuator: Actuator, index: number, side: Side, said: HandleSaid): Picture {
  const seen: SeenHandle = {
    actuator,
    position: actuator.positions[index] ?? null,
    index: Math.max(0, index),
    mirrored: side === 'terminal',
    stroke: said.stroke,
  };
  return {
    width: WIDTH,
    height: HEIGHT,
    shapes: piecesOf(DRAWINGS[actuator.form](seen)),
    caption: said.caption,
  };
}
