import { describe, expect, it } from 'vitest';
import { deriveMap } from '../../continuity/index.js';
import { PLAIN_APPROACH, type Value } from '../../log/index.js';
import { planNext } from '../../planner/index.js';
import type { WiredValue } from '../../sense/meter/index.js';
import { seededRandom, type PromptId, type SettingId } from '../../switch/index.js';
import { bench } from '../../testing/generated.js';
import { answersTo } from '../answers-to.js';
import { idleHands } from '../hands.js';
import { momentOf } from '../moment.js';
import { captureWired, idleWired, type WiredCapture, type WiredSignal } from './wired.js';

/** Readings ten a second, what is asked and pedals, in order; what was taken, with when. */
function told(
  script: (
    | WiredValue
    | { asked: string | null }
    | 'there'
    | 'moved'
    | 'lost'
    | { ohms: number; range: number }
    | { pause: number }
  )[],
  dwellMs: number | null = null,
) {
  let state: WiredCapture = idleWired;
  let at = 0;
  const taken: { value: Value; at: number; key: string | null }[] = [];
  const asides: string[] = [];
  const send = (signal: WiredSignal) => {
    const key = state.key;
    const step = captureWired(state, signal, dwellMs);
    state = step.state;
    if (step.takes) taken.push({ value: step.takes, at, key });
    if (step.aside) asides.push(step.aside);
  };
  for (const one of script) {
    if (one === 'there' || one === 'moved' || one === 'lost') send({ kind: one, at });
    else if ('pause' in one) at += one.pause;
    else if ('asked' in one) send({ kind: 'asked', key: one.asked, at });
    else {
      at += 100;
      const reading =
        'range' in one
          ? { value: { kind: 'ohms' as const, ohms: one.ohms }, rangeOhms: one.range }
          : { value: one, rangeOhms: 100 };
      send({ kind: 'read', reading, at });
    }
  }
  return { taken, asides, state };
}
const over: WiredValue = { kind: 'over' };
const none: WiredValue = { kind: 'none' };
const r = (ohms: number): WiredValue => ({ kind: 'ohms', ohms });
const values = (script: Parameters<typeof told>[0], dwellMs?: number | null) =>
  told(script, dwellMs).taken.map(({ value }) => value);

