import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Load, LoadKind } from '../log/index.js';
import type { Actuator, ActuatorForm, LoadId, PositionId } from '../switch/index.js';
import { drawnHazards } from '../testing/drawn-hazards.js';
import { generatedMachines, joinsOf } from '../testing/generated-machines.js';
import { fewRuns } from '../testing/runs.js';
import { guarding } from './guards.js';
import { isNote } from './power/meeting.js';
import { powered } from './power/settled.js';
import type { Drawn } from './wiring/drawn.js';

// What must hold in any machine, told again by the tests in their own words.

const LUGS = ['1', '2', '3', '4', '5', '6'];

/** Whether two lugs hang together by pairs that join. */
function hangTogether(pairs: readonly (readonly [string, string])[], a: string, b: string): boolean {
  const reached = new Set([a]);
  for (let before = 0; before !== reached.size;) {
    before = reached.size;
    for (const [one, other] of pairs)
      if (reached.has(one) || reached.has(other)) {
        reached.add(one);
        reached.add(other);
      }
  }
  return reached.has(b);
}

describe('two sources that share a minus or a neutral', () => {
  const lug = fc.constantFrom(...LUGS);
  const joins = fc.array(fc.tuple(lug, lug), { maxLength: 6 });
  const volts = fc.constantFrom(12, 12.6, 24, 36, 48, 230, null);
  const made = fc.record({ joins, one: volts, other: volts, dc: fc.boolean(), shared: fc.boolean() });

  it('never lie in one net without a hazard, whatever joins them; a loop of unlike volts is a short', () => {
    let met = 0;
    fc.assert(
      fc.property(made, ({ joins: pairs, one, other, dc, shared }) => {
        const current = dc ? 'DC' : 'AC';
        const [live, back] = dc ? (['+', '0'] as const) : (['L', 'N'] as const);
        const drawn: Drawn = {
          terminals: LUGS.join(' '),
          supplies: {
            a: { kind: live, volts: one, current },
            b: { kind: live, volts: other, current },
            n: { kind: back, volts: null, current },
          },
          ...(shared && {
            sources: { A: { poles: 'a n', ...(one && { volts: one }), shares: 'B' }, B: { poles: 'b', ...(other && { volts: other }), shares: 'A' } }, // prettier-ignore
          }),
          loads: { lamp: { kind: 'lamp', current } },
          wires: '1>a 2>b 3>lamp.1 lamp.2>n',
        };
        const text = pairs
          .filter(([x, y]) => x !== y)
          .map((pair) => pair.join('-'))
          .join(' ');
        const hazards = drawnHazards(drawn, [netsText(text)]);
        const between = hazards.filter(
          (hazard) =>
            'supplies' in hazard &&
            !('how' in hazard && isNote(hazard.how)) &&
            ['a', 'b'].every((id) => hazard.supplies.includes(id as never)),
        );
        if (!hangTogether(pairs, '1', '2')) {
          expect(between).toEqual([]);
          return;
        }
        met += 1;
        expect(between.length).toBeGreaterThan(0);
        if (one && other && Math.max(one, other) > 1.1 * Math.min(one, other))
          expect(between.some(({ kind }) => kind === 'short')).toBe(true);
      }),
      { numRuns: fewRuns(600) },
    );
    expect(met).toBeGreaterThan(fewRuns(600) / 20);
  });
});

/** Pairs as the nets that they make, as a drawing is told them. */
function netsText(pairs: string): string {
  const list = pairs
    .split(' ')
    .filter(Boolean)
    .map((pair) => pair.split('-') as [string, string]);
  return LUGS.filter((one, at) => !LUGS.slice(0, at).some((before) => hangTogether(list, before, one)))
    .map((one) => LUGS.filter((other) => hangTogether(list, one, other)))
    .filter((net) => net.length > 1)
    .map((net) => net.join('-'))
    .join(' ');
}

describe('a jumper', () => {
  const forms: ActuatorForm[] = ['rotary', 'lever', 'toggle', 'rocker', 'slide', 'push', 'trigger', 'key', 'push-pull', 'unsaid']; // prettier-ignore
  const kinds: LoadKind[] = ['resistive', 'motor', 'lamp', 'electronics', 'signal'];
  const positions = fc.array(fc.record({ sprung: fc.boolean(), to: fc.option(fc.nat(4), { nil: null }) }), {
    minLength: 2,
    maxLength: 5,
  });
  const made = fc.record({
    form: fc.constantFrom(...forms),
    positions,
    at: fc.nat(4),
    feeds: fc.subarray(kinds),
  });

  it('is never simply allowed where a hand, a door or a lid holds the contact, or presses it open', () => {
    fc.assert(
      fc.property(made, ({ form, positions: list, at, feeds }) => {
        const place = at % list.length;
        const idOf = (one: number) => `p${one}` as unknown as PositionId;
        const made = list.map(({ sprung, to }, one) => ({
          ...{ id: idOf(one), name: idOf(one), pose: null },
          rests: sprung ? ('momentary' as const) : ('maintained' as const),
          returnsTo: sprung && to !== null ? idOf(to % list.length) : null,
        }));
        const handle = { id: 'handle', form, positions: made } as unknown as Actuator;
        const loads = feeds.map((kind) => ({ id: kind as unknown as LoadId, kind }) as Load);
        const runs = { does: 'full', share: 1, watts: null } as const;
        const says = guarding(
          { actuators: [handle] },
          { at: { [handle.id]: idOf(place) } as never },
          { loads: new Map(loads.map(({ id }) => [id, runs])) },
          loads,
        );
        const held = list[place]?.sprung === true;
        const pressedOpen = list.some(
          ({ sprung, to }) =>
            sprung && (to === null ? list[place]?.sprung === false : to % list.length === place),
        );
        const harmless = feeds.length > 0 && feeds.every((kind) => kind === 'lamp' || kind === 'signal');
        if (held || pressedOpen) expect(says).toBe(harmless ? 'ask' : 'guard');
        // What nobody leaves standing, or of which nobody has said what the hand moves, is asked at least.
        else if (['push', 'trigger', 'key', 'push-pull', 'unsaid'].includes(form))
          expect(says).not.toBe('none');
      }),
      { numRuns: fewRuns(1500) },
    );
  });
});

describe('a figure', () => {
  it('is never said of a load whose own rating, or whose supply, nobody has said', () => {
    for (const [at, { circuit, nets }] of generatedMachines(fewRuns(200), 57, true).entries()) {
      const which = at % circuit.loads.length;
      const without = (key: 'volts' | 'watts') => ({
        ...circuit,
        loads: circuit.loads.map((load, one) => (one === which ? { ...load, [key]: null } : load)),
      });
      const id = circuit.loads[which]?.id as LoadId;
      const unrated = powered(without('volts'), joinsOf(nets)).loads.get(id);
      if (unrated?.does === 'part') expect(unrated.share).toBeNull();
      expect(unrated?.volts).toBeUndefined();
      const unsized = powered(without('watts'), joinsOf(nets)).loads.get(id);
      expect(unsized?.watts ?? null).toBeNull();
      const noSupply = { ...circuit, supplies: circuit.supplies.map((one) => ({ ...one, volts: null })) };
      const unfed = powered(noSupply, joinsOf(nets)).loads.get(id);
      if (unfed?.does === 'part') expect(unfed.share).toBeNull();
      if (unfed && unfed.does !== 'off') expect(unfed.watts || null).toBeNull();
    }
  });
});
