import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { answerTo, planNext } from '../planner/index.js';
import { describeSwitch, type KnownSwitch, type PromptId, type TerminalId } from '../switch/index.js';
import { firstSetting, readingsAsked } from '../log/index.js';
import { matchPattern, requirementOf } from '../match/index.js';
import { patternOfKnown } from '../partition/index.js';
import { bench, byRows } from '../testing/generated.js';
import { simulatedMeter } from './simulated-meter.js';
import { simulateKnown, type SimulatedSwitch } from './simulated-switch.js';

/** Two poles, three ways, common first. */
const SLIDE: Pick<KnownSwitch, 'name' | 'terminals' | 'positions'> = {
  name: 'slide',
  terminals: ['A0', 'A1', 'A2', 'A3', 'B0', 'B1', 'B2', 'B3'],
  positions: [1, 2, 3].map((way) => ({
    name: null,
    rests: 'maintained' as const,
    joined: [
      ['A0', `A${way}`],
      ['B0', `B${way}`],
    ],
  })),
};

const meterOn = (
  hidden: SimulatedSwitch,
  ids: TerminalId[],
  position: () => number,
  dial: 'ohms' | 'tone' = 'ohms',
) => simulatedMeter(hidden, { place: (id) => ids.indexOf(id), position, dial: () => dial });

describe('the simulated switch and meter', () => {
  it('answers a whole mapping in ohms so that the map has the wiring of the known switch', () => {
    for (const seed of [1, 2, 3, 12]) {
      const hidden = simulateKnown(SLIDE, seed, true);
      const on = byRows(bench(8, 3, seed));
      let at = on.settings[0];
      const meter = meterOn(hidden, on.terminals, () => on.settings.indexOf(at as never));
      for (;;) {
        const map = deriveMap(on.events);
        const plan = planNext(map, at ?? null);
        if (plan.kind !== 'ask') {
          expect(map.complete).toBe(true);
          const found = requirementOf(map);
          if (found.kind !== 'requirement') throw new Error(found.because);
          expect(matchPattern(found.requirement, patternOfKnown(SLIDE))).toMatchObject({
            kind: 'same-wiring',
            order: 'same',
          });
          break;
        }
        const { ask } = plan;
        at = firstSetting(ask);
        const prompt = { id: on.newId<PromptId>(), ask };
        on.add({ kind: 'prompt-shown', prompt });
        const values = new Map(
          readingsAsked(ask).map(({ key, red, black }) => [key, meter.probe(red, black)]),
        );
        on.add(answerTo(prompt, { values, source: 'simulated', inCircuit: false }, on.newId));
      }
    }
  });

  it('shows leads and contact in its resolution, the same on every try, and open as over range', () => {
    const hidden: SimulatedSwitch = {
      seed: 9,
      name: 'one contact',
      terminals: 3,
      positions: [{ name: null }, { name: null }],
      contacts: [{ a: 0, b: 1, closedIn: [0], ohms: 1.44 }],
      meter: { leadOhms: 0.2, resolutionOhms: 0.1, beeperOhms: 50 },
    };
    const { terminals } = bench(3, 2);
    const [a, b, c] = terminals as [TerminalId, TerminalId, TerminalId];
    let position = 0;
    const meter = meterOn(hidden, terminals, () => position);
    const shown = meter.probe([a], [b]);
    if (shown.kind !== 'ohms') throw new Error('no ohms');
    expect(Math.abs(shown.ohms - 1.64)).toBeLessThanOrEqual(0.15);
    expect(Number.isInteger(Math.round(shown.ohms * 10 * 1e6) / 1e6)).toBe(true);
    expect(meter.probe([a], [b])).toEqual(shown);
    expect(meter.probe([a], [c])).toEqual({ kind: 'over' });
    expect(meter.leadsTogether()).toEqual({ kind: 'ohms', ohms: 0.2 });
    position = 1;
    expect(meter.probe([a], [b])).toEqual({ kind: 'over' });
  });

  it('has a beeper that sounds through anything below its threshold, as real ones do (common practice)', () => {
    const contact = (ohms: number): SimulatedSwitch => ({
      seed: 1,
      name: 'part',
      terminals: 2,
      positions: [{ name: null }],
      contacts: [{ a: 0, b: 1, closedIn: [0], ohms }],
      meter: { leadOhms: 0.2, resolutionOhms: 0.1, beeperOhms: 50 },
    });
    const { terminals } = bench(2, 1);
    const heard = (ohms: number) =>
      meterOn(contact(ohms), terminals, () => 0, 'tone').probe(
        [terminals[0] as TerminalId],
        [terminals[1] as TerminalId],
      );
    expect(heard(30)).toEqual({ kind: 'tone', sounded: true });
    expect(heard(60)).toEqual({ kind: 'tone', sounded: false });
  });

  it('mixes the terminals by the seed, and is the same for the same seed', () => {
    expect(simulateKnown(SLIDE, 5, true)).toEqual(simulateKnown(SLIDE, 5, true));
    expect(simulateKnown(SLIDE, 5, true).contacts).not.toEqual(simulateKnown(SLIDE, 6, true).contacts);
    const change = describeSwitch(
      { terminals: 8, positions: null, form: 'slide', layout: 'list' },
      bench(2, 1).newId,
    );
    expect(change.actuators[0]).toMatchObject({ closed: null });
    expect(change.settings).toHaveLength(1);
  });
});
