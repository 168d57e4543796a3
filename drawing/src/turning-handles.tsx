/** @jsxImportSource @which-way/drawing */
import { angleOf } from '@which-way/core/switch';
import { HEIGHT, INK, METAL, point, HANDLE_WIDTH, type SeenHandle } from './seen-handle.js';
import type { Drawn } from './shape.js';

interface Place {
  x: number;
  y: number;
}

/** Position marks around a turning handle; the one it stands at is full. Where names would overlap, only that one has its. */
function Marks({ drawn, middle, radius }: { drawn: SeenHandle; middle: Place; radius: number }) {
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

/** What points from the middle to where the handle stands. */
const Pointer = ({ from, to, width }: { from: Place; to: Place; width: number }) => (
  <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={INK} strokeWidth={width} strokeLinecap="round" />
);

export function knob(drawn: SeenHandle, grip: Drawn): Drawn {
  const middle = { x: HANDLE_WIDTH / 2, y: HEIGHT / 2 + 2 };
  const { actuator, position } = drawn;
  const tip = position ? point(drawn, angleOf(actuator, position), 36, middle) : null;
  const ends = actuator.closed === 'round' ? [] : [actuator.positions[0], actuator.positions.at(-1)];
  return (
    <>
      <circle cx={middle.x} cy={middle.y} r={42} fill={METAL} stroke={INK} strokeWidth={3} />
      {grip}
      {tip && <Pointer from={middle} to={tip} width={9} />}
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

export function lever(drawn: SeenHandle): Drawn {
  const middle = { x: HANDLE_WIDTH / 2, y: 150 };
  const tip = drawn.position ? point(drawn, angleOf(drawn.actuator, drawn.position), 78, middle) : null;
  return (
    <>
      <rect x={60} y={142} width={140} height={20} fill={METAL} stroke={INK} strokeWidth={3} />
      {tip && (
        <>
          <Pointer from={middle} to={tip} width={10} />
          <circle cx={tip.x} cy={tip.y} r={11} fill={INK} />
        </>
      )}
      <Marks drawn={drawn} middle={middle} radius={122} />
    </>
  );
}

export const keyhole = (drawn: SeenHandle) =>
  knob(
    drawn,
    <circle
      cx={HANDLE_WIDTH / 2}
      cy={HEIGHT / 2 + 2}
      r={16}
      fill="var(--paper)"
      stroke={INK}
      strokeWidth={3}
    />,
  );

export const potentiometer = (drawn: SeenHandle) =>
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