describe('a meter on a wire', () => {
  it('three alike in one range are taken, once; lifting arms the next', () => {
    expect(values([{ asked: 'prompt a' }, over, r(0.31), r(0.3), r(0.3), r(0.3), r(0.3)])).toEqual([r(0.3)]);
    expect(values([{ asked: 'prompt a' }, over, r(0.3), r(0.3)])).toEqual([]);
    const twice = [
      { asked: 'prompt a' },
      over,
      r(0.3),
      r(0.3),
      r(0.3),
      { asked: 'prompt b' },
      over,
      r(9),
      r(9),
      r(9),
    ];
    expect(values(twice)).toEqual([r(0.3), r(9)]);
  });

  it('a contact that stays closed is not taken twice, whatever is asked next', () => {
    const stays = [
      { asked: 'prompt a' },
      over,
      r(0.3),
      r(0.3),
      r(0.3),
      { asked: 'prompt b' },
      r(0.3),
      r(0.3),
      r(0.3),
      r(0.3),
    ];
    expect(values(stays)).toEqual([r(0.3)]);
    expect(told(stays).asides).toContain('not-lifted');
    // Leads that lie on a contact when it begins are not taken either.
    expect(values([{ asked: 'prompt a' }, r(0.3), r(0.3), r(0.3), r(0.3)])).toEqual([]);
  });

  it('the handle moved under leads that stay: the pedal says so, and what they read is taken anew', () => {
    const first = [
      { asked: 'prompt a' },
      over,
      r(0.3),
      r(0.3),
      r(0.3),
      { asked: 'prompt b' },
      r(0.3),
      r(0.3),
      r(0.3),
    ];
    expect(values([...first, 'moved', r(0.5), r(0.5), r(0.5), r(0.5)])).toEqual([r(0.3), r(0.5)]);
    // Two before it are none of three after it.
    expect(values([...first, 'moved', r(0.5), r(0.5)])).toEqual([r(0.3)]);
  });

  it('what climbs, falls, jumps, or changes its range is not steady', () => {
    expect(values([{ asked: 'prompt a' }, over, r(1), r(2), r(4), r(8), r(16), r(32)])).toEqual([]);
    expect(values([{ asked: 'prompt a' }, over, r(0.3), r(40), r(0.3), r(40), r(0.3)])).toEqual([]);
    const ranging = [{ ohms: 98, range: 100 }, { ohms: 98.2, range: 1000 }, { ohms: 98.1, range: 1000 }]; // prettier-ignore
    expect(values([{ asked: 'prompt a' }, over, ...ranging])).toEqual([]);
    expect(values([{ asked: 'prompt a' }, over, ...ranging, { ohms: 98.1, range: 1000 }])).toEqual([r(98.1)]);
  });

  it('what came before a pause belongs to nothing after it: a hidden page, a server away', () => {
    const pause = { pause: 5000 };
    expect(values([{ asked: 'prompt a' }, over, r(0.3), r(0.3), pause, r(0.3), r(0.3)])).toEqual([]);
    expect(values([{ asked: 'prompt a' }, over, over, pause, over, over], 1500)).toEqual([]);
    expect(values([{ asked: 'held p 1' }, 'there', over, over, pause, over])).toEqual([]);
  });

  it('a drop-out begins anew; not a number is nothing, and no open', () => {
    expect(values([{ asked: 'prompt a' }, over, r(0.3), r(0.3), over, r(0.3)])).toEqual([]);
    expect(values([{ asked: 'prompt a' }, over, r(0.3), none, r(0.3), r(0.3)])).toEqual([]);
    expect(values([{ asked: 'prompt a' }, ...new Array<WiredValue>(50).fill(none)], 1000)).toEqual([]);
  });

  it('over range is an open only after the time that a person chose, once, and never of leads together or clips', () => {
    const open = (key: string) => [{ asked: key }, ...new Array<WiredValue>(40).fill(over)];
    expect(values(open('prompt a'), null)).toEqual([]);
    expect(told(open('prompt a'), 1500).taken).toMatchObject([{ value: over, at: 1600 }]);
    expect(values(open('leads-together'), 1500)).toEqual([]);
    expect(values(open('clip x'), 1500)).toEqual([]);
    // A touch in between begins the time anew.
    const touched = [
      { asked: 'prompt a' },
      ...new Array<WiredValue>(10).fill(over),
      r(5000),
      ...new Array<WiredValue>(10).fill(over),
    ];
    expect(values(touched, 1500)).toEqual([]);
    // What is asked next has its own time.
    expect(values([...open('prompt a').slice(0, 15), { asked: 'prompt b' }, over, over, over], 1500)).toEqual(
      [],
    );
  });

  it('leads that are held: nothing before the pedal says that the handle is there, then the next steady value, open too', () => {
    const held = [{ asked: 'held p 1' }, over, r(0.3), r(0.3), r(0.3), r(0.3)];
    expect(values(held)).toEqual([]);
    expect(values([...held, 'there', r(0.3), r(0.3), r(0.3), r(0.3)])).toEqual([r(0.3)]);
    expect(values([...held, 'there', over, over, over])).toEqual([over]);
    expect(values([...held, 'there', over, over, r(0.3), over])).toEqual([]);
    expect(values([...held, 'there', none, none, none])).toEqual([]);
  });

  it('nothing goes across what is asked, and a meter that was lost begins anew', () => {
    expect(values([{ asked: 'prompt a' }, over, r(0.3), r(0.3), { asked: 'prompt b' }, r(0.3)])).toEqual([]);
    expect(values([{ asked: 'prompt a' }, over, r(0.3), r(0.3), 'lost', r(0.3), r(0.3), r(0.3)])).toEqual([]);
    const nothing = told([{ asked: null }, over, r(0.3), r(0.3), r(0.3)]);
    expect([nothing.taken, nothing.asides[0]]).toEqual([[], 'nothing-asked']);
  });

  it('takes nothing that the leads did not hold, in ten thousand touches with noise, drop-outs and late asks', () => {
    let [touches, taken, wrong] = [0, 0, 0];
    const random = seededRandom(35);
    const all = 10_000;
    let state = idleWired;
    let at = 0;
    while (touches < all) {
      touches += 1;
      const key = `prompt ${touches}`;
      state = captureWired(state, { kind: 'asked', key, at }, null).state;
      const truth = random() < 0.6 ? 0.1 + random() * 2 : random() < 0.5 ? 50 + random() * 1e5 : null;
      let mine = 0;
      const say = (value: WiredValue) => {
        at += 5 + Math.floor(random() * 100);
        const step = captureWired(state, { kind: 'read', reading: { value, rangeOhms: 100 }, at }, null);
        state = step.state;
        if (!step.takes) return;
        mine += 1;
        taken += 1;
        const ohms = step.takes.kind === 'ohms' ? step.takes.ohms : Infinity;
        // Only the truth of this very touch, within what its noise is, and once.
        if (truth === null || mine > 1 || Math.abs(ohms - truth) > 0.05 + 0.02 * truth) wrong += 1;
      };
      // In the air, landing through anything, on the contact with noise and drop-outs, off again; now and then not lifted.
      for (let n = 0; n < 3; n += 1) say(over);
      say(random() < 0.5 ? r(random() * 1e6) : none);
      for (let n = 0; n < 8; n += 1) {
        const slip = random();
        if (truth === null) say(over);
        else if (slip < 0.1) say(over);
        else if (slip < 0.15) say(none);
        else if (slip < 0.2) say(r(truth * (3 + random())));
        else say(r(truth * (1 + (random() - 0.5) * 0.01) + random() * 0.01));
      }
    }
    expect([touches, wrong]).toEqual([10_000, 0]);
    expect(taken).toBeGreaterThan(5000);
  });
});

describe('what a hand can say while a meter on a wire answers', () => {
  const answers = (order: 'position' | 'pair') => {
    const on = bench(4, 2);
    on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order } });
    const plan = planNext(deriveMap(on.events), on.settings[0] as SettingId);
    if (plan.kind !== 'ask') throw new Error(plan.kind);
    on.add({ kind: 'prompt-shown', prompt: { id: on.newId<PromptId>(), ask: plan.ask } });
    const scene = {
      ...{ map: deriveMap(on.events), plan, open: true, inCircuit: false, meter: null, clicks: null },
      ...{ pedals: false, wired: true },
    };
    return answersTo(momentOf(scene, idleHands('ohms')))[0];
  };

  it('is over range for a touch of a sweep, and that the handle is there while the leads are held: one key, or one tap', () => {
    expect(answers('position')).toMatchObject({
      act: { do: 'no' },
      label: { code: 'over-range' },
      look: 'main',
    });
    expect(answers('pair')).toMatchObject({
      act: { do: 'no' },
      label: { code: 'handle-there' },
      look: 'main',
    });
  });
});
