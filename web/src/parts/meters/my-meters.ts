import type { MeterProfile } from '@which-way/core/log';
import { METER_KINDS } from '@which-way/core/sense/meter';
import { useStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { createStore } from 'zustand/vanilla';

/** The meters of this bench, as this browser keeps them, and the one in use; null: whatever a job had last. */
interface MyMeters {
  own: readonly MeterProfile[];
  using: string | null;
}

export const myMeters = createStore<MyMeters>()(
  persist((): MyMeters => ({ own: [], using: null }), {
    name: 'my-meters',
    storage: createJSONStorage(() => localStorage),
  }),
);

export const useMyMeters = (): MyMeters => useStore(myMeters);

/** Kinds that every bench knows, and one’s own. */
export const allMeters = ({ own }: MyMeters): readonly MeterProfile[] => [...METER_KINDS, ...own];

/** The meter in the hand, as it was chosen here; null: nothing was chosen. */
export function meterInUse(): MeterProfile | null {
  const meters = myMeters.getState();
  return allMeters(meters).find(({ name }) => name === meters.using) ?? null;
}

export function chooseMeter(name: string | null): void {
  myMeters.setState({ using: name });
}

/** Keeps one of one’s own under its name, and uses it. */
export function keepMeter(meter: MeterProfile): void {
  myMeters.setState(({ own }) => ({
    own: [...own.filter(({ name }) => name !== meter.name), meter],
    using: meter.name,
  }));
}

export function forgetMeter(name: string): void {
  myMeters.setState(({ own, using }) => ({
    own: own.filter((one) => one.name !== name),
    using: using === name ? null : using,
  }));
}
