import type { Taught } from '@which-way/core/sense/ear';
import { useStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { createStore } from 'zustand/vanilla';

/** A beeper that was taught: and the smallest resistor that stayed silent; null: none was tried. */
export interface TaughtEar extends Taught {
  silentOhms: number | null;
}

/** Resistors that are tried; more than the last no beeper sounds through (common practice). */
export const TRIED_OHMS = [10, 20, 30, 50, 100, 150, 200] as const;

/** A beep means fewer ohms than this. */
export const beepsBelow = ({ silentOhms }: TaughtEar): number => silentOhms ?? (TRIED_OHMS.at(-1) as number);

/** What this browser was taught, by the name of the meter. */
interface TaughtEars {
  byMeter: Readonly<Record<string, TaughtEar>>;
}

const taughtEars = createStore<TaughtEars>()(
  persist((): TaughtEars => ({ byMeter: {} }), {
    name: 'taught-ears',
    storage: createJSONStorage(() => localStorage),
  }),
);

export const useTaughtEar = (meter: string): TaughtEar | null =>
  useStore(taughtEars, ({ byMeter }) => byMeter[meter] ?? null);

export function keepTaughtEar(meter: string, taught: TaughtEar): void {
  taughtEars.setState(({ byMeter }) => ({ byMeter: { ...byMeter, [meter]: taught } }));
}
