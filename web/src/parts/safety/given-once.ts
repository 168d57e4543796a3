import type { Tester } from '@which-way/core/log';
import { useStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { createStore } from 'zustand/vanilla';

/** What was answered once and is offered again: kept in this browser, for all jobs. */
export interface GivenOnce {
  tester: Tester | null;
  /** The known source on which the tester is proved. */
  source: string;
  /** Who works at this bench. */
  who: string;
}

export const givenOnce = createStore<GivenOnce>()(
  persist((): GivenOnce => ({ tester: null, source: '', who: '' }), {
    name: 'given-once',
    storage: createJSONStorage(() => localStorage),
  }),
);

export const useGivenOnce = (): GivenOnce => useStore(givenOnce);

/** Ghost volts vanish on a tester that loads what it measures; a meter on volts loads nothing (common practice). */
export const loads = (tester: Tester | null): boolean => tester === 'two-pole';
