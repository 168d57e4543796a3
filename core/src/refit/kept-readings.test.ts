import { describe, expect, it } from 'vitest';
import type { SwitchMap } from '../continuity/index.js';
import type { Deed } from '../log/index.js';
import type { PositionId, SettingId } from '../switch/index.js';
import { inMachine, withDeeds } from '../testing/put-back.js';
import {
  checkBench,
  checkOf,
  checkStanding,
  joinedWith,
  keptReadings,
  keptUnder,
  refitOf,
  wantedBeforePower,
  type Check,
  type Refit,
} from './index.js';

const TWO_HEATS = { size: 3, settings: ['', '1-2', '1-3'], wires: '1>L 2>one.1 3>two.1' };

function goesBack(map: SwitchMap): { refit: Refit; check: Check } {
  const refit = refitOf(map);
  if (!refit) throw new Error('nothing goes back');
  return { refit, check: checkOf(checkBench(refit)) };
}

/** All of the check read as it must be. */
function readRight(map: SwitchMap): Deed[] {
  const { refit, check } = goesBack(map);
  return check.readings.map((one) => ({
    ...{ kind: 'check-read', ...keptUnder(refit, one), joins: one.joins },
  }));
}

/** Every terminal takes the label of the next, every position another name, and the first one is not wanted any more. */
function renamed(map: SwitchMap): Deed[] {
  const { terminals, actuators, settings } = map.structure;
  const changes: Extract<Deed, { kind: 'restructured' }>['change'][] = [
    {
      change: 'relabelled',
      labels: terminals.map(({ id, marking }, at) => ({
        ...{ terminal: id, marking, label: terminals[(at + 1) % terminals.length]?.label ?? '' },
      })),
    },
    ...(actuators[0]?.positions ?? []).map(({ id }, at) => ({
      ...{ change: 'position-renamed' as const, position: id, name: `detent ${at}` },
    })),
    { change: 'setting-needed', setting: settings[0]?.id as SettingId, need: 'impossible' },
  ];
  return changes.map((change) => ({ kind: 'restructured', change, basedOn: null }));
}

describe('what was read and measured before power', () => {
  it('stays where it was when terminals take each other’s labels, positions other names, and the first one falls away', () => {
    const map = inMachine(TWO_HEATS, { one: {}, two: {} });
    const read = withDeeds(map, readRight(map));
    const before = goesBack(read);
    expect(checkStanding(read, before.refit, before.check)).toMatchObject({ left: [], likely: null });
    const after = withDeeds(read, renamed(read));
    const { refit } = goesBack(after);
    expect(refit.positions.map(({ name }) => name)).toEqual(['detent 1', 'detent 2']);
    expect(refit.lugs).toEqual(['2', '3', '1']);
    const kept = keptReadings(after, refit);
    expect(kept.length).toBeGreaterThan(1);
    expect(kept).toEqual(
      keptReadings(read, before.refit).flatMap(({ position, ...of }) =>
        position === 0 ? [] : [{ ...of, position: position - 1 }],
      ),
    );
  });

  it('of a reading the newest counts, and one that was taken back does not', () => {
    const map = inMachine(TWO_HEATS, { one: {}, two: {} });
    const { refit, check } = goesBack(map);
    const [first] = check.readings;
    if (!first) throw new Error('nothing to read');
    const read = (joins: boolean | null, swapped = false): Deed => {
      const under = keptUnder(refit, first);
      const [one, other] = under.ends;
      return { kind: 'check-read', ...under, joins, ...(swapped && { ends: [other, one] }) };
    };
    const readings = (...deeds: Deed[]) => keptReadings(withDeeds(map, deeds), refit);
    expect(readings(read(true), read(false, true))).toMatchObject([{ read: false }]);
    expect(readings(read(true), read(null, true))).toEqual([]);
  });

  it('readings of before positions and lugs had lasting names are found by their place and label', () => {
    const map = inMachine(TWO_HEATS, { one: {}, two: {} });
    const { refit } = goesBack(map);
    const old: Deed = { kind: 'check-read', position: 1, ends: ['lug 2', 'lug 1'], joins: true };
    const wires = checkBench(refit).at.length;
    expect(keptReadings(withDeeds(map, [old]), refit)).toEqual([
      { position: 1, a: wires, b: wires + 1, read: true },
    ]);
    const gone: Deed = { kind: 'check-read', position: 1, ends: ['lug 9', 'lug 1'], joins: true };
    expect(keptReadings(withDeeds(map, [gone]), refit)).toEqual([]);
  });

  it('a record of insulation follows its position through a new name, and not another one that takes the old', () => {
    const map = inMachine(TWO_HEATS, { one: {}, two: {} });
    const measured = (of: SwitchMap) =>
      wantedBeforePower(of, refitOf(of), 'plug-in')
        .filter(({ what }) => what === 'live-to-earth')
        .map(({ position, record }) => [position, record?.ohms ?? null]);
    const setting = refitOf(map)?.positions[2]?.setting;
    if (!setting) throw new Error('no setting');
    const record = { what: 'live-to-earth', position: 'Position 3', setting, ohms: 2e8 } as const;
    const kept = withDeeds(map, [
      { kind: 'power-recorded', record: { ...record, limit: 1e6, instrument: 'x', by: 'y' } },
    ]);
    expect(measured(kept)).toEqual([['Position 2', null], ['Position 3', 2e8]]); // prettier-ignore
    const [, second, third] = kept.structure.actuators[0]?.positions ?? [];
    const swapped = withDeeds(
      kept,
      [[second, 'Position 3'] as const, [third, 'Position 2'] as const].map(([position, name]) => ({
        ...{ kind: 'restructured', basedOn: null },
        change: { change: 'position-renamed', position: position?.id as PositionId, name },
      })),
    );
    expect(measured(swapped)).toEqual([['Position 3', null], ['Position 2', 2e8]]); // prettier-ignore
  });
});

describe('a failed check', () => {
  it('asks for what tells the likely mistakes apart, until one is left or nothing tells more', () => {
    const map = inMachine(
      { size: 4, settings: ['1-2', '1-3', '1-4'], wires: '1>L 2>one.1 3>two.1 4>three.1' },
      { one: {}, two: {}, three: {} },
    );
    const { refit, check } = goesBack(map);
    const bench = checkBench(refit);
    let asked = 0;
    for (const mistake of [
      { kind: 'swapped', wires: [1, 3] } as const,
      { kind: 'not-on', wire: 2 } as const,
      { kind: 'wrong-lug', wire: 1, lug: 2 } as const,
    ]) {
      const reading = ({ position, a, b }: Check['readings'][number]): Deed => {
        const nets = joinedWith(bench, position, mistake) ?? [];
        return { kind: 'check-read', ...keptUnder(refit, { position, a, b }), joins: nets[a] === nets[b] };
      };
      let now = map;
      let standing = checkStanding(now, refit, check);
      while (standing.likely === null && standing.left[0]) {
        now = withDeeds(now, [reading(standing.left[0])]);
        standing = checkStanding(now, refit, check);
      }
      while (standing.splits) {
        const before = standing.likely?.length ?? 0;
        now = withDeeds(now, [reading(standing.splits)]);
        standing = checkStanding(now, refit, check);
        expect(standing.likely?.length).toBeLessThan(before);
        asked += 1;
      }
      expect(standing.likely).toEqual([mistake]);
    }
    expect(asked).toBeGreaterThan(0);
  });
});
