import { deriveMap, type SwitchMap } from '@which-way/core/continuity';
import { answerTo, followUpsOf, handleAt, plainPlan, planNext, type Plan } from '@which-way/core/planner';
import { createWriter, type Ask, type Deed, type JobEvent, type Value } from '@which-way/core/log';
import { type PromptId, type SettingId } from '@which-way/core/switch';
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { newId } from '../job/new-id.js';
import { aSwitch } from '../testing/a-switch.js';
import type { DeskView } from './use-desk.js';
import { usePlan } from './use-plan.js';

const NOW = '2026-01-05T10:00:00.000Z';
const NOTHING: DeskView = {
  plan: null,
  followUps: null,
  ahead: null,
  recheck: null,
  recognised: [],
  forecasts: [],
  alone: false,
};

const { described, checked, approached, read } = aSwitch(5, 3);
const writer = createWriter({ newId, now: () => NOW });
const eventsOf = (deeds: readonly Deed[], before: readonly JobEvent[] = []) =>
  deeds.reduce<JobEvent[]>((sum, deed) => [...sum, writer.write(sum, deed)], [...before]);

const show = (map: SwitchMap, desk: DeskView) =>
  renderHook(({ map: now, desk: view }) => usePlan(now, handleAt(now), NOW, view), {
    initialProps: { map, desk },
  });
const better = (map: SwitchMap): Plan => planNext(map, handleAt(map), { now: NOW });
const wait = (ms: number) => act(() => vi.advanceTimersByTime(ms));

describe('the plan that the Map takes', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  it('is there at once by position-first, whatever the worker does', () => {
    const map = deriveMap(eventsOf([described, checked]));
    const { result } = show(map, NOTHING);
    expect(result.current).toEqual(plainPlan(map, handleAt(map), { now: NOW }));
  });

  it('is the worker’s where that comes in time', () => {
    const map = deriveMap(eventsOf([described, checked, approached({ order: 'pair' })]));
    const { result, rerender } = show(map, NOTHING);
    expect(result.current).toBeNull();
    wait(20);
    expect(result.current).toBeNull();
    rerender({ map, desk: { ...NOTHING, plan: better(map) } });
    expect(result.current).toEqual(better(map));
    wait(5000);
    expect(result.current).toEqual(better(map));
  });

  it('is the plain one where it does not, and stays it when the better one comes late', () => {
    const map = deriveMap(eventsOf([described, checked, approached({ order: 'pair' })]));
    const plain = plainPlan(map, handleAt(map), { now: NOW });
    expect(plain).not.toEqual(better(map));
    const { result, rerender } = show(map, NOTHING);
    wait(5000);
    wait(0);
    expect(result.current).toEqual(plain);
    rerender({ map, desk: { ...NOTHING, plan: better(map) } });
    expect(result.current).toEqual(plain);
  });

  it('is what was foreseen where the answer was as supposed: without any wait', () => {
    const before = eventsOf([described, checked, approached({ order: 'pair' })]);
    const first = deriveMap(before);
    const plan = better(first);
    if (plan.kind !== 'ask' || plan.ask.kind !== 'turn') throw new Error('a pair through all settings');
    const prompt = { id: newId<PromptId>(), ask: plan.ask };
    const shown = eventsOf([{ kind: 'prompt-shown', prompt }], before);
    const asked = deriveMap(shown);
    const ahead = { map: asked, followUps: followUpsOf(asked, handleAt(asked), { now: NOW }) };
    const values = new Map<SettingId, Value>(plan.ask.settings.map((setting) => [setting, { kind: 'over' }]));
    const answer = answerTo(prompt, { values, source: 'typed', inCircuit: false }, newId);
    const next = deriveMap(eventsOf([answer], shown));
    const { result } = show(next, { ...NOTHING, ahead });
    expect(result.current).toMatchObject({ kind: 'ask', ask: (better(next) as { ask: Ask }).ask });
    // One that sounded where it was not supposed to was not foreseen.
    const elsewhere = plan.ask.settings.find((setting) => setting !== ahead.followUps.likeliest);
    const sounded = new Map<SettingId, Value>([
      ...values,
      [elsewhere as SettingId, { kind: 'tone', sounded: true }],
    ]);
    const other = answerTo(prompt, { values: sounded, source: 'typed', inCircuit: false }, newId);
    expect(show(deriveMap(eventsOf([other], shown)), { ...NOTHING, ahead }).result.current).toBeNull();
  });

  it('is waited for longer in a re-check with clips, by position-first too: that looks far ahead', () => {
    const open: Value = { kind: 'over' };
    const pairs = [0, 1, 2, 3, 4].flatMap((a) => [0, 1, 2, 3, 4].slice(a + 1).map((b) => [a, b] as const));
    const deeds = [0, 1, 2].flatMap((setting) => pairs.map(([a, b]) => read([a], [b], open, { setting })));
    const events = eventsOf([described, checked, approached({ order: 'position', clips: 8 }), ...deeds]);
    const mapped = deriveMap(events);
    expect(mapped.complete).toBe(true);
    expect(show(mapped, NOTHING).result.current).toMatchObject({ kind: 'done' });
    const map = deriveMap(eventsOf([{ kind: 'recheck-begun' }], events));
    const { result } = show(map, NOTHING);
    wait(200);
    wait(0);
    expect(result.current).toBeNull();
    wait(300);
    wait(0);
    const plain = plainPlan(map, handleAt(map), { now: NOW });
    expect(plain).toMatchObject({ kind: 'ask', why: 'recheck' });
    expect(result.current).toEqual(plain);
  });

  it('is worked out on the screen itself where there is no worker', () => {
    const map = deriveMap(eventsOf([described, checked, approached({ order: 'pair' })]));
    const { result } = show(map, { ...NOTHING, alone: true });
    expect(result.current).toEqual(better(map));
  });

  it('asks for the meter first where that has gone to sleep, not for what was foreseen', () => {
    const before = eventsOf([described, checked, approached({ order: 'pair' })]);
    const map = deriveMap(before);
    const followUps = followUpsOf(map, handleAt(map), { now: NOW });
    const { result } = renderHook(() =>
      usePlan(map, handleAt(map), '2026-01-05T10:30:00.000Z', { ...NOTHING, ahead: { map, followUps } }),
    );
    wait(5000);
    wait(0);
    expect(result.current).toMatchObject({ kind: 'check-meter' });
  });
});
