import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveMap, type SwitchMap } from '../../continuity/index.js';
import { partitionFromGroups } from '../../partition/index.js';
import { ORDERS, PLAIN_APPROACH } from '../../log/index.js';
import { type SettingId } from '../../switch/index.js';
import { truthfulValues } from '../../simulated/index.js';
import { bench, CLOSED, mapHidden, OPEN, switchLikePattern } from '../../testing/generated.js';
import { runs } from '../../testing/runs.js';
import { answerTo } from '../field/answer.js';
import { createDesk, type DeskAnswer, type DeskQuestion } from './desk.js';
import { expectedCourse, followUpsOf, foreseenAsk, type FollowUps } from './forecast.js';
import { handleAt } from '../hands/handle.js';
import { planNext } from '../next/plan.js';
import { recheckForecast } from '../recheck/recheck-plan.js';

const selector = [1, 2, 3, 4].map((way) =>
  partitionFromGroups(10, [
    [0, way],
    [5, 5 + way],
  ]),
);

describe('the forecast', () => {
  it('is nothing when nothing is left, and exact where the rest is known from outside', () => {
    const on = bench(10, 4);
    on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'expected' } });
    const outlook = { hypotheses: [{ name: 'it', pattern: selector }] };
    const expected = expectedCourse(deriveMap(on.events), on.settings[0] as SettingId, outlook);
    const run = mapHidden(selector, on, { outlook });
    expect(expected.readings).toBe(run.readings);
    expect(expected.acts).toBeGreaterThan(0);
    expect(expectedCourse(run.map, null)).toEqual({
      acts: 0,
      readings: 0,
      touches: 0,
      seconds: 0,
      turns: 0,
      keys: 0,
    });
  });

  it('says less for clips, and changes nothing of the map it looks at', () => {
    const on = bench(12, 4);
    const map = deriveMap(on.events);
    const before = JSON.stringify([...map.settings]);
    const plain = expectedCourse(map, null, {}, { ...PLAIN_APPROACH, order: 'time' });
    const clips = expectedCourse(map, null, {}, { ...PLAIN_APPROACH, order: 'time', clips: 12 });
    expect(clips.seconds).toBeLessThan(plain.seconds);
    expect(JSON.stringify([...map.settings])).toBe(before);
  });
});

describe('the follow-ups', () => {
  it('are what is asked next when nothing sounds, by every order', () => {
    fc.assert(
      fc.property(switchLikePattern(7, 3), fc.constantFrom(...ORDERS), (shape, order) => {
        const silent = shape.map((truth) => truth.map((_, place) => place));
        const on = bench(shape[0]?.length ?? 0, shape.length);
        on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order } });
        const map = deriveMap(on.events);
        const at = on.settings[0] as SettingId;
        const { silent: foreseen } = followUpsOf(map, at);
        let prompts = 0;
        const stop = new Error('two are enough');
        try {
          mapHidden(silent, on, {
            onPrompt: (now) => {
              prompts += 1;
              if (prompts !== 2) return;
              const left = now.tape.at(-1)?.reading.setting ?? at;
              const next = planNext(now, left);
              expect(next.kind === 'ask' ? next.ask : null).toEqual(foreseen);
              throw stop;
            },
          });
        } catch (error) {
          if (error !== stop) throw error;
        }
        expect(prompts).toBe(2);
      }),
      { numRuns: runs(40) },
    );
  });
});

describe('what was foreseen', () => {
  it('is what is asked next after an answer as supposed; after another answer nothing was', () => {
    const met = { as: 0, otherwise: 0 };
    const someClips = fc.constantFrom(0, 8);
    fc.assert(
      fc.property(switchLikePattern(7, 3), fc.constantFrom(...ORDERS), someClips, (hidden, order, clips) => {
        const on = bench(hidden[0]?.length ?? 0, hidden.length);
        on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order, clips } });
        let before: { map: SwitchMap; followUps: FollowUps } | null = null;
        for (let guard = 0; guard < 500; guard += 1) {
          const map = deriveMap(on.events);
          const plan = planNext(map, handleAt(map));
          const foreseen = before && foreseenAsk(before.map, before.followUps, map);
          if (foreseen) expect(plan).toMatchObject({ kind: 'ask', ask: foreseen });
          if (before) met[foreseen ? 'as' : 'otherwise'] += 1;
          if (plan.kind !== 'ask') return;
          const prompt = { id: on.newId<never>(), ask: plan.ask };
          on.add({ kind: 'prompt-shown', prompt });
          const shown = deriveMap(on.events);
          before = { map: shown, followUps: followUpsOf(shown, handleAt(shown)) };
          const truthAt = (setting: SettingId) => hidden[on.settings.indexOf(setting)] ?? [];
          const words = { closed: () => CLOSED, open: () => OPEN };
          const values = truthfulValues(plan.ask, { ...shown, terminals: on.terminals }, truthAt, words);
          on.add(answerTo(prompt, { values, source: 'typed', inCircuit: false }, on.newId));
        }
      }),
      { numRuns: runs(25) },
    );
    expect(Math.min(met.as, met.otherwise)).toBeGreaterThan(10);
  });

  it('is nothing for an answer that cannot be: two low bundles that share a lead, and a sweep of it all silent', () => {
    const on = bench(7, 3);
    on.bundle(0, [5], [1, 2], CLOSED);
    on.bundle(0, [0, 1], [5], CLOSED);
    const map = deriveMap(on.events);
    expect(() => followUpsOf(map, handleAt(map))).not.toThrow();
  });
});

