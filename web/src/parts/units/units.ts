import type { Units } from '@which-way/words/units';
import { useStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { createStore } from 'zustand/vanilla';

/** What this device says lengths, wires and temperatures in. */
export const unitsHere = createStore<{ units: Units }>()(
  persist((): { units: Units } => ({ units: 'metric' }), {
    name: 'units',
    storage: createJSONStorage(() => localStorage),
  }),
);

export const useUnits = (): Units => useStore(unitsHere, ({ units }) => units);
