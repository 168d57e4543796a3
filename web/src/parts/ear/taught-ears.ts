import type { Taught } from '@which-way/core/sense/ear';
import { useStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { createStore } from 'zustand/vanilla';

/** What this browser was taught, by the name of the meter. */
interface TaughtEars {
  byMeter: Readonly<Record<string, Taught>>;
}

const taughtEars = createStore<TaughtEars>()(
  persist((): TaughtEars => ({ byMeter: {} }), {
    name: 'taught-ears',
    storage: createJSONStorage(() => localStorage),
  }),
);

export const useTaughtEar = (meter: string): Taught | null =>
  useStore(taughtEars, ({ byMeter }) => byMeter[meter] ?? null);

export function keepTaughtEar(meter: string, taught: Taught): void {
  taughtEars.setState(({ byMeter }) => ({ byMeter: { ...byMeter, [meter]: taught } }));
}
