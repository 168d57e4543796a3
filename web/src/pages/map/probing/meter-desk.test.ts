import type { MeterNow } from '@which-way/contract';
import { deriveMap } from '@which-way/core/continuity';
import { createWriter } from '@which-way/core/log';
import { idleHands, momentOf, type Act, type Meter, type Moment } from '@which-way/core/probing';
import type { WiredValue } from '@which-way/core/sense/meter';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { meterNow } from '../../../api/meter-now.js';
import { newId } from '../../../job/new-id.js';
import { thisDevice } from '../../../parts/meter/this-device.js';
import { aSwitch } from '../../../testing/a-switch.js';
import { MeterDesk } from './meter-desk.js';

/** What was sent to the server, and its answer to a claim: this device has the meter. */
const sent: { path: string; body: unknown }[] = [];
beforeEach(() => {
  sent.length = 0;
  vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
    const body = JSON.parse(String(init.body)) as { takes?: boolean };
    sent.push({ path, body });
    const answer = path.endsWith('/claim')
      ? now({ kind: 'over' }, { holder: body.takes ? thisDevice : null })
      : body;
    return Promise.resolve(
      new Response(JSON.stringify(answer), { headers: { 'content-type': 'application/json' } }),
    );
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
  meterNow.setState({ now: null });
});

const now = (value: WiredValue, more: Partial<MeterNow> = {}): MeterNow => ({
  ...{ standing: 'ready', name: 'a meter', kind: 'scpi-tcp', mode: 'two-wire', holder: thisDevice },
  ...{ reading: { value, rangeOhms: 100 }, at: 0, trouble: null },
  ...more,
});
const say = (...values: WiredValue[]) => {
  for (const value of values) meterNow.setState({ now: now(value) });
};
const ohms = (value: number): WiredValue => ({ kind: 'ohms', ohms: value });
const over: WiredValue = { kind: 'over' };

/** The leads together are asked, in ohms: the first thing on any Map. */
function checking(): Moment {
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const map = deriveMap([writer.write([], aSwitch(3, 1).described)]);
  return momentOf(
    {
      ...{ map, plan: { kind: 'check-meter', why: 'first' }, open: true, inCircuit: false },
      ...{ meter: null, clicks: null, pedals: false, wired: true },
    },
    idleHands('ohms'),
  );
}
const begun = async (hidden: Meter | null = null) => {
  const acts: Act[] = [];
  const desk = new MeterDesk(hidden, (act) => acts.push(act));
  await desk.begin();
  desk.asked(checking());
  return { desk, acts };
};

describe('the bench meter on the Map', () => {
  it('three alike after the leads were lifted are taken, once', async () => {
    const { desk, acts } = await begun();
    expect(desk.takes).toBe(true);
    say(over, ohms(0.21), ohms(0.2), ohms(0.2), ohms(0.2));
    expect(acts).toEqual([{ do: 'takes', value: ohms(0.2) }]);
  });

  it('with the leads on a contact a pedal doesn’t mean open: the handle moved, and the contact is read again', async () => {
    const { desk, acts } = await begun();
    say(over);
    expect(desk.isOnContact).toBe(false);
    say(ohms(0.2), ohms(0.2), ohms(0.2), ohms(0.2));
    expect([desk.isOnContact, acts.length]).toEqual([true, 1]);
    desk.asked(checking());
    say(ohms(0.2), ohms(0.2), ohms(0.2));
    expect(acts.length).toBe(1);
    desk.moved();
    say(ohms(0.4), ohms(0.4), ohms(0.4));
    expect(acts.at(-1)).toEqual({ do: 'takes', value: ohms(0.4) });
  });

  it('another device took it: nothing more is taken here, and nothing is given back that is not ours', async () => {
    const { desk, acts } = await begun();
    meterNow.setState({ now: now(over, { holder: { id: 'another-device', name: 'a phone' } }) });
    expect(desk.takes).toBe(false);
    say(over, ohms(0.2), ohms(0.2), ohms(0.2));
    desk.end();
    expect(acts).toEqual([]);
    expect(sent.filter(({ path }) => path.endsWith('/claim'))).toHaveLength(1);
  });

  it('a server that restarted knows of no claim: it is claimed again, and taking goes on', async () => {
    const { desk, acts } = await begun();
    meterNow.setState({ now: now(over, { holder: null }) });
    meterNow.setState({ now: now(over, { holder: null }) });
    expect(desk.takes).toBe(true);
    expect(sent.filter(({ path }) => path.endsWith('/claim'))).toHaveLength(2);
    say(over, ohms(0.2), ohms(0.2), ohms(0.2));
    expect(acts).toHaveLength(1);
  });

  it('without a word for a while what it read last stands no more', async () => {
    vi.useFakeTimers();
    const { desk } = await begun();
    say(over, ohms(0.2));
    expect([desk.isOnContact, desk.store.getState().silent]).toEqual([true, false]);
    vi.advanceTimersByTime(3000);
    expect([desk.isOnContact, desk.store.getState().silent]).toEqual([false, true]);
    say(ohms(0.2));
    expect([desk.isOnContact, desk.store.getState().silent]).toEqual([true, false]);
    desk.end();
    vi.useRealTimers();
  });

  it('gone in the middle, what was read before counts no more', async () => {
    const { acts } = await begun();
    say(over, ohms(0.2), ohms(0.2));
    meterNow.setState({ now: now({ kind: 'none' }, { standing: 'lost' }) });
    say(ohms(0.2));
    expect(acts).toEqual([]);
  });

  it('a real switch is not read by a simulated meter, nor a simulated one by a real meter', async () => {
    const hidden: Meter = { source: 'simulated', read: () => Promise.resolve({ kind: 'over' }) };
    const [real, simulated] = [new MeterDesk(null, () => undefined), new MeterDesk(hidden, () => undefined)];
    const offered = (desk: MeterDesk) =>
      (['none', 'scpi-tcp', 'lines-serial', 'stand-in-scpi', 'stand-in-lines'] as const).filter((kind) =>
        desk.reads(kind),
      );
    expect(offered(real)).toEqual(['scpi-tcp', 'lines-serial']);
    expect(offered(simulated)).toEqual(['stand-in-scpi', 'stand-in-lines']);
    const { desk, acts } = await begun();
    for (const value of [over, ohms(0.2), ohms(0.2), ohms(0.2)])
      meterNow.setState({ now: now(value, { kind: 'stand-in-scpi' }) });
    expect([desk.takes, acts]).toEqual([false, []]);
  });
});
