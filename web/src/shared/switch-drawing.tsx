import type { Layout, PlacedTerminal, Side, Terminal, TerminalId } from '@which-way/core/switch';
import type { Part, Wire } from '@which-way/core/log';
import { memo, useMemo, type PointerEvent, type SVGAttributes } from 'react';
import { arrange, linkPath, tagPlace, type Place } from './arrangement.js';
import { GroundMark, PartMark, WireTag, type GroundPhoto } from './ground-marks.js';
import type { Strand } from './strand.js';
import { useStable } from './use-stable.js';

/** A line between two terminals that stands for a join in a setting. */
export interface DrawnLink {
  key: string;
  from: TerminalId;
  to: TerminalId;
  strand: Strand;
  /** Other settings' links stand back. */
  faint?: boolean;
  disputed?: boolean;
  label: string;
  onPick?: () => void;
}

/** Terminals that clips tie together on one lead. */
export interface DrawnTie {
  lead: 'red' | 'black';
  ids: readonly TerminalId[];
}

/** How a terminal takes part in what is being asked. */
export type TerminalPart = 'red' | 'black' | 'sounded' | 'not-needed' | 'now' | 'picked' | 'plain' | 'free';

export interface SwitchDrawingProps {
  terminals: readonly Terminal[];
  layout: Layout;
  placed: readonly PlacedTerminal[];
  side: Side;
  /** The photo that the layout lies on. */
  photo?: GroundPhoto | null;
  links: readonly DrawnLink[];
  /** Tagged wires that sit on a terminal. */
  wiresAt?: (id: TerminalId) => readonly Wire[];
  /** Foreign paths and jumpers, as declared. */
  parts?: readonly Part[];
  ties?: readonly DrawnTie[];
  roleOf?: (id: TerminalId) => TerminalPart;
  /** Said under the label, such as a value just read. */
  noteOf?: (id: TerminalId) => string | null;
  onTerminal?: (id: TerminalId) => void;
  /** A tap beside all terminals, in the drawing's own measure. */
  onGround?: (place: Place, height: number) => void;
  caption: string;
}

const ROLE_WORDS: Record<TerminalPart, string> = {
  red: 'red lead stays here',
  black: 'touch with black',
  sounded: 'joined',
  'not-needed': 'need not be touched',
  now: 'touch this one now',
  picked: 'chosen',
  plain: '',
  free: 'joins nothing',
};

/** The switch as it lies on the bench, seen from one side. */
export function SwitchDrawing(props: SwitchDrawingProps) {
  const { links, roleOf, caption, onGround, parts = [], photo = null } = props;
  const { terminals, layout, placed, side } = props;
  const arrangement = useMemo(
    () => arrange({ terminals, layout, placed }, side, photo?.shape),
    [terminals, layout, placed, side, photo?.shape],
  );
  const onTerminal = useStable((id: TerminalId) => props.onTerminal?.(id));
  const { places, radius, height } = arrangement;
  const lanes = laneOf(links);
  const tap = (event: PointerEvent<SVGSVGElement>) => {
    const matrix = event.currentTarget.getScreenCTM();
    if (!onGround || !matrix || (event.target as Element).closest('[role=button]')) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    onGround({ x, y }, height);
  };
  return (
    <svg
      viewBox={`0 0 1000 ${height}`}
      className={`h-full w-full ${onGround ? 'cursor-crosshair' : ''}`}
      role="group"
      aria-label={caption}
      onPointerUp={tap}
    >
      {arrangement.ground.map((ground, index) => (
        <GroundMark key={index} ground={ground} photo={photo} />
      ))}
      {parts.map((part) => (
        <PartMark key={part.id} part={part} arrangement={arrangement} />
      ))}
      {links.map((link, index) => {
        const [from, to] = [places.get(link.from), places.get(link.to)];
        if (!from || !to) return null;
        return <Link key={link.key} link={link} path={linkPath(from, to, arrangement, lanes[index] ?? 0)} />;
      })}
      {props.ties?.map(({ lead, ids }) => (
        <polyline
          key={lead}
          data-testid={`tie-${lead}`}
          points={ids
            .flatMap((id) => places.get(id) ?? [])
            .map(({ x, y }) => `${x},${y}`)
            .join(' ')}
          fill="none"
          stroke={lead === 'red' ? 'var(--lead-red)' : 'var(--ink)'}
          strokeWidth={14}
          strokeLinejoin="round"
        />
      ))}
      {props.terminals.map((terminal) => (
        <TerminalMark
          key={terminal.id}
          terminal={terminal}
          x={places.get(terminal.id)?.x ?? 500}
          y={places.get(terminal.id)?.y ?? height / 2}
          radius={radius}
          role={roleOf?.(terminal.id) ?? 'plain'}
          note={props.noteOf?.(terminal.id) ?? null}
          onPick={props.onTerminal && onTerminal}
        />
      ))}
      {props.terminals.map(({ id }) => {
        const place = places.get(id);
        if (!place) return null;
        return props
          .wiresAt?.(id)
          .map((wire, index) => (
            <WireTag key={wire.id} wire={wire} {...tagPlace(arrangement, place, index)} />
          ));
      })}
    </svg>
  );
}

