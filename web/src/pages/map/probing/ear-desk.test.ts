import type { Act } from '@which-way/core/probing';
import type { EarSignal } from '@which-way/core/sense/ear';
import { describe, expect, it, vi } from 'vitest';
import { createStore } from 'zustand/vanilla';
import { SIMULATED_BEEPER } from '../../../parts/ear/simulated-beeper.js';
import { EarDesk } from './ear-desk.js';

/** What the ear tells, in the test's hands. */
let hear: (signal: EarSignal) => void = () => undefined;
vi.mock('../../../parts/ear/listener.js', () => ({
  Listener: class {
    readonly store = createStore(() => ({ standing: 'off', sounding: false }));
    now = () => 1000;
    heard = 1000;
    stop = () => this.store.setState({ standing: 'off' });
    listen = (_: unknown, __: unknown, heard: typeof hear) => {
      hear = heard;
      this.store.setState({ standing: 'listening' });
      return Promise.resolve();
    };
  },
}));

describe('the ear on the Map', () => {
  it('while the beeper sounds a pedal that says none answers nothing, and says why', async () => {
    const acts: Act[] = [];
    const desk = new EarDesk(null, (act) => acts.push(act));
    expect(desk.contradicts()).toBe(false);
    await desk.begin(SIMULATED_BEEPER);
    expect(desk.contradicts()).toBe(false);
    hear({ kind: 'began', at: 900 });
    expect([desk.contradicts(), desk.store.getState().aside]).toEqual([true, 'still-sounds']);
    hear({ kind: 'ended', at: 1200 });
    expect(desk.contradicts()).toBe(false);
    desk.end();
    expect(acts).toEqual([]);
  });
});
