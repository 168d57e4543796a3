/** @jsxImportSource @which-way/drawing */
import { HandleNames } from './handle-names.js';
import { across, HEIGHT, INK, METAL, type SeenHandle } from './seen-handle.js';
import type { Drawn } from '../shape.js';

/** Names under a straight run of positions: in one line, or in two where they are long. */
function Names({ drawn, xOf }: { drawn: SeenHandle; xOf: (index: number) => number }) {
  const { size } = drawn;
  const line = (row: number) => HEIGHT - 46 + size / 2 + row * size;
  const row = (rows: number) => (index: number) => ({
    x: across(drawn, xOf(index)),
    y: line(index % rows),
    anchor: 'middle' as const,
  });
  return <HandleNames drawn={drawn} rows={[row(1), row(2)]} />;
}

function along(count: number, index: number, from = 50, to = 210): number {
  return count <= 1 ? (from + to) / 2 : from + ((to - from) * index) / (count - 1);
}

export function slide(drawn: SeenHandle): Drawn {
  const count = drawn.actuator.positions.length;
  const x = across(drawn, along(count, drawn.index));
  return (
    <>
      <rect x={24} y={52} width={212} height={40} rx={4} fill="var(--paper)" stroke={INK} strokeWidth={3} />
      <rect x={x - 22} y={40} width={44} height={64} rx={4} fill={METAL} stroke={INK} strokeWidth={3} />
      <path d={`M${x - 8} 48v48M${x} 48v48M${x + 8} 48v48`} stroke={INK} strokeWidth={2} />
      <Names drawn={drawn} xOf={(index) => along(count, index)} />
    </>
  );
}

/** Nobody has said what the hand moves: where it stands of how many places, and no handle. */
export function unsaid(drawn: SeenHandle): Drawn {
  const { length: count } = drawn.actuator.positions;
  return (
    <>
      <path d="M24 72H236" stroke={METAL} strokeWidth={6} strokeDasharray="10 8" />
      {drawn.actuator.positions.map(({ id }, index) => (
        <circle
          key={id}
          cx={across(drawn, along(count, index))}
          cy={72}
          r={index === drawn.index ? 14 : 8}
          fill={index === drawn.index ? INK : 'var(--paper)'}
          stroke={INK}
          strokeWidth={3}
        />
      ))}
      <Names drawn={drawn} xOf={(index) => along(count, index)} />
    </>
  );
}

export function toggle(drawn: SeenHandle): Drawn {
  const count = drawn.actuator.positions.length;
  const x = across(drawn, along(count, drawn.index, 76, 184));
  return (
    <>
      <rect x={70} y={84} width={120} height={16} fill={METAL} stroke={INK} strokeWidth={3} />
      <line x1={130} y1={88} x2={x} y2={28} stroke={INK} strokeWidth={16} strokeLinecap="round" />
      <circle cx={x} cy={28} r={13} fill={INK} />
      <Names drawn={drawn} xOf={(index) => along(count, index, 56, 204)} />
    </>
  );
}

export function rocker(drawn: SeenHandle): Drawn {
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
      <Names drawn={drawn} xOf={(index) => along(count, index, 64, 196)} />
    </>
  );
}

/** Pushed in by so much of its way. */
export function plunger(drawn: SeenHandle): Drawn {
  const count = drawn.actuator.positions.length;
  const pulls = drawn.actuator.form === 'pull' || drawn.actuator.form === 'push-pull';
  const share = count <= 1 ? 0 : drawn.index / (count - 1);
  const out = pulls ? 20 + 34 * share : 54 - 34 * share;
  return (
    <>
      <rect x={60} y={84} width={140} height={18} fill={METAL} stroke={INK} strokeWidth={3} />
      <rect x={118} y={84 - out} width={24} height={out} fill="var(--sheet)" stroke={INK} strokeWidth={3} />
      <rect x={92} y={74 - out} width={76} height={16} rx={5} fill={INK} />
      <text
        x={130}
        y={122 + drawn.size / 2}
        textAnchor="middle"
        fontSize={drawn.size}
        fontWeight={700}
        fill={INK}
      >
        {drawn.stroke}
      </text>
    </>
  );
}

export function trigger(drawn: SeenHandle): Drawn {
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
      <text x={130} y={142} textAnchor="middle" fontSize={drawn.size} fontWeight={700} fill={INK}>
        {drawn.stroke}
      </text>
    </>
  );
}

export function keyBank(drawn: SeenHandle): Drawn {
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
          y={124 + drawn.size / 2}
          textAnchor="middle"
          fontSize={drawn.size}
          fontWeight={pressed ? 800 : 500}
          fill={INK}
        >
          {index + 1}
        </text>
      </g>
    );
  });
}
