import { describe, expect, it } from 'vitest';
import { drawnContacts, drawnMachine, type Drawn, type Healthy } from '../../machine/index.js';
import type { KnownSwitch, PartFacts } from '../../switch/index.js';
import { bench, mapHidden } from '../../testing/generated.js';
import { machineDifferences } from './in-machine.js';

const WINCH: Drawn = {
  terminals: 'P M A B',
  supplies: {
    plus: { kind: '+', volts: 12, current: 'DC' },
    minus: { kind: '0', volts: null, current: 'DC' },
  },
  loads: { motor: { kind: 'motor', make: 'permanent-magnet', volts: 12, current: 'DC' } },
  wires: 'P>plus M>minus A>motor.+ B>motor.-',
};

/** What a part of the same terminals would do otherwise; its positions as nets by label. */
function codes(
  should: string[],
  does: string[],
  facts: PartFacts = {},
  spare: number[] = [],
  drawn: Drawn = WINCH,
) {
  const names = drawn.terminals.split(' ');
  const nets = should.map((joins) => drawnContacts(drawn.terminals, joins).nets);
  const { map } = mapHidden(nets, bench(names.length, should.length));
  const settings = map.structure.settings.map(({ id }) => id);
  const healthy: Healthy[] = nets.map((one, at) => ({ setting: settings[at] as never, nets: one }));
  const part: KnownSwitch = {
    ...{
      id: 'x' as never,
      kind: 'part',
      name: 'a part',
      maker: null,
      family: '',
      form: 'rotary',
      note: null,
    },
    ...{ terminals: names, facts },
    positions: does.map((joins) => ({
      ...{ name: null, rests: 'maintained' as const },
      joined: joins
        .split(' ')
        .filter(Boolean)
        .map((net) => net.split('-')),
    })),
  };
  const laid = {
    part,
    terminals: names.map((_, at) => ({ from: at, to: at })),
    positions: settings.map((from, to) => ({ from, to })),
  };
  return machineDifferences(map, drawnMachine(drawn, map), healthy, laid, spare).map(
    ({ code, gravity }) => `${gravity} ${code}`,
  );
}

const [FORWARD, BACK, BRAKE] = ['P-A M-B', 'P-B M-A', 'A-B'];

describe('what a part would do otherwise in the machine', () => {
  it('nothing, where it does the same and breaks before it makes', () => {
    expect(codes([FORWARD, BRAKE, BACK], [FORWARD, BRAKE, BACK], { makesBeforeBreaks: false })).toEqual([]);
    expect(codes([FORWARD, BACK], [FORWARD, BACK], { makesBeforeBreaks: false })).toEqual([]);
  });

  it('supplies that meet in passing: a safety difference where it is stated to make before it breaks, a question where nobody says', () => {
    expect(codes([FORWARD, BACK], [FORWARD, BACK], { makesBeforeBreaks: true })).toEqual([
      'safety supplies-meet-in-passing',
    ]);
    expect(codes([FORWARD, BACK], [FORWARD, BACK])).toEqual(['question in-passing-unknown']);
  });

  it('a brake lost, a stop lost, a short where there was another one, a spare position that feeds', () => {
    const breaks = { makesBeforeBreaks: false };
    expect(codes([FORWARD, BRAKE, BACK], [FORWARD, '', BACK], breaks)).toEqual(['safety brake-lost']);
    expect(codes([FORWARD, ''], [FORWARD, BACK], breaks)).toEqual(['safety runs-on']);
    expect(codes([FORWARD, ''], [FORWARD, 'P-M'], breaks)).toEqual(['safety short-in-machine']);
    expect(codes([FORWARD, ''], [FORWARD, '', BACK], breaks, [2])).toEqual(['safety spare-feeds']);
    expect(codes([FORWARD, ''], [FORWARD, '', 'P-M'], breaks, [2])).toEqual([
      'safety supplies-meet-in-spare',
    ]);
  });
});

describe('a part on what hurts in passing', () => {
  const drawn: Drawn = {
    terminals: '1 2 3',
    supplies: {
      first: { kind: '+', volts: 12, current: 'DC' },
      second: { kind: '+', volts: 12, current: 'DC' },
      minus: { kind: '0', volts: null, current: 'DC' },
    },
    loads: { alternator: { kind: 'electronics', make: 'alternator', volts: 12, current: 'DC' } },
    wires: '1>first 3>second 2>alternator.+ alternator.->minus',
  };
  const speeds: Drawn = {
    terminals: '1 2 3',
    supplies: { mains: { kind: 'L', volts: 230 }, return: { kind: 'N', volts: null } },
    loads: { fan: { kind: 'motor', make: 'two-speed', volts: 230 } },
    wires: '1>mains 2>fan.L1 3>fan.H1 fan.L2>return fan.H2>return',
  };
  const both = ['1-2', '1-3'];

  // By hand (common practice): an alternator wants make before break, two speeds want break before make.
  it.each<[string, Drawn, string[], boolean | null, string[]]>(
    [
    ['an alternator, with a gap', drawn, ['1-2', '2-3'], false, ['safety left-open']],
    ['an alternator, makes first: two batteries of which nobody said what they are', drawn, ['1-2', '2-3'], true, ['question in-passing-unknown']],
    ['an alternator, not stated', drawn, ['1-2', '2-3'], null, ['question in-passing-unknown', 'question left-open-unknown']],
    ['two speeds, breaks first', speeds, both, false, []],
    ['two speeds, makes first', speeds, both, true, ['safety fed-together']],
    ['two speeds, not stated', speeds, both, null, ['question fed-together-unknown']],
  ], // prettier-ignore
  )('%s', (_, machine, settings, makesBeforeBreaks, says) => {
    const facts = makesBeforeBreaks === null ? {} : { makesBeforeBreaks };
    expect(codes(settings, settings, facts, [], machine).toSorted()).toEqual(says);
  });
});
