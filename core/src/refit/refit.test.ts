import { supplyOf } from '../safety/index.js';
import { describe, expect, it } from 'vitest';
import type { SwitchMap } from '../continuity/index.js';
import { type Deed, recordsOf } from '../log/index.js';
import type { LoadId, StepId, WireId } from '../switch/index.js';
import type { House } from '../testing/house-of-switches.js';
import { chosenPart, inMachine, knownPart, newId, withDeeds } from '../testing/put-back.js';
import {
  checkBench,
  bypasses,
  checkOf,
  checkStanding,
  functionChecks,
  isWholeSignature,
  isWithin,
  joinedWith,
  keptUnder,
  refitOf,
  refitStanding,
  signableRefit,
  signedRefitOf,
  transferCard,
  wantedBeforePower,
  wayOf,
} from './index.js';

const LAMP = { size: 3, settings: ['', '1-2'], wires: '1>L 2>lamp.1' };

describe('the transfer card', () => {
  it('of the same switch: every wire where it was', () => {
    const card = transferCard(inMachine(LAMP, { lamp: {} }));
    expect(card.refit?.way).toBe('same');
    expect(card.lines.map((line) => line.kind === 'wire' && [line.old, line.to])).toEqual([
      ['1', '1'],
      ['2', '2'],
    ]);
    expect(card).toMatchObject({ left: 2, uncapped: 0 });
  });

  it('of a part: bare ends first, then junctions, then wires with what shares their lug, and a stop before the spare position', () => {
    const map = inMachine(
      { size: 4, settings: ['1-2', '1-3'], wires: '1>L 2>one.1 2>two.1 3>two.2 4>?' },
      { one: {}, two: {} },
    );
    const of = knownPart('A B C D', { OFF: '', I: 'A-B', II: 'A-C', III: 'A-D' });
    const card = transferCard(
      withDeeds(map, [chosenPart(map, of, [[0, 'A'], [1, 'B'], [1, 'D'], [2, 'C']], ['I', 'II'])]), // prettier-ignore
    );
    expect(card.lines.map(({ kind }) => kind)).toEqual([
      'cap',
      'jumper',
      'wire',
      'wire',
      'wire',
      'wire',
      'stop',
    ]);
    expect(card.lines[1]).toMatchObject({ from: 'B', to: 'D' });
    // Two wires of one old lug go to the two lugs that are joined.
    expect(card.lines.flatMap((line) => (line.kind === 'wire' ? [line.to] : []))).toEqual([
      'A',
      'B',
      'C',
      'D',
    ]);
    expect(card.lines.at(-1)).toMatchObject({ from: 'I', to: 'II', spare: ['OFF', 'III'] });
    expect(card.uncapped).toBe(1);
  });

  it('wires that sat together on a lug which nothing takes the place of are spliced', () => {
    const map = inMachine(
      { size: 3, settings: ['', '1-2'], wires: '1>L 2>one.1 3>one.2 3>two.1' },
      { one: {}, two: {} },
    );
    const of = knownPart('A B', { OFF: '', ON: 'A-B' });
    const card = transferCard(withDeeds(map, [chosenPart(map, of, [[0, 'A'], [1, 'B']], ['OFF', 'ON'])])); // prettier-ignore
    expect(card.lines.find(({ kind }) => kind === 'splice')).toMatchObject({ old: '3' });
    expect(card.uncapped).toBe(0);
  });

  it('wires of one old terminal go over its joined lugs as somebody says, the others to the emptiest', () => {
    const map = inMachine(
      { size: 2, settings: ['', '1-2'], wires: '1>L 2>one.1 2>two.1 2>three.1' },
      { one: {}, two: {}, three: {} },
    );
    const of = knownPart('A B C', { OFF: '', ON: 'A-B' });
    const put = withDeeds(map, [chosenPart(map, of, [[0, 'A'], [1, 'B'], [1, 'C']], ['OFF', 'ON'])]); // prettier-ignore
    const lugs = (now: SwitchMap) =>
      transferCard(now).lines.flatMap((line) =>
        line.kind === 'wire' ? [[line.wire.tag, line.to, line.others.join()]] : [],
      );
    const [first, second, third, fourth] = lugs(put).map(([tag]) => tag);
    expect(lugs(put)).toEqual([[first, 'A', ''], [second, 'B', 'C'], [third, 'B', 'C'], [fourth, 'C', 'B']]); // prettier-ignore
    const wire = recordsOf(put.log, 'wire-tagged').find(({ tag }) => tag === second)?.id as WireId;
    const moved = withDeeds(put, [{ kind: 'wire-laid', wire, lug: 'C' }]);
    expect(lugs(moved).filter(([tag]) => tag === second)).toEqual([[second, 'C', 'B']]);
    expect(lugs(moved).filter(([, lug]) => lug === 'B')).toHaveLength(2);
    expect(lugs(withDeeds(moved, [{ kind: 'wire-laid', wire, lug: null }]))).toEqual(lugs(put));
    // A lug that the match does not give it is none to sit on.
    expect(lugs(withDeeds(put, [{ kind: 'wire-laid', wire, lug: 'A' }]))).toEqual(lugs(put));
  });

  it('ticks count for what goes back now: another choice begins anew', () => {
    const map = inMachine(LAMP, { lamp: {} });
    const key = transferCard(map).lines[0]?.key ?? '';
    const ticked = withDeeds(map, [{ kind: 'line-ticked', line: key, done: true }]);
    expect(transferCard(ticked).left).toBe(1);
    const label = withDeeds(ticked, [{ kind: 'refit-begun', way: 'label' }]);
    expect(transferCard(label).lines.map(({ kind }) => kind)).toEqual(['label', 'label']);
    const again = withDeeds(label, [{ kind: 'refit-begun', way: 'same' }]);
    expect(transferCard(again).left).toBe(2);
    expect(wayOf(withDeeds(map, [{ kind: 'refit-begun', way: 'part' }]))).toBe('same');
  });
});

