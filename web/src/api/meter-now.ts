import type { MeterNow } from '@which-way/contract';
import { createStore } from 'zustand/vanilla';

/** What the meter of the bench says, as the stream of the open page brings it; null: nothing was heard of one. */
export const meterNow = createStore<{ now: MeterNow | null }>(() => ({ now: null }));

/** A word from the stream. */
export const hearMeter = (now: MeterNow): void => meterNow.setState({ now });
