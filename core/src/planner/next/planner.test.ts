import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveMap, factAt } from '../../continuity/index.js';
import {
  ORDINARY_METER,
  PLAIN_APPROACH,
  readingsAsked,
  type JobEvent,
  type Prompt,
  type Value,
} from '../../log/index.js';
import { type PromptId, type SettingId, type TerminalId } from '../../switch/index.js';
import { bench, byRows, CLOSED, mapHidden, OPEN, switchLikePattern } from '../../testing/generated.js';
import { runs } from '../../testing/runs.js';
import { answerTo } from '../field/answer.js';
import { mostLeft } from './most-left.js';
import { plainPlan, planNext } from './plan.js';

/** The same event; where it describes the switch, nobody has said that these are all its positions. */
function positionsOpen(event: JobEvent): JobEvent {
  const open = structuredClone(event);
  if (open.what.kind === 'restructured' && open.what.change.change === 'described')
    for (const actuator of open.what.change.actuators) actuator.closed = null;
  return open;
}

describe('the position-first plan', () => {
  it('settles every pair of every setting, finds the hidden truth, and never asks what follows', () => {
    fc.assert(
      fc.property(switchLikePattern(9, 4), fc.boolean(), (hidden, tone) => {
        const size = hidden[0]?.length ?? 0;
        const on = bench(size, hidden.length);
        const { map, asked } = mapHidden(hidden, on, {
          tone,
          onPrompt: (before) => {
            const plan = planNext(before, on.settings[0] as SettingId);
            if (plan.kind !== 'ask') return;
            for (const { setting, red, black } of readingsAsked(plan.ask)) {
              const settled = before.settings.get(setting)?.settled;
              const [a, b] = [red, black].map(([id]) => on.terminals.indexOf(id as TerminalId));
              expect(settled && factAt(settled, a ?? -1, b ?? -1).state).toBe('unknown');
            }
          },
        });
        expect(map.complete).toBe(true);
        expect(new Set(asked).size).toBe(asked.length);
        hidden.forEach((truth, setting) => {
          const settled = map.settings.get(on.settings[setting] as SettingId)?.settled;
          for (let a = 0; a < size; a += 1) {
            for (let b = 0; b < size; b += 1) {
              expect(settled && factAt(settled, a, b).joined).toBe(truth[a] === truth[b]);
            }
          }
        });
      }),
      { numRuns: runs(120) },
    );
  });

  it('needs at most what it forecasts, and at least the certificate (n - k) + k(k - 1) / 2', () => {
    fc.assert(
      fc.property(switchLikePattern(9, 3), (hidden) => {
        const size = hidden[0]?.length ?? 0;
        const on = byRows(bench(size, hidden.length));
        const most = mostLeft(deriveMap(on.events));
        const run = mapHidden(hidden, on);
        expect(run.readings).toBeLessThanOrEqual(most.readings);
        expect(run.touches).toBeLessThanOrEqual(most.touches);
        const certificate = hidden.reduce((sum, truth) => {
          const nets = new Set(truth).size;
          return sum + (size - nets) + (nets * (nets - 1)) / 2;
        }, 0);
        expect(run.readings).toBeGreaterThanOrEqual(certificate);
        expect(mostLeft(run.map)).toEqual({ readings: 0, touches: 0, seconds: 0 });
      }),
      { numRuns: runs(100) },
    );
  });

  it('is the plain one whatever was chosen: a reading here before the search for positions', () => {
    const on = bench(3, 1);
    on.add({ kind: 'meter-checked', leadsTogether: CLOSED, meter: ORDINARY_METER });
    on.add({ kind: 'approached', approach: { ...PLAIN_APPROACH, order: 'pair' } });
    const map = deriveMap(on.events.map(positionsOpen));
    const here = on.settings[0] as SettingId;
    expect(planNext(map, here).kind).toBe('find-position');
    expect(plainPlan(map, here)).toMatchObject({ kind: 'ask', ask: { setting: here }, reason: 'row' });
  });

  it('begins with the leads together, and asks for positions while the list is open', () => {
    const on = bench(2, 1);
    expect(planNext(deriveMap(on.events.slice(0, 1)), null).kind).toBe('check-meter');
    on.read(0, 0, 1, CLOSED);
    expect(planNext(deriveMap(on.events), null).kind).toBe('done');
    const map = deriveMap(on.events.map(positionsOpen));
    expect(map.complete).toBe(false);
    expect(planNext(map, null).kind).toBe('find-position');
  });

  it('leaves skipped pairs to the end, counts them as unknown, and asks them again when the skip is taken back', () => {
    const on = bench(3, 1);
    const plan = planNext(deriveMap(on.events), null);
    if (plan.kind !== 'ask') throw new Error('no prompt');
    const prompt: Prompt = { id: on.newId<PromptId>(), ask: plan.ask };
    on.add({ kind: 'prompt-shown', prompt });
    const skip = on.add({ kind: 'skipped', prompt, reason: 'cannot-reach' });
    on.read(0, 1, 2, OPEN);
    const left = planNext(deriveMap(on.events), null);
    expect(left).toEqual({ kind: 'skipped-left', skips: [skip.id], pairs: 2 });
    expect(deriveMap(on.events).complete).toBe(false);
    on.add({ kind: 'withdrawn', target: skip.id, basedOn: null });
    expect(planNext(deriveMap(on.events), null)).toMatchObject({ kind: 'ask', ask: plan.ask });
  });

  it('in circuit asks nothing twice that closed, and asks it again when the wires are off', () => {
    const on = bench(3, 1);
    const answerInCircuit = (value: Value) => {
      const plan = planNext(deriveMap(on.events), null);
      if (plan.kind !== 'ask') throw new Error('no prompt');
      const prompt: Prompt = { id: on.newId<PromptId>(), ask: plan.ask };
      on.add({ kind: 'prompt-shown', prompt });
      const values = new Map(readingsAsked(plan.ask).map(({ key }) => [key, value]));
      on.add(answerTo(prompt, { values, source: 'typed', inCircuit: true }, on.newId));
      return plan.ask;
    };
    const first = answerInCircuit(CLOSED);
    answerInCircuit(OPEN);
    expect(planNext(deriveMap(on.events), null)).toEqual({ kind: 'in-circuit-left', pairs: 2 });
    expect(deriveMap(on.events).complete).toBe(false);
    on.add({ kind: 'wires-off', off: true });
    expect(planNext(deriveMap(on.events), null)).toMatchObject({ kind: 'ask', ask: first });
  });

  it('points to disputes and to readings to look at again before it says done', () => {
    const on = bench(3, 1);
    on.read(0, 0, 1, CLOSED);
    on.read(0, 1, 2, CLOSED);
    const open = on.read(0, 0, 2, OPEN);
    expect(planNext(deriveMap(on.events), null)).toMatchObject({ kind: 'disputed', count: 1 });
    on.add({ kind: 'superseded', reading: open.id, replacement: null, source: 'typed' });
    on.read(0, 0, 2, { kind: 'unsteady' });
    expect(planNext(deriveMap(on.events), null)).toMatchObject({
      kind: 'look-again',
      item: { because: 'unsteady' },
    });
  });

  it('an answer gives no reading to a terminal that was not touched', () => {
    const on = bench(4, 1);
    const prompt: Prompt = {
      id: on.newId<PromptId>(),
      ask: {
        kind: 'sweep',
        setting: on.settings[0] as never,
        red: on.terminals[0] as never,
        black: on.terminals.slice(1),
      },
    };
    const values = new Map([[on.terminals[2] as never, CLOSED]]);
    const deed = answerTo(prompt, { values, source: 'typed', inCircuit: false }, on.newId);
    expect(deed.readings.map(({ black }) => black[0])).toEqual([on.terminals[2]]);
  });
});
