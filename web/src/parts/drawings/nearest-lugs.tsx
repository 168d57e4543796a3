import type { Terminal, TerminalId } from '@which-way/core/switch';
import type { Arrangement, Place } from '@which-way/drawing/arrangement';
import type { Least } from '@which-way/drawing/legible';
import { NEAREST_LUGS_TEXT } from '@which-way/words/screens/parts/drawings/nearest-lugs';
import { Popover } from 'radix-ui';
import { useRef, useState, type PointerEvent, type ReactNode, type RefObject } from 'react';
import { PlainButton } from '../../controls/plain-button.js';
import { PopoverPanel } from '../../controls/popover-panel.js';

/** Half of a fingertip, in the measure of a drawing in which 11 px are `least`. */
const fingertip = (least: Least): number => 2 * least;

/** How far around its middle a lug is pressed: as far as a fingertip, and no further than half way to the next. */
export const reachOf = ({ radius, apart }: Arrangement, least: Least): number =>
  Math.max(radius, Math.min(fingertip(least), apart / 2));

/** How many are offered. */
const NEAREST = 6;

interface Tap {
  touch: boolean;
  x: number;
  y: number;
}

interface Given {
  drawing: RefObject<SVGSVGElement | null>;
  terminals: readonly Terminal[];
  arrangement: Arrangement;
  least: Least;
  onTerminal: ((id: TerminalId) => void) | undefined;
}

interface NearestLugs {
  /** To be told of each pointer that comes down on the drawing. */
  down: (event: PointerEvent) => void;
  /** A lug was pressed. */
  pick: (id: TerminalId) => void;
  /** The drawing was pressed beside its lugs. */
  beside: () => void;
  list: ReactNode;
}

/** Where lugs lie closer than fingertips, a tap opens those nearest to it as buttons of a finger's size. A mouse, a pen and keys hit one lug. */
export function useNearestLugs({ drawing, terminals, arrangement, least, onTerminal }: Given): NearestLugs {
  const tap = useRef<Tap | null>(null);
  const [open, setOpen] = useState<{ at: Tap; lugs: readonly Terminal[] } | null>(null);
  const crowded = terminals.length > 1 && arrangement.apart / 2 < fingertip(least) * 0.95;
  const offer = (): boolean => {
    const at = tap.current;
    tap.current = null;
    if (!crowded || !at?.touch || !onTerminal) return false;
    const matrix = drawing.current?.getScreenCTM();
    if (!matrix) return false;
    const here = new DOMPoint(at.x, at.y).matrixTransform(matrix.inverse());
    const far = ({ id }: Terminal) => distance(arrangement.places.get(id), here);
    const near = terminals.filter((one) => far(one) < 4 * fingertip(least));
    const lugs = near.toSorted((one, other) => far(one) - far(other)).slice(0, NEAREST);
    if (lugs.length === 0) return false;
    setOpen({ at, lugs: lugs.toSorted((one, other) => terminals.indexOf(one) - terminals.indexOf(other)) });
    return true;
  };
  return {
    down: ({ pointerType, clientX, clientY }) => {
      tap.current = { touch: pointerType === 'touch', x: clientX, y: clientY };
    },
    pick: (id) => {
      if (!offer()) onTerminal?.(id);
    },
    beside: () => void offer(),
    list: open && (
      <Lugs
        {...open}
        onPick={(id) => {
          setOpen(null);
          onTerminal?.(id);
        }}
        onClose={() => setOpen(null)}
      />
    ),
  };
}

const distance = (place: Place | undefined, { x, y }: Place): number =>
  place ? Math.hypot(place.x - x, place.y - y) : Infinity;

interface LugsProps {
  at: Tap;
  lugs: readonly Terminal[];
  onPick: (id: TerminalId) => void;
  onClose: () => void;
}

function Lugs({ at, lugs, onPick, onClose }: LugsProps) {
  const point = useRef({ getBoundingClientRect: () => new DOMRect(at.x, at.y, 0, 0) });
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor virtualRef={point} />
      <PopoverPanel label={NEAREST_LUGS_TEXT.whichLug} sideOffset={14} className="p-2">
        <p className="px-1">{NEAREST_LUGS_TEXT.whichLug}</p>
        <div className="mt-1 grid grid-cols-3 gap-2">
          {lugs.map(({ id, label }) => (
            <PlainButton key={id} className="min-w-14 px-3 font-mono text-large" onClick={() => onPick(id)}>
              {label}
            </PlainButton>
          ))}
        </div>
      </PopoverPanel>
    </Popover.Root>
  );
}
