import type { Layout, Terminal, TerminalId } from '@which-way/core/switch';
import { fieldHeight, linkPath, placesOf, terminalRadius, type Place } from './places.js';
import type { Strand } from './strand.js';

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

/** How a terminal takes part in what is being asked. */
export type TerminalRole = 'red' | 'black' | 'sounded' | 'not-needed' | 'picked' | 'plain' | 'free';

export interface SwitchDrawingProps {
  terminals: readonly Terminal[];
  layout: Layout;
  links: readonly DrawnLink[];
  roleOf?: (id: TerminalId) => TerminalRole;
  /** Said under the label, such as a value just read. */
  noteOf?: (id: TerminalId) => string | null;
  onTerminal?: (id: TerminalId) => void;
  caption: string;
}

const ROLE_WORDS: Record<TerminalRole, string> = {
  red: 'red lead stays here',
  black: 'touch with black',
  sounded: 'joined',
  'not-needed': 'need not be touched',
  picked: 'chosen',
  plain: '',
  free: 'joins nothing',
};

/** The switch as it lies on the bench, seen from the terminal side. */
export function SwitchDrawing(props: SwitchDrawingProps) {
  const { terminals, layout, links, roleOf, caption } = props;
  const places = placesOf(terminals.length, layout);
  const radius = terminalRadius(places);
  const placeOf = new Map(terminals.map(({ id }, index) => [id, places[index] as Place]));
  const lanes = laneOf(links);
  return (
    <svg
      viewBox={`0 0 1000 ${fieldHeight(layout)}`}
      className="h-full w-full"
      role="group"
      aria-label={caption}
    >
      <Body layout={layout} />
      {links.map((link, index) => {
        const [from, to] = [placeOf.get(link.from), placeOf.get(link.to)];
        if (!from || !to) return null;
        return <Link key={link.key} link={link} path={linkPath(from, to, layout, lanes[index] ?? 0)} />;
      })}
      {terminals.map((terminal, index) => (
        <TerminalMark
          key={terminal.id}
          terminal={terminal}
          place={places[index] as Place}
          radius={radius}
          role={roleOf?.(terminal.id) ?? 'plain'}
          note={props.noteOf?.(terminal.id) ?? null}
          onPick={props.onTerminal}
        />
      ))}
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

function Body({ layout }: { layout: Layout }) {
  const common = { fill: 'var(--sheet)', stroke: 'var(--line)', strokeWidth: 3 };
  if (layout === 'circle') return <circle cx={500} cy={350} r={344} {...common} />;
  if (layout === 'one-row') return <rect x={16} y={150} width={968} height={260} rx={14} {...common} />;
  return <rect x={16} y={8} width={968} height={544} rx={14} {...common} />;
}

function Link({ link, path }: { link: DrawnLink; path: string }) {
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
      <path d={path} fill="none" stroke="transparent" strokeWidth={30} />
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
}

interface MarkProps {
  terminal: Terminal;
  place: Place;
  radius: number;
  role: TerminalRole;
  note: string | null;
  onPick?: ((id: TerminalId) => void) | undefined;
}

function TerminalMark({ terminal, place, radius, role, note, onPick }: MarkProps) {
  const red = role === 'red';
  const sounded = role === 'sounded';
  const moving = role === 'black' || sounded;
  const fill = red ? 'var(--lead-red)' : sounded ? 'var(--teal)' : 'var(--sheet)';
  const ink = red ? '#fff' : sounded ? 'var(--on-teal)' : 'var(--ink)';
  const size = Math.min(radius * (terminal.label.length > 2 ? 0.72 : 0.95), 54);
  const said = [`Terminal ${terminal.label}`, ROLE_WORDS[role], note ?? ''].filter(Boolean).join(', ');
  const pick = onPick ? () => onPick(terminal.id) : undefined;
  return (
    <g
      transform={`translate(${place.x} ${place.y})`}
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
      {red && <rect x={-9} y={0} width={18} height={radius + 46} fill="var(--lead-red)" />}
      <circle
        r={role === 'picked' ? radius + 3 : radius}
        fill={fill}
        stroke={red ? 'var(--lead-red)' : role === 'picked' ? 'var(--brass)' : 'var(--ink)'}
        strokeWidth={moving ? 10 : role === 'picked' ? 8 : 3}
        strokeDasharray={role === 'free' ? '7 6' : undefined}
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
}
