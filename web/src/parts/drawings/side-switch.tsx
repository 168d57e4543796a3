import { FlipHorizontal2 } from 'lucide-react';
import { SIDE_WORDS, useViewSide } from './view-side.js';
import { SIDE_SWITCH_TEXT } from '@which-way/words/screens/parts/drawings/side-switch';

/** Says from which side the drawing is seen, and flips lugs and handle together. */
export function SideSwitch() {
  const { side, flip } = useViewSide();
  const other = side === 'terminal' ? 'front' : 'terminal side';
  return (
    <button
      type="button"
      onClick={flip}
      className="flex min-h-12 items-center gap-2 rounded-part px-2 text-left font-semibold hover:bg-sheet"
    >
      <FlipHorizontal2 size={20} aria-hidden="true" />
      <span>
        {SIDE_WORDS[side]}
        <span className="sr-only">
          {SIDE_SWITCH_TEXT.pressToSeeItFrom}
          {other}.
        </span>
      </span>
    </button>
  );
}
