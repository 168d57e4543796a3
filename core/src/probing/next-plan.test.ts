import { describe, expect, it } from 'vitest';
import { deriveMap, type SwitchMap } from '../continuity/index.js';
import {
  answerTo,
  approachOf,
  followUpsOf,
  handleAt,
  plainPlan,
  planNext,
  type Plan,
} from '../planner/index.js';
import { ORDINARY_METER, PLAIN_APPROACH, type Approach, type Ask, type Value } from '../log/index.js';
import type { PromptId, SettingId } from '../switch/index.js';
import { bench, OPEN } from '../testing/generated.js';
import { planBegins, planHeard, planLate, type PlannerBeside } from './next-plan.js';

const NOW = '2026-01-05T10:00:00.000Z';
const NOBODY_YET: PlannerBeside = { alone: false, ahead: null };

/** A bench, too large to be planned in passing, on which the meter was checked. */
function begun(approach: Partial<Approach> = {}, on = bench(8, 10)) {
  on.add({ kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER });
  on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, ...approach } });
  return on;
}

const begins = (map: SwitchMap, beside = NOBODY_YET, now = NOW) =>
  planBegins(map, handleAt(map), now, beside);
const better = (map: SwitchMap): Plan => planNext(map, handleAt(map), { now: NOW });
const plain = (map: SwitchMap): Plan => plainPlan(map, handleAt(map), { now: NOW });

describe('the plan that the Map takes', () => {
  it('is there at once by position-first, whatever comes from beside', () => {
    const map = deriveMap(begun({ order: 'position' }).events);
    const next = begins(map);
    expect(next).toMatchObject({ from: 'here', patience: null, plan: plain(map) });
    expect(planHeard(next, { kind: 'done' })).toBe(next);
  });

  it('is the better one at once on a small switch, in ohms by time, by a beeper row by row', () => {
    const on = bench(6, 4);
    const inOhms = deriveMap(on.events);
    expect(begins(inOhms)).toMatchObject({ from: 'here', plan: better(inOhms) });
    expect(approachOf(inOhms).order).toBe('time');
    on.add({ kind: 'meter-checked', leadsTogether: { kind: 'tone', sounded: true }, meter: ORDINARY_METER });
    expect(approachOf(deriveMap(on.events)).order).toBe('position');
  });

  it('is the one from beside where that comes in time, and a newer one of it takes its place', () => {
    const map = deriveMap(begun({ order: 'pair' }).events);
    const next = begins(map);
    expect(next.plan).toBeNull();
    expect(next.patience).toBeGreaterThan(0);
    const heard = planHeard(next, better(map));
    expect(heard).toMatchObject({ from: 'beside', plan: better(map), patience: null });
    expect(planLate(heard, NOW)).toBe(heard);
    expect(planHeard(heard, { kind: 'done' }).plan).toEqual({ kind: 'done' });
  });

  it('is the plain one where patience is over, and stays it when the better one comes late', () => {
    const map = deriveMap(begun({ order: 'pair' }).events);
    expect(plain(map)).not.toEqual(better(map));
    const late = planLate(begins(map), NOW);
    expect(late).toMatchObject({ from: 'late', plan: plain(map) });
    expect(planHeard(late, better(map))).toBe(late);
  });

  it('is what was foreseen where the answer was as supposed: without any wait', () => {
    const on = begun({ order: 'pair' });
    const plan = better(deriveMap(on.events));
    if (plan.kind !== 'ask' || plan.ask.kind !== 'turn') throw new Error('a pair through all settings');
    const prompt = { id: on.newId<PromptId>(), ask: plan.ask };
    on.add({ kind: 'prompt-shown', prompt });
    const asked = deriveMap(on.events);
    const ahead = { map: asked, followUps: followUpsOf(asked, handleAt(asked), { now: NOW }) };
    const values = new Map<SettingId, Value>(plan.ask.settings.map((setting) => [setting, OPEN]));
    const before = [...on.events];
    on.add(answerTo(prompt, { values, source: 'typed', inCircuit: false }, on.newId));
    const map = deriveMap(on.events);
    const next = begins(map, { alone: false, ahead });
    expect(next).toMatchObject({
      from: 'here',
      plan: { kind: 'ask', ask: (better(map) as { ask: Ask }).ask },
    });
    // One that sounded where it was not supposed to was not foreseen.
    const elsewhere = plan.ask.settings.find((setting) => setting !== ahead.followUps.likeliest);
    on.events.splice(0, on.events.length, ...before);
    const sounded = new Map(values).set(elsewhere as SettingId, { kind: 'tone', sounded: true });
    on.add(answerTo(prompt, { values: sounded, source: 'typed', inCircuit: false }, on.newId));
    expect(begins(deriveMap(on.events), { alone: false, ahead }).plan).toBeNull();
  });

  it('is waited for longer in a re-check with clips, by position-first too: that looks far ahead', () => {
    const on = begun({ order: 'position', clips: 8 }, bench(5, 3));
    for (const setting of on.settings.keys())
      for (let a = 0; a < 5; a += 1) for (let b = a + 1; b < 5; b += 1) on.read(setting, a, b, OPEN);
    const mapped = deriveMap(on.events);
    expect(mapped.complete).toBe(true);
    expect(begins(mapped).plan).toMatchObject({ kind: 'done' });
    on.add({ kind: 'recheck-begun' });
    const map = deriveMap(on.events);
    const hurried = begins(deriveMap(begun({ order: 'pair' }).events)).patience ?? 0;
    expect(begins(map).patience).toBeGreaterThan(hurried);
    expect(planLate(begins(map), NOW).plan).toMatchObject({ kind: 'ask', why: 'recheck' });
  });

  it('is worked out on the spot where there is nobody beside', () => {
    const map = deriveMap(begun({ order: 'pair' }).events);
    expect(begins(map, { alone: true, ahead: null })).toMatchObject({ from: 'here', plan: better(map) });
  });

  it('asks for the meter first where that has gone to sleep, not for what was foreseen', () => {
    const map = deriveMap(begun({ order: 'pair' }).events);
    const ahead = { map, followUps: followUpsOf(map, handleAt(map), { now: NOW }) };
    const much = '2026-01-05T23:30:00.000Z';
    const next = begins(map, { alone: false, ahead }, much);
    expect(next.plan).toBeNull();
    expect(planLate(next, much).plan).toMatchObject({ kind: 'check-meter' });
  });
});
