/** @jsxImportSource @which-way/drawing */
import { angleOf } from '@which-way/core/switch';
import { HandleNames, touches, type NameSpot, type Round } from './handle-names.js';
import { HEIGHT, INK, METAL, nameAt, point, HANDLE_WIDTH, type SeenHandle } from './seen-handle.js';
import type { Drawn } from '../shape.js';

interface Place {
  x: number;
  y: number;
}

/** Between a name and a mark. */
const CLEAR = 4;

/** Position marks around a turning handle, the one it stands at full; their names beyond them. */
function Marks({ drawn, middle, radius }: { drawn: SeenHandle; middle: Place; radius: number }) {
  const { actuator, size } = drawn;
  const at = (index: number, far: number) => {
    const position = actuator.positions[index];
    return point(drawn, position ? angleOf(actuator, position) : 0, far, middle);
  };
  const round = actuator.positions.map((_, index) => at(index, radius));
  const gaps = round
    .slice(1)
    .map(({ x, y }, index) => Math.hypot(x - (round[index]?.x ?? x), y - (round[index]?.y ?? y)));
  const dot = Math.min(8, 0.4 * Math.min(...gaps, 99));
  const dots = round.map((place, index): Round => ({
    ...place,
    radius: (actuator.positions[index] === drawn.position ? dot + 2 : dot) + CLEAR,
  }));
  const spotAt = (index: number, far: number): NameSpot => {
    const level = at(index, radius).x - middle.x;
    const anchor = Math.abs(level) < 12 ? 'middle' : level > 0 ? 'start' : 'end';
    return { ...at(index, far), anchor };
  };
  /** As near to its mark as a name can be without touching one. */
  const beside = (index: number): NameSpot => {
    const name = nameAt(drawn, index);
    let far = radius + 12;
    while (far < radius + 40 && dots.some((one) => touches(spotAt(index, far), name, size, one))) far += 1;
    return spotAt(index, far);
  };
  const above = (index: number): NameSpot => {
    const { x, y } = at(index, radius);
    return { x, y: y - 12 - size / 2, anchor: 'middle' };
  };
  return (
    <>
      {actuator.positions.map((position, index) => (
        <circle
          key={position.id}
          data-mark={index}
          cx={round[index]?.x ?? 0}
          cy={round[index]?.y ?? 0}
          r={(dots[index]?.radius ?? CLEAR) - CLEAR}
          fill={position === drawn.position ? INK : 'var(--sheet)'}
          stroke={INK}
          strokeWidth={2}
        />
      ))}
      <HandleNames drawn={drawn} rows={[beside, above]} />
    </>
  );
}

/** What points from the middle to where the handle stands. */
const Pointer = ({ from, to, width }: { from: Place; to: Place; width: number }) => (
  <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={INK} strokeWidth={width} strokeLinecap="round" />
);

/** How far from the middle of a knob its marks lie. */
const TRACK = 53;

export function knob(drawn: SeenHandle, grip: Drawn): Drawn {
  const middle = { x: HANDLE_WIDTH / 2, y: HEIGHT / 2 };
  const { actuator, position } = drawn;
  const tip = position ? point(drawn, angleOf(actuator, position), 30, middle) : null;
  const ends = actuator.closed === 'round' ? [] : [actuator.positions[0], actuator.positions.at(-1)];
  return (
    <>
      <circle cx={middle.x} cy={middle.y} r={36} fill={METAL} stroke={INK} strokeWidth={3} />
      {grip}
      {tip && <Pointer from={middle} to={tip} width={9} />}
      {actuator.closed === 'round' && (
        <circle
          cx={middle.x}
          cy={middle.y}
          r={TRACK}
          fill="none"
          stroke="var(--brass)"
          strokeWidth={2.5}
          strokeDasharray="2 6"
        />
      )}
      <Marks drawn={drawn} middle={middle} radius={TRACK} />
      {actuator.closed !== null &&
        ends.map((end, index) => {
          if (!end) return null;
          const beyond = angleOf(actuator, end) + (index === 0 ? -16 : 16);
          const [inner, outer] = [40, 61].map((radius) => point(drawn, beyond, radius, middle));
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
      <Marks drawn={drawn} middle={middle} radius={104} />
    </>
  );
}

export const keyhole = (drawn: SeenHandle) =>
  knob(
    drawn,
    <circle cx={HANDLE_WIDTH / 2} cy={HEIGHT / 2} r={16} fill="var(--paper)" stroke={INK} strokeWidth={3} />,
  );

export const potentiometer = (drawn: SeenHandle) =>
  knob(
    drawn,
    <path
      d="M110 107.6A28 28 0 1 1 150 107.6"
      fill="none"
      stroke="var(--brass)"
      strokeWidth={4}
      strokeDasharray="4 4"
    />,
  );
