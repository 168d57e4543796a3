import type { MeterProfile } from '@which-way/core/log';
import { useStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { createStore } from 'zustand/vanilla';

/** The meter in the hand at this device, with all that is known of it; null: whatever a job had last. The shop keeps its meters. */
interface MeterInUse {
  using: MeterProfile | null;
}

const inUse = createStore<MeterInUse>()(
  persist((): MeterInUse => ({ using: null }), {
    name: 'meter-in-use',
    storage: createJSONStorage(() => localStorage),
  }),
);

export const useMeterInUse = (): MeterProfile | null => useStore(inUse, ({ using }) => using);
export const meterInUse = (): MeterProfile | null => inUse.getState().using;

export function chooseMeter(using: MeterProfile | null): void {
  inUse.setState({ using });
}

/** Takes up what the shop says today of the meter in use: it may have been changed at another device. One that the shop has not is left. */
export function meterAsInShop(meters: readonly MeterProfile[]): void {
  const using = meterInUse();
  const today = meters.find(({ name }) => name === using?.name);
  if (today) chooseMeter(today);
}
