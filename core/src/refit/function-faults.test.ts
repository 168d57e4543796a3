import { describe, expect, it } from 'vitest';
import { lookKey, type Fault } from '../machine/index.js';
import type { SwitchMap } from '../continuity/index.js';
import type { Deed, FunctionTry } from '../log/index.js';
import { chosenPart, inMachine, knownPart, withDeeds } from '../testing/put-back.js';
import {
  checkBench,
  checkOf,
  functionChecks,
  functionFaults,
  insteadOf,
  keptUnder,
  refitOf,
  type DoesInstead,
  type FunctionFaults,
} from './index.js';

const TWO_HEATS = { size: 3, settings: ['', '1-2', '1-3', '1-2-3'], wires: '1>L 2>one.1 3>two.1' };
const heats = () => inMachine(TWO_HEATS, { one: {}, two: {} });

/** The function test with what each load does instead of what it should, by setting and load; else it does as it should. */
function tried(map: SwitchMap, does: (setting: string, load: string) => DoesInstead | null): Deed {
  return {
    kind: 'function-tried',
    tried: functionChecks(map).flatMap((one): FunctionTry[] => {
      if (one.kind !== 'load') return [];
      const instead = does(one.setting, one.load);
      const said = { line: one.key, live: '', why: '' };
      return [instead ? { ...said, result: 'fails', does: instead } : { ...said, result: 'as-it-should' }];
    }),
  };
}

/** The model of a machine that was put back, by failing something of it. */
function modelOf(map: SwitchMap): FunctionFaults['model'] {
  const found = functionFaults(withDeeds(map, [tried(map, () => 'weak')]));
  if (!found) throw new Error('nothing is ranked');
  return found.model;
}

/** With a fault in the machine, the test as it would be written down. */
function triedWith(map: SwitchMap, model: FunctionFaults['model'], fault: Fault): Deed {
  const shows = model.faults.find((one) => one.fault === fault)?.shows;
  return tried(map, (setting, load) => {
    const key = lookKey(setting as never, load as never);
    const [seen, should] = [shows?.get(key), model.healthy.get(key)];
    return seen === undefined || seen === should ? null : seen;
  });
}

/** The same heater with a part in place of the switch, of which nobody has read anything. */
function withThePart(map: SwitchMap): SwitchMap {
  const of = knownPart('A B C', { OFF: '', I: 'A-B', II: 'A-C', III: 'A-B-C' });
  return withDeeds(map, [
    chosenPart(map, of, [[0, 'A'], [1, 'B'], [2, 'C']], ['OFF', 'I', 'II', 'III']), // prettier-ignore
  ]);
}

describe('what explains a function that fails', () => {
  it('every single fault that shows explains all lines of the test, and the likeliest does so too', () => {
    const map = withThePart(heats());
    const model = modelOf(map);
    let shown = 0;
    for (const { fault } of model.faults) {
      const after = withDeeds(map, [triedWith(map, model, fault)]);
      const found = functionFaults(after);
      if (functionChecks(after).every((one) => one.tried?.result !== 'fails')) {
        expect(found).toBeNull();
        continue;
      }
      shown += 1;
      const all = found?.evidence.seen.length;
      expect(found?.ranked.find((one) => JSON.stringify(one.fault) === JSON.stringify(fault))?.explains).toBe(
        all,
      );
      expect(found?.ranked[0]?.explains).toBe(all);
    }
    expect(shown).toBeGreaterThan(8);
  });

  it('says nothing while nobody has said what a load does instead, and counts such lines', () => {
    const map = heats();
    const [first, second] = functionChecks(map).filter(({ kind }) => kind === 'load');
    const fails = (line: string): Deed => ({
      kind: 'function-tried',
      tried: [{ line, result: 'fails', live: '', why: '' }],
    });
    expect(functionFaults(map)).toBeNull();
    const one = withDeeds(map, [fails(first?.key ?? '')]);
    expect(functionFaults(one)).toBeNull();
    const more = withDeeds(one, [
      {
        kind: 'function-tried',
        tried: [{ line: second?.key ?? '', result: 'fails', does: 'weak', live: '', why: '' }],
      },
    ]);
    expect(functionFaults(more)).toMatchObject({ unsaid: 1 });
  });

  it('what was seen before the repair tells nothing of it; a wire that sounded in the check is not the one that is off', () => {
    const map = heats();
    const model = modelOf(map);
    const off = model.faults.find(({ fault }) => fault.kind === 'wire-off')?.fault;
    if (!off) throw new Error('no wire');
    const test = triedWith(map, model, off);
    const before: Deed = {
      kind: 'loads-seen',
      seen: model.settings.flatMap(({ setting }) =>
        model.circuit.loads.map(({ id }) => ({ setting, load: id, seen: 'reversed' as const })),
      ),
    };
    const chanceOf = (of: SwitchMap) =>
      functionFaults(of)?.ranked.find(({ fault }) => JSON.stringify(fault) === JSON.stringify(off))?.chance ??
      0;
    const found = withDeeds(map, [test]);
    expect(chanceOf(withDeeds(map, [before, test]))).toBeCloseTo(chanceOf(found), 9);
    const refit = refitOf(found);
    if (!refit) throw new Error('nothing goes back');
    const sounded = checkOf(checkBench(refit)).readings.map((one): Deed => ({
      ...{ kind: 'check-read', ...keptUnder(refit, one), joins: one.joins },
    }));
    expect(chanceOf(withDeeds(found, sounded))).toBeLessThan(chanceOf(found) / 20);
  });

  it('of a part that was put in its place the map of the old switch says nothing', () => {
    const map = heats();
    const put = withThePart(map);
    const model = modelOf(put);
    const dead = model.faults.find(
      ({ fault }) => fault.kind === 'never-closes' && fault.contact.join() === '0,1',
    )?.fault;
    if (!dead) throw new Error('no contact');
    const contact = (found: SwitchMap) =>
      functionFaults(found)?.ranked.find(({ fault }) => JSON.stringify(fault) === JSON.stringify(dead))
        ?.chance ?? 0;
    const onPart = contact(withDeeds(put, [triedWith(put, model, dead)]));
    const onOld = contact(withDeeds(map, [triedWith(map, modelOf(map), dead)]));
    // Contacts of the old one were read as they should be; those of the part nobody has read.
    expect(onPart).toBeGreaterThan(10 * onOld);
  });

  it('what a load may do instead is never what it must, and only a motor runs the wrong way', () => {
    const state = (does: 'full' | 'off') => ({ does, share: null, watts: null }) as never;
    expect(insteadOf(state('full'), false)).toEqual(['off', 'weak', 'sometimes']);
    expect(insteadOf(state('off'), true)).toEqual(['on', 'weak', 'reversed', 'sometimes']);
  });
});