describe('the check of a job', () => {
  it('a swapped pair of wires is caught, and named; read again as it should be, it passes', () => {
    const map = inMachine(
      { size: 3, settings: ['1-2', '1-3'], wires: '1>L 2>one.1 3>two.1' },
      { one: {}, two: {} },
    );
    const refit = refitOf(map);
    if (!refit) throw new Error('nothing goes back');
    const bench = checkBench(refit);
    const check = checkOf(bench);
    expect(checkStanding(map, refit, check)).toMatchObject({ standing: 'not-done', likely: null });
    const read = (swapped: boolean) =>
      withDeeds(
        map,
        check.readings.map((one): Deed => {
          const nets =
            joinedWith(bench, one.position, swapped ? { kind: 'swapped', wires: [1, 2] } : null) ?? [];
          return { kind: 'check-read', ...keptUnder(refit, one), joins: nets[one.a] === nets[one.b] };
        }),
      );
    const failed = checkStanding(read(true), refit, check);
    expect(failed.standing).toBe('failed');
    expect(failed.likely).toContainEqual({ kind: 'swapped', wires: [1, 2] });
    expect(checkStanding(read(false), refit, check)).toMatchObject({
      standing: 'done',
      left: [],
      likely: null,
    });
  });
});

it('a jumper of a test that was left on is among the mistakes, and shows', () => {
  const map = inMachine(LAMP, { lamp: {} });
  const bypass = bypasses(map).find(({ allowed }) => allowed);
  if (!bypass?.allowed) throw new Error('refused');
  const { setting, joined } = bypass;
  const after = withDeeds(map, [
    { kind: 'jumper-tested', test: { setting, joined, outcome: 'runs', by: 'Ada' } },
  ]);
  expect(refitOf(map)?.strays).toEqual([]);
  const refit = refitOf(after);
  expect(refit?.strays).toEqual([[0, 1]]);
  expect(checkOf(checkBench(refit as never)).cannot.map(({ kind }) => kind)).not.toContain('jumper-left');
});

describe('before power', () => {
  it('asks for insulation in every position that joins something, and for earth, of mains alone', () => {
    const map = inMachine(LAMP, { lamp: {} });
    expect(supplyOf(map.log)).toBe('plug-in');
    const wanted = wantedBeforePower(map, refitOf(map), 'plug-in');
    expect(wanted.filter(({ what }) => what === 'live-to-earth')).toHaveLength(1);
    expect(wanted.filter(({ what }) => what === 'line-to-neutral')).toHaveLength(2);
    expect(wanted.some(({ what }) => what === 'earth-to-case')).toBe(true);
    expect(wantedBeforePower(map, refitOf(map), 'battery').map(({ what }) => what)).toEqual([
      'line-to-neutral',
      'line-to-neutral',
    ]);
    expect(wantedBeforePower(map, refitOf(map), null)).toEqual([]);
  });

  it('tells positions that nobody has named by their number: a record in one is none in another', () => {
    const two = { size: 3, settings: ['', '1-2', '1-3'], wires: '1>L 2>lamp.1 3>bell.1' };
    const map = inMachine(two, { lamp: {}, bell: {} }, () => [
      {
        kind: 'power-recorded',
        record: {
          what: 'live-to-earth',
          position: 'Position 3',
          ohms: 2e8,
          limit: 1e6,
          instrument: 'x',
          by: 'y',
        },
      },
    ]);
    const refit = refitOf(map);
    expect(refit?.positions.map(({ name }) => name)).toEqual(['Position 1', 'Position 2', 'Position 3']);
    const wanted = wantedBeforePower(map, refit, 'plug-in').filter(({ what }) => what === 'live-to-earth');
    expect(wanted.map(({ position, record }) => [position, record?.ohms ?? null])).toEqual([
      ['Position 2', null],
      ['Position 3', 2e8],
    ]);
  });

  it.each([
    [true, 2e6, 1e6, true],
    [true, 5e5, 1e6, false],
    [false, 0.2, 0.3, true],
    [false, 0.4, 0.3, false],
    [true, 5e5, null, null],
  ])('at least %s: %d ohms with the limit %d is %s', (atLeast, ohms, limit, within) =>
    expect(isWithin({ atLeast }, { what: 'cord', position: '', instrument: 'x', by: 'y', ohms, limit })).toBe(
      within,
    ),
  );
});

