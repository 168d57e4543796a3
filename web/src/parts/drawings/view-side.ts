import type { Side } from '@which-way/core/switch';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { VIEW_SIDE_TEXT } from '@which-way/words/screens/parts/drawings/view-side';

/** From which side switches are drawn, in this browser; it changes no reading and is no part of a job. */
export const useViewSide = create<{ side: Side; flip: () => void }>()(
  persist(
    (set) => ({
      side: 'terminal',
      flip: () => set(({ side }) => ({ side: side === 'terminal' ? 'front' : 'terminal' })),
    }),
    { name: 'view-side' },
  ),
);

export const SIDE_WORDS: Record<Side, string> = {
  terminal: VIEW_SIDE_TEXT.seenFromTheTerminalSide,
  front: VIEW_SIDE_TEXT.seenFromTheFront,
};
