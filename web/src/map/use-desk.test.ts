import { deriveMap, type SwitchMap } from '@which-way/core/continuity';
import { approachOf, handleAt, planNext } from '@which-way/core/planner';
import { createWriter, type Approach, type Deed } from '@which-way/core/log';
import { type KnownSwitch } from '@which-way/core/switch';
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { newId } from '../job/new-id.js';
import { aSwitch } from '../testing/a-switch.js';
import { theWorker, FakeWorker, withFakeWorkers } from '../testing/a-worker.js';
import type { WorkerAnswer } from './planner.worker.js';
import { useDesk } from './use-desk.js';

const NOW = '2026-01-05T10:00:00.000Z';
const LIBRARY: readonly KnownSwitch[] = [];

/** A map, and the same one deed further on. */
function grown(...deeds: Deed[]): { map: SwitchMap; after: (...more: Deed[]) => SwitchMap } {
  const writer = createWriter({ newId, now: () => NOW });
  const events = deeds.reduce<ReturnType<typeof writer.write>[]>(
    (sum, deed) => [...sum, writer.write(sum, deed)],
    [],
  );
  return {
    map: deriveMap(events),
    after: (...more) => deriveMap(more.reduce((sum, deed) => [...sum, writer.write(sum, deed)], [...events])),
  };
}

const show = (map: SwitchMap, approaches: readonly Approach[] = [approachOf(map)]) =>
  renderHook(({ now }: { now: SwitchMap }) => useDesk(now, handleAt(now), NOW, approaches, LIBRARY), {
    initialProps: { now: map },
  });

const answer = (data: WorkerAnswer) => act(() => theWorker().onmessage?.({ data }));
const planOf = (map: SwitchMap) => planNext(map, handleAt(map));

describe('the planner’s worker, asked by the screen', () => {
  const { described, checked, read } = aSwitch(4, 2);
  beforeEach(withFakeWorkers);
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('is asked about the whole log once, then only about what is new, and sent the library once', () => {
    const { map, after } = grown(described, checked);
    const { rerender } = show(map);
    const more = after(read([0], [1], { kind: 'over' }));
    rerender({ now: more });
    const [first, second] = theWorker().asked;
    expect(first).toMatchObject({ from: 0, at: handleAt(map), library: [] });
    expect(first?.added).toHaveLength(2);
    expect(second?.from).toBe(2);
    expect(second?.added.map(({ what }) => what.kind)).toEqual(['answered']);
    expect(second?.library).toBeNull();
    expect(second?.version).toBeGreaterThan(first?.version ?? Infinity);
    // Another log that begins in the same way: from where it differs.
    rerender({ now: after(read([0], [2], { kind: 'over' })) });
    expect(theWorker().asked[2]?.from).toBe(2);
    expect(FakeWorker.made).toHaveLength(1);
  });

  it('has its answers shown as they come, and those to an older question dropped', () => {
    const { map, after } = grown(described, checked);
    const { result, rerender } = show(map);
    expect(result.current).toMatchObject({ plan: null, ahead: null, forecasts: [null], alone: false });
    const [first] = theWorker().asked;
    const plan = planOf(map);
    answer({ version: first?.version ?? -1, kind: 'plan', plan });
    expect(result.current.plan).toEqual(plan);
    const expected = { readings: 12, touches: 12, seconds: 60, acts: 6 };
    answer({ version: first?.version ?? -1, kind: 'forecast', approach: 0, expected });
    expect(result.current.forecasts).toEqual([expected]);

    const more = after(read([0], [1], { kind: 'over' }));
    rerender({ now: more });
    // The plan was of the map before; its forecast still serves.
    expect(result.current.plan).toBeNull();
    expect(result.current.forecasts).toEqual([expected]);
    answer({ version: first?.version ?? -1, kind: 'plan', plan });
    expect(result.current.plan).toBeNull();
    answer({ version: theWorker().asked[1]?.version ?? -1, kind: 'plan', plan: planOf(more) });
    expect(result.current.plan).toEqual(planOf(more));
  });

  it('keeps the newest follow-ups for the moment after an answer, with the map that they are of', () => {
    const { map, after } = grown(described, checked);
    const { result, rerender } = show(map);
    const followUps = { of: null, silent: null, sounded: null, likeliest: null };
    answer({ version: theWorker().asked[0]?.version ?? -1, kind: 'follow-ups', followUps });
    expect(result.current.followUps).toEqual(followUps);
    rerender({ now: after(read([0], [1], { kind: 'over' })) });
    expect(result.current.followUps).toBeNull();
    expect(result.current.ahead).toEqual({ map, followUps });
  });

  it('that broke leaves the screen to itself, and is begun anew with the next question, whole log and all', () => {
    const { map, after } = grown(described, checked);
    const { result, rerender } = show(map);
    const broken = theWorker();
    act(() => broken.onerror?.());
    expect(broken.ended).toBe(true);
    expect(result.current).toMatchObject({ alone: true, plan: null });
    const more = after(read([0], [1], { kind: 'over' }));
    rerender({ now: more });
    expect(FakeWorker.made).toHaveLength(2);
    expect(theWorker().asked[0]).toMatchObject({ from: 0, library: [] });
    answer({ version: theWorker().asked[0]?.version ?? -1, kind: 'plan', plan: planOf(more) });
    expect(result.current).toMatchObject({ alone: false, plan: planOf(more) });
  });

  it('ends with the screen', () => {
    const { unmount } = show(grown(described, checked).map);
    unmount();
    expect(theWorker().ended).toBe(true);
  });

  it('that is missing says so', () => {
    vi.stubGlobal('Worker', undefined);
    const { result } = show(grown(described, checked).map);
    expect(result.current).toMatchObject({ alone: true, plan: null });
  });
});
