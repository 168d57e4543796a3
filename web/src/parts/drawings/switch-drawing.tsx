import type { Part, Wire } from '@which-way/core/log';
import type { Layout, PlacedTerminal, Side, Terminal, TerminalId } from '@which-way/core/switch';
import { arrange, linkPath, tagPlace, type Place } from '@which-way/drawing/arrangement';
import {
  groundMark,
  linkMark,
  partMark,
  tieMark,
  wireMark,
  type DrawnTie,
  type GroundPhoto,
} from '@which-way/drawing/marks';
import { terminalMark, type TerminalPart } from '@which-way/drawing/terminal-mark';
import type { Least } from '@which-way/drawing/legible';
import { lanesOf, type PictureLink } from '@which-way/drawing/switch-picture';
import {
  GROUND_WORDS,
  PART_IN_TASK_WORDS,
  partCaption,
  partText,
  tagCaption,
} from '@which-way/words/table/drawings';
import { memo, useMemo, type KeyboardEvent, type PointerEvent, type SVGProps } from 'react';
import { Painted } from './painted.js';
import { reachOf, useNearestLugs } from './nearest-lugs.js';
import { useOneStop } from './use-one-stop.js';
import { leastOf, useShown } from './use-shown.js';
import { useStable } from './use-stable.js';

export type { DrawnTie, TerminalPart };

/** A line between two terminals that stands for a join in a setting. */
export interface DrawnLink extends PictureLink {
  key: string;
  label: string;
  onPick?: () => void;
}

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

/** The switch as it lies on the bench, seen from one side. */
export function SwitchDrawing(props: SwitchDrawingProps) {
  const { links, roleOf, caption, onGround, parts = [], photo = null } = props;
  const { terminals, layout, placed, side } = props;
  const arrangement = useMemo(
    () => arrange({ terminals, layout, placed }, side, photo?.shape),
    [terminals, layout, placed, side, photo?.shape],
  );
  const { places, radius, height } = arrangement;
  const [drawing, shown] = useShown();
  const least = leastOf(shown, { width: 1000, height });
  const nearest = useNearestLugs({ drawing, terminals, arrangement, least, onTerminal: props.onTerminal });
  const onTerminal = useStable(nearest.pick);
  const reach = reachOf(arrangement, least);
  const lanes = lanesOf(links);
  const step = useOneStop(drawing);
  const tap = (event: PointerEvent<SVGSVGElement>) => {
    if ((event.target as Element).closest('[role=button]')) return;
    if (!onGround) return nearest.beside();
    const matrix = event.currentTarget.getScreenCTM();
    if (!matrix) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    onGround({ x, y }, height);
  };
  return (
    <>
      <svg
        ref={drawing}
        viewBox={`0 0 1000 ${height}`}
        className={`h-full w-full ${onGround ? 'cursor-crosshair' : ''}`}
        role="group"
        aria-label={caption}
        onPointerDown={nearest.down}
        onPointerUp={tap}
        onKeyDown={step}
      >
        <Painted drawn={arrangement.ground.map((ground) => groundMark(ground, photo, GROUND_WORDS, least))} />
        <Painted
          drawn={parts.map((part) =>
            partMark(part, arrangement, { text: partText(part), caption: partCaption(part) }, least),
          )}
        />
        {links.map((link, index) => {
          const [from, to] = [places.get(link.from), places.get(link.to)];
          if (!from || !to) return null;
          return (
            <Link key={link.key} link={link} path={linkPath(from, to, arrangement, lanes[index] ?? 0)} />
          );
        })}
        <Painted drawn={props.ties?.map((tie) => tieMark(tie, arrangement))} />
        {props.terminals.map((terminal) => (
          <TerminalMark
            key={terminal.id}
            terminal={terminal}
            x={places.get(terminal.id)?.x ?? 500}
            y={places.get(terminal.id)?.y ?? height / 2}
            radius={radius}
            reach={reach}
            least={least}
            part={roleOf?.(terminal.id) ?? 'plain'}
            note={props.noteOf?.(terminal.id) ?? null}
            onPick={props.onTerminal && onTerminal}
          />
        ))}
        <Painted
          drawn={props.terminals.map(({ id }) => {
            const place = places.get(id);
            const wires = place ? (props.wiresAt?.(id) ?? []) : [];
            return wires.map(
              (wire, index) =>
                place && wireMark(wire, tagPlace(arrangement, place, index, least), tagCaption(wire), least),
            );
          })}
        />
      </svg>
      {nearest.list}
    </>
  );
}

const Link = memo(function Link({ link, path }: { link: DrawnLink; path: string }) {
  const { onPick } = link;
  return (
    <g aria-label={link.label} {...pressable(onPick)}>
      <Painted drawn={linkMark(path, link)} />
    </g>
  );
});

interface MarkProps {
  terminal: Terminal;
  x: number;
  y: number;
  radius: number;
  /** How far around its middle it is pressed. */
  reach: number;
  least: Least;
  part: TerminalPart;
  note: string | null;
  onPick?: ((id: TerminalId) => void) | undefined;
}

const TerminalMark = memo(function TerminalMark(props: MarkProps) {
  const { terminal, x, y, radius, reach, least, part, note, onPick } = props;
  const sounded = part === 'sounded';
  const said = [`Terminal ${terminal.label}`, PART_IN_TASK_WORDS[part], note ?? '']
    .filter(Boolean)
    .join(', ');
  const pick = onPick && (() => onPick(terminal.id));
  return (
    <g
      transform={`translate(${x} ${y})`}
      aria-label={said}
      aria-pressed={pick && (part === 'black' || sounded) ? sounded : undefined}
      data-role={part}
      opacity={part === 'not-needed' ? 0.35 : 1}
      {...pressable(pick)}
    >
      {pick && reach > radius && <circle r={reach} fill="transparent" />}
      <Painted drawn={terminalMark(terminal, radius, part, note, least)} />
    </g>
  );
});

/** What makes a piece of a drawing a button, by pointer and by keys; a picture where it is none. */
function pressable(press: (() => void) | undefined): SVGProps<SVGGElement> {
  if (!press) return { role: 'img' };
  return {
    role: 'button',
    tabIndex: 0,
    className: 'cursor-pointer',
    onClick: press,
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key !== 'Enter' && event.key !== ' ') return;
      event.preventDefault();
      event.stopPropagation();
      press();
    },
  };
}
