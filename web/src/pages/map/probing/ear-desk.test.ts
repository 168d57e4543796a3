import { deriveMap } from '@which-way/core/continuity';
import { createWriter, type JobEvent } from '@which-way/core/log';
import { idleHands, momentOf, type Act } from '@which-way/core/probing';
import type { EarSignal } from '@which-way/core/sense/ear';
import type { PromptId, SettingId, TerminalId } from '@which-way/core/switch';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { createStore } from 'zustand/vanilla';
import { newId } from '../../../job/new-id.js';
import { SIMULATED_BEEPER } from '../../../parts/ear/simulated-beeper.js';
import { aSwitch } from '../../../testing/a-switch.js';
import { EarDesk } from './ear-desk.js';

/** What the ear tells, in the test's hands, and its clocks: what time it is, and until when it has listened. */
let hear: (signal: EarSignal) => void = () => undefined;
const clock = vi.hoisted(() => ({ now: 1000, heard: 1000 }));
vi.mock('../../../parts/ear/listener.js', () => ({
  Listener: class {
    readonly store = createStore(() => ({ standing: 'off', sounding: false }));
    now = () => clock.now;
    get heard() {
      return clock.heard;
    }
    click = () => clock.now;
    stop = () => this.store.setState({ standing: 'off' });
    listen = (_: unknown, __: unknown, heard: typeof hear) => {
      hear = heard;
      this.store.setState({ standing: 'listening' });
      return Promise.resolve();
    };
  },
}));

/** A sweep is asked: of the first of four lugs against the others. */
function asked() {
  const { described, checked, change, ids } = aSwitch(4, 2);
  const [red = newId<TerminalId>(), ...black] = ids;
  const ask = { kind: 'sweep', setting: change.settings[0]?.id ?? newId<SettingId>(), red, black } as const;
  const prompted = { kind: 'prompt-shown', prompt: { id: newId<PromptId>(), ask } } as const;
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const events = [described, checked, prompted].reduce<JobEvent[]>(
    (sum, deed) => [...sum, writer.write(sum, deed)],
    [],
  );
  const scene = { plan: null, open: true, inCircuit: false, meter: null, clicks: null, pedals: true };
  return momentOf({ map: deriveMap(events), ...scene, wired: false }, idleHands('tone'));
}

describe('the ear on the Map', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());
  /** Time goes on, and what sounds is heard until then. */
  const goOn = (now: number, heard = now) => {
    Object.assign(clock, { now, heard });
    vi.advanceTimersByTime(60);
  };

  it('silence counts as far as was listened: while the page is behind it counts for nothing', async () => {
    const acts: Act[] = [];
    goOn(1000);
    const desk = new EarDesk(null, (act) => acts.push(act));
    await desk.begin(SIMULATED_BEEPER);
    desk.waits(1500);
    desk.asked(asked());
    goOn(9000, 1200);
    expect(acts).toEqual([]);
    goOn(9000, 2700);
    expect(acts).toEqual([{ do: 'step', sounded: false, heard: true }]);
    desk.end();
  });

  it('while clicks lead a pedal is theirs; a long press before the clip was heard is not', async () => {
    goOn(1000);
    const desk = new EarDesk(null, () => undefined);
    await desk.begin(SIMULATED_BEEPER);
    desk.leads(700);
    desk.asked(asked());
    expect([desk.sweeps, desk.waitsForClip]).toEqual([true, true]);
    hear({ kind: 'began', at: 1200 });
    hear({ kind: 'ended', at: 1400 });
    expect(desk.waitsForClip).toBe(false);
    desk.pedal(true);
    expect(desk.store.getState().sweep).toMatchObject({ stage: 'clip-first', voided: 'undone' });
    expect(desk.waitsForClip).toBe(true);
    desk.end();
  });

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
