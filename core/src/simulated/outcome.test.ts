import { describe, expect, it } from 'vitest';
import { kindsOf } from '../kinds/index.js';
import { deriveMap } from '../continuity/index.js';
import { blocks, partitionFromGroups } from '../partition/index.js';
import { ORDINARY_HANDS } from '../planner/index.js';

import { bench, byRows, CLOSED, mapHidden, OPEN } from '../testing/generated.js';
import { seededRandom, type TerminalId } from '../switch/index.js';
import { MISASSEMBLIES, NO_METER_FAULTS } from './faults.js';
import { diagnosedRight, misassembled } from './misassembly.js';
import { outcomeOf } from './outcome.js';
import { simulatePattern } from './simulate-pattern.js';
import { type SimulatedSwitch } from './simulated-switch.js';
import { truthOf } from './truth.js';

const PATTERN = [partitionFromGroups(4, [[0, 1]]), partitionFromGroups(4, [[0, 2]])];
const plain = () => simulatePattern(PATTERN, 'two throws', 5, false);
const withFault = (
  index: number,
  fault: NonNullable<SimulatedSwitch['contacts'][number]['fault']>,
): SimulatedSwitch => ({
  ...plain(),
  contacts: plain().contacts.map((one, at) => (at === index ? { ...one, fault } : one)),
});

describe('how mapping a simulated switch went', () => {
  it('is all right when the map is the truth, with what it took and what plans would have taken', () => {
    expect(truthOf(plain())).toEqual(PATTERN);
    const { map } = mapHidden(PATTERN, byRows(bench(4, 2)));
    const outcome = outcomeOf(map, plain(), ORDINARY_HANDS);
    expect(outcome.pairs).toEqual({ right: 12, wrong: 0, unknown: 0 });
    expect(outcome.positions).toEqual({ found: 2, all: 2 });
    expect(outcome.faults).toEqual([]);
    const position = outcome.plans.find(({ name }) => name === 'position');
    expect(outcome.took.seconds).toBeCloseTo(position?.seconds ?? 0, 6);
    expect(outcome.took.touches).toBe(position?.touches);
    const certify = outcome.plans.find(({ name }) => name === 'certify');
    expect(certify?.seconds).toBeLessThan(outcome.took.seconds);
  });

  it('counts what is wrong and what is not known', () => {
    const on = bench(4, 2);
    on.read(0, 0, 1, OPEN);
    on.read(1, 0, 2, CLOSED);
    expect(outcomeOf(deriveMap(on.events), plain(), ORDINARY_HANDS).pairs).toEqual({
      right: 1,
      wrong: 1,
      unknown: 10,
    });
  });

  it('says of each fault whether the map shows it', () => {
    const broken = withFault(0, { kind: 'broken' });
    expect(truthOf(broken)[0]).toEqual([0, 1, 2, 3]);
    const { map } = mapHidden(truthOf(broken), bench(4, 2));
    expect(outcomeOf(map, broken, ORDINARY_HANDS).faults).toEqual([
      { what: { kind: 'contact', a: 0, b: 1, fault: 'broken' }, shown: true },
    ]);
    const dirty = withFault(0, { kind: 'dirty', ohms: 30 });
    const missed = mapHidden(PATTERN, bench(4, 2)).map;
    expect(outcomeOf(missed, dirty, ORDINARY_HANDS).faults[0]?.shown).toBe(false);
    const on = bench(4, 2);
    on.read(0, 0, 1, { kind: 'ohms', ohms: 30 });
    const seen = outcomeOf(deriveMap(on.events), dirty, ORDINARY_HANDS);
    expect(seen.faults[0]?.shown).toBe(true);
    const asleep = {
      ...plain(),
      meter: { ...plain().meter, faults: { ...NO_METER_FAULTS, autoOffAfter: 30 } },
    };
    expect(outcomeOf(missed, asleep, ORDINARY_HANDS).faults).toEqual([
      { what: { kind: 'meter', fault: 'autoOffAfter' }, shown: null },
    ]);
  });
});

describe('a switch put together wrong', () => {
  it.each(MISASSEMBLIES)(
    '%s: what it does differs from what it should, and the diagnosis of its map names it',
    (how) => {
      const [kind] = kindsOf(8, 3);
      if (!kind) throw new Error('no such kind');
      const hidden = misassembled(simulatePattern(kind.pattern, 'x', 4, false), how, seededRandom(3));
      expect(hidden.wrong?.should).toEqual(kind.pattern);
      const truth = truthOf(hidden);
      expect(truth).not.toEqual(kind.pattern);
      const on = bench(8, 3);
      on.add({
        kind: 'expected',
        table: {
          source: { kind: 'text' },
          settings: on.settings.map((setting, at) => ({
            setting,
            joined: blocks(kind.pattern[at] ?? []).map((net) =>
              net.map((place) => on.terminals[place] as TerminalId),
            ),
            unsaid: [],
          })),
        },
      });
      const { map } = mapHidden(truth, on);
      expect(hidden.wrong && diagnosedRight(map, hidden.wrong)).toBe(true);
      const [fault] = outcomeOf(map, hidden, ORDINARY_HANDS).faults;
      expect(fault).toEqual({ what: { kind: 'assembly', how }, shown: true });
    },
  );
});