describe('the function test', () => {
  it('has what every load must do from the circuit, and asks a person where the circuit does not know', () => {
    const known = functionChecks(inMachine(LAMP, { lamp: {} }));
    expect(known.flatMap((line) => (line.kind === 'load' ? [line.must.does] : []))).toEqual(['off', 'full']);
    expect(known[0]).toMatchObject({ kind: 'stops', brakes: false });
    const open = inMachine({ ...LAMP, wires: '1>? 2>lamp.1' }, { lamp: {} });
    const asked = functionChecks(open);
    expect(asked.map(({ kind }) => kind)).toEqual(['load', 'unsaid', 'under-load', 'warm']);
    const line = asked[1];
    if (line?.kind !== 'unsaid') throw new Error('not asked');
    const said = withDeeds(open, [
      {
        kind: 'function-asked',
        line: { id: newId<StepId>(), setting: line.setting, load: line.load, must: 'dark', removed: false },
      },
    ]);
    expect(functionChecks(said).map(({ kind }) => kind)).toEqual(['load', 'own', 'under-load', 'warm']);
  });
});

describe('joining wires instead of the switch', () => {
  const of = (one: House['switches'][string], loads: House['loads'], after?: (map: SwitchMap) => Deed[]) =>
    bypasses(inMachine(one, loads, after)).map((bypass) =>
      bypass.allowed ? 'allowed' : bypass.refusal.because,
    );

  it('is offered where nothing speaks against it', () => {
    expect(of(LAMP, { lamp: {} })).toEqual(['nothing-joins', 'allowed']);
  });

  it.each<[string, House['switches'][string], House['loads'], string[]]>([
    [
      'two supplies meet',
      { size: 3, settings: ['1-2', '1-3'], wires: '1>L 2>lamp.1 3>N' },
      { lamp: {} },
      ['allowed', 'supplies-meet'],
    ],
    ['an end is not known', { ...LAMP, wires: '1>L 2>?' }, { lamp: {} }, ['nothing-joins', 'end-not-known']],
    [
      'it brakes in the other position',
      { size: 4, settings: ['1-2', '2-3'], wires: '1>L 2>motor.+ 3>motor.- 4>N' },
      { motor: { kind: 'motor', make: 'permanent-magnet' } },
      ['brake', 'brake'],
    ],
  ])('is refused where %s', (_, one, loads, outcome) => expect(of(one, loads)).toEqual(outcome));

  it('is refused past a thermal cut-out', () => {
    const cutOut: Deed = { kind: 'case-noted', noted: { what: 'cut-out-button', position: null, on: true } };
    expect(of(LAMP, { lamp: {} }, () => [cutOut])).toEqual(['nothing-joins', 'guard']);
  });
});

it('a sign-off keeps how all stood, and is open again once something is read or changed', () => {
  const map = inMachine(LAMP, { lamp: {} });
  const standing = refitStanding(map, true, null);
  expect(standing).toMatchObject({
    transfer: 'not-done',
    check: 'not-done',
    measured: 'not-done',
    function: 'not-done',
  });
  const signed = withDeeds(map, [
    { kind: 'refit-signed', refit: signableRefit(map, standing, 'Ada', ['warm']) },
  ]);
  const kept = signedRefitOf(signed)?.signed;
  if (!kept) throw new Error('not signed');
  expect(isWholeSignature(kept)).toBe(false);
  const done = { transfer: 'done', check: 'done', measured: 'nothing-to-do', function: 'done' } as const;
  expect(isWholeSignature({ ...kept, ...done })).toBe(true);
  expect(isWholeSignature({ ...kept, ...done, check: 'failed' })).toBe(false);
  expect(signedRefitOf(signed)).toMatchObject({ stands: true, signed: { by: 'Ada', notTested: ['warm'] } });
  const after = withDeeds(signed, [
    {
      kind: 'loads-seen',
      seen: [{ setting: map.structure.settings[0]?.id as never, load: newId<LoadId>(), seen: 'off' }],
    },
  ]);
  expect(signedRefitOf(after)?.stands).toBe(false);
});