describe('the desk', () => {
  const question = (version: number, approaches = 2): DeskQuestion => ({
    version,
    map: deriveMap(bench(10, 4).events),
    at: null,
    now: '2026-01-05T10:00:00.000Z',
    hypotheses: () => [],
    approaches: ORDERS.slice(0, approaches).map((order) => ({ ...PLAIN_APPROACH, order })),
  });
  /** A desk whose clock goes on by a tick at every look, and whose pauses are ended by hand. */
  function aDesk(tick: number) {
    const answers: DeskAnswer[] = [];
    const waiting: (() => void)[] = [];
    let clock = 0;
    const desk = createDesk({
      now: () => (clock += tick),
      pause: () => new Promise((resolve) => waiting.push(resolve)),
      rest: () => new Promise((resolve) => waiting.push(resolve)),
      reply: (answer) => answers.push(answer),
    });
    const goOn = async (most = 1000) => {
      for (let round = 0; round < most && waiting.length > 0; round += 1) {
        waiting.shift()?.();
        await Promise.resolve();
        await Promise.resolve();
      }
    };
    return { desk, answers, goOn, waiting };
  }

  it('gives the plan first, then follow-ups and a forecast for each approach, all with the version asked', async () => {
    const { desk, answers, goOn } = aDesk(0);
    const done = desk.ask(question(7));
    await goOn();
    await done;
    expect(answers.map(({ version, kind }) => [version, kind])).toEqual([
      [7, 'plan'],
      [7, 'follow-ups'],
      [7, 'forecast'],
      [7, 'forecast'],
    ]);
    const seconds = answers.flatMap((one) => (one.kind === 'forecast' ? one.expected.seconds : []));
    expect(Math.min(...seconds)).toBeGreaterThan(10);
  });

  it('of a complete map tells what the re-check takes; what it looks like is asked for only when it is needed', async () => {
    const on = bench(3, 2);
    mapHidden(
      [
        [0, 0, 2],
        [0, 1, 1],
      ],
      on,
    );
    for (const order of ['position', 'expected'] as const) {
      let recognised = 0;
      on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order } });
      const { desk, answers, goOn, waiting } = aDesk(0);
      const map = deriveMap(on.events);
      const asked: DeskQuestion = {
        ...question(1, 0),
        map,
        hypotheses: () => ((recognised += 1), []),
      };
      const done = desk.ask(asked);
      waiting.shift()?.();
      await Promise.resolve();
      expect(answers.map(({ kind }) => kind)).toEqual(['plan']);
      expect(recognised).toBe(order === 'expected' ? 1 : 0);
      await goOn();
      await done;
      expect(answers.find(({ kind }) => kind === 'recheck')).toMatchObject({ cost: recheckForecast(map) });
    }
  });

  it('looks up between slices, and drops a question when a newer one has come', async () => {
    const { desk, answers, goOn, waiting } = aDesk(20);
    const older = desk.ask(question(1));
    await goOn(3);
    expect(waiting.length).toBeGreaterThan(0);
    const newer = desk.ask(question(2));
    await goOn();
    await Promise.all([older, newer]);
    const versions = answers.map(({ version }) => version);
    expect(versions.filter((version) => version === 2)).toHaveLength(4);
    expect(versions.lastIndexOf(1)).toBeLessThan(versions.indexOf(2));
    expect(versions.filter((version) => version === 1).length).toBeLessThan(4);
  });
});
