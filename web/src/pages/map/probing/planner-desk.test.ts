import { deriveMap, type SwitchMap } from '@which-way/core/continuity';
import { createWriter, type Deed, type JobEvent } from '@which-way/core/log';
import { approachOf, handleAt, planNext } from '@which-way/core/planner';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { newId } from '../../../job/new-id.js';
import { FakePlanner, thePlanner } from '../../../testing/a-planner.js';
import { aSwitch } from '../../../testing/a-switch.js';
import { nameOfApproach, PlannerDesk } from './planner-desk.js';

/** Opens a planner that a test answers for. */
const opened = (...means: ConstructorParameters<typeof FakePlanner>) => new FakePlanner(...means);

const NOW = '2026-01-05T10:00:00.000Z';

/** A map, and the same one deeds further on. */
function grown(...deeds: Deed[]): { map: SwitchMap; after: (...more: Deed[]) => SwitchMap } {
  const writer = createWriter({ newId, now: () => NOW });
  const written = (before: readonly JobEvent[], more: readonly Deed[]) =>
    more.reduce<JobEvent[]>((sum, deed) => [...sum, writer.write(sum, deed)], [...before]);
  const events = written([], deeds);
  return { map: deriveMap(events), after: (...more) => deriveMap(written(events, more)) };
}

const planOf = (map: SwitchMap) => planNext(map, handleAt(map));

describe('the planner beside the screen, asked by its desk', () => {
  const { described, checked, read } = aSwitch(4, 2);
  const open = read([0], [1], { kind: 'over' });
  const look = (desk: PlannerDesk, map: SwitchMap) => desk.look(map, handleAt(map), NOW);
  const view = (desk: PlannerDesk) => desk.store.getState();
  const version = () => thePlanner().asked.at(-1)?.version ?? -1;

  beforeEach(() => {
    FakePlanner.made = [];
    vi.stubGlobal('Worker', FakePlanner);
  });

  it('is asked about the whole log once, then only about what is new, and sent the library once', () => {
    const { map, after } = grown(described, checked);
    const desk = new PlannerDesk(opened);
    look(desk, map);
    look(desk, after(open));
    const [first, second] = thePlanner().asked;
    expect(first).toMatchObject({ from: 0, at: handleAt(map), library: [] });
    expect(first?.added).toHaveLength(2);
    expect(second?.from).toBe(2);
    expect(second?.added.map(({ what }) => what.kind)).toEqual(['answered']);
    expect(second?.library).toBeNull();
    expect(second?.version).toBeGreaterThan(first?.version ?? Infinity);
    // Another log that begins in the same way: from where it differs.
    look(desk, after(read([0], [2], { kind: 'over' })));
    expect(thePlanner().asked[2]?.from).toBe(2);
    expect(FakePlanner.made).toHaveLength(1);
  });

  it('has its answers shown as they come, and those to an older question dropped', () => {
    const { map, after } = grown(described, checked);
    const desk = new PlannerDesk(opened);
    const approach = approachOf(map);
    desk.want('outlook', [approach]);
    look(desk, map);
    expect(view(desk)).toMatchObject({ plan: null, ahead: null, alone: false });
    const first = version();
    const plan = planOf(map);
    thePlanner().answered({ version: first, kind: 'plan', plan });
    expect(view(desk).plan).toEqual(plan);
    const expected = { readings: 12, touches: 12, seconds: 60, acts: 6, turns: 3, keys: 9 };
    thePlanner().answered({ version: first, kind: 'forecast', approach: 0, expected });
    expect(view(desk).forecasts.get(nameOfApproach(approach))).toEqual(expected);

    const more = after(open);
    look(desk, more);
    // The plan was of the map before; its forecast still serves.
    expect(view(desk).plan).toBeNull();
    expect(view(desk).forecasts.get(nameOfApproach(approach))).toEqual(expected);
    thePlanner().answered({ version: first, kind: 'plan', plan });
    expect(view(desk).plan).toBeNull();
    thePlanner().answered({ version: version(), kind: 'plan', plan: planOf(more) });
    expect(view(desk).plan).toEqual(planOf(more));
  });

  it('forecasts what several want, each approach once, and no more when nobody wants it', () => {
    const { map } = grown(described, checked);
    const desk = new PlannerDesk(opened);
    const now = approachOf(map);
    look(desk, map);
    desk.want('outlook', [now]);
    desk.want('panel', [now, { ...now, order: 'pair' }]);
    expect(
      thePlanner()
        .asked.at(-1)
        ?.approaches.map(({ order }) => order),
    ).toEqual(['time', 'pair']);
    desk.want('panel', []);
    look(desk, map);
    expect(thePlanner().asked.at(-1)?.approaches).toEqual([now]);
  });

  it('keeps the newest follow-ups for the moment after an answer, with the map that they are of', () => {
    const { map, after } = grown(described, checked);
    const desk = new PlannerDesk(opened);
    look(desk, map);
    const followUps = { of: null, silent: null, sounded: null, likeliest: null };
    thePlanner().answered({ version: version(), kind: 'follow-ups', followUps });
    expect(view(desk).followUps).toEqual(followUps);
    look(desk, after(open));
    expect(view(desk).followUps).toBeNull();
    expect(view(desk).ahead).toEqual({ map, followUps });
  });

  it('that broke leaves the screen to itself, and is begun anew with the next question, whole log and all', () => {
    const { map, after } = grown(described, checked);
    const desk = new PlannerDesk(opened);
    look(desk, map);
    thePlanner().broke();
    expect(view(desk)).toMatchObject({ alone: true, plan: null });
    const more = after(open);
    look(desk, more);
    expect(FakePlanner.made).toHaveLength(2);
    expect(thePlanner().asked[0]).toMatchObject({ from: 0, library: [] });
    thePlanner().answered({ version: version(), kind: 'plan', plan: planOf(more) });
    expect(view(desk)).toMatchObject({ alone: false, plan: planOf(more) });
  });

  it('ends with the screen', () => {
    const desk = new PlannerDesk(opened);
    look(desk, grown(described, checked).map);
    desk.end();
    expect(thePlanner().ended).toBe(true);
  });

  it('that is missing says so', () => {
    vi.stubGlobal('Worker', undefined);
    const desk = new PlannerDesk();
    expect(view(desk)).toMatchObject({ alone: true, plan: null });
  });
});