/** Links between the same two terminals run side by side. */
function laneOf(links: readonly DrawnLink[]): number[] {
  const used = new Map<string, number>();
  return links.map(({ from, to }) => {
    const key = [from, to].sort().join();
    const lane = used.get(key) ?? 0;
    used.set(key, lane + 1);
    return lane;
  });
}

const Link = memo(function Link({ link, path }: { link: DrawnLink; path: string }) {
  const { strand, faint, disputed, onPick } = link;
  return (
    <g
      role={onPick ? 'button' : 'img'}
      tabIndex={onPick ? 0 : undefined}
      aria-label={link.label}
      onClick={onPick}
      onKeyDown={(event) => {
        if (!onPick || (event.key !== 'Enter' && event.key !== ' ')) return;
        event.preventDefault();
        event.stopPropagation();
        onPick();
      }}
      className={onPick ? 'cursor-pointer' : undefined}
    >
      <path d={path} fill="none" stroke="transparent" strokeWidth={44} />
      <path
        d={path}
        fill="none"
        stroke={disputed ? 'var(--amber)' : strand.color}
        strokeWidth={faint ? 5 : 11}
        strokeDasharray={strand.dash
          .split(' ')
          .map((part) => (faint ? Number(part) * 0.9 : Number(part) * 1.6))
          .join(' ')}
        strokeLinecap={strand.dash.startsWith('1 ') ? 'round' : 'butt'}
        opacity={faint ? 0.38 : 1}
      />
    </g>
  );
});

interface MarkProps {
  terminal: Terminal;
  x: number;
  y: number;
  radius: number;
  role: TerminalPart;
  note: string | null;
  onPick?: ((id: TerminalId) => void) | undefined;
}

const TerminalMark = memo(function TerminalMark({ terminal, x, y, radius, role, note, onPick }: MarkProps) {
  const red = role === 'red';
  const sounded = role === 'sounded';
  const moving = role === 'black' || sounded;
  const fill = red ? 'var(--lead-red)' : sounded ? 'var(--teal)' : 'var(--sheet)';
  const ink = red ? '#fff' : sounded ? 'var(--on-teal)' : 'var(--ink)';
  const size = Math.min(radius * 0.95, (radius * 2.9) / Math.max(1, terminal.label.length), 54);
  const said = [`Terminal ${terminal.label}`, ROLE_WORDS[role], note ?? ''].filter(Boolean).join(', ');
  const pick = onPick ? () => onPick(terminal.id) : undefined;
  return (
    <g
      transform={`translate(${x} ${y})`}
      role={pick ? 'button' : 'img'}
      tabIndex={pick ? 0 : undefined}
      aria-label={said}
      aria-pressed={pick && moving ? sounded : undefined}
      data-role={role}
      onClick={pick}
      onKeyDown={(event) => {
        if (!pick || (event.key !== 'Enter' && event.key !== ' ')) return;
        event.preventDefault();
        event.stopPropagation();
        pick();
      }}
      className={pick ? 'cursor-pointer' : undefined}
      opacity={role === 'not-needed' ? 0.35 : 1}
    >
      {red && !note && <rect x={-9} y={0} width={18} height={radius + 46} fill="var(--lead-red)" />}
      <Lug
        square={terminal.role === 'frame'}
        radius={role === 'picked' || role === 'now' ? radius + 3 : radius}
        {...{ fill }}
        stroke={red ? 'var(--lead-red)' : role === 'picked' ? 'var(--brass)' : 'var(--ink)'}
        strokeWidth={role === 'now' ? 18 : moving ? 10 : role === 'picked' ? 8 : 3}
        strokeDasharray={role === 'free' || terminal.role === 'dummy' ? '7 6' : undefined}
      />
      <text
        textAnchor="middle"
        dominantBaseline="central"
        fontFamily="var(--font-mono)"
        fontWeight={700}
        fontSize={size}
        fill={ink}
      >
        {terminal.label}
      </text>
      {note && (
        <text
          y={radius + 30}
          textAnchor="middle"
          fontFamily="var(--font-mono)"
          fontSize={24}
          fill="var(--ink)"
        >
          {note}
        </text>
      )}
    </g>
  );
});

type LugProps = { square: boolean; radius: number } & SVGAttributes<SVGElement>;

/** A lug is round; the frame is square, since it is not one. */
function Lug({ square, radius, ...rest }: LugProps) {
  return square ? (
    <>
      {/* A finger needs more height than the mark has. */}
      <rect x={-radius} y={-radius} width={radius * 2} height={radius * 2} fill="transparent" />
      <rect x={-radius} y={-radius * 0.62} width={radius * 2} height={radius * 1.24} rx={4} {...rest} />
    </>
  ) : (
    <circle r={radius} {...rest} />
  );
}
