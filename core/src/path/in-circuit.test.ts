import { describe, expect, it } from 'vitest';
import { readLog, type Deed, type Load, type PathLink, type Supply } from '../log/index.js';
import type { LinkId, LoadId, SupplyId } from '../switch/index.js';
import { bench } from '../testing/generated.js';
import { newId } from '../testing/paths.js';
import { layPath, nextStep, partsOfLinks, pathVerdict, supplyPathOf } from './index.js';

const supply = (kind: Supply['kind']): Supply => ({
  ...{ id: newId<SupplyId>(), name: '', kind, volts: kind === 'L' ? 230 : null, current: 'AC' },
  removed: false,
});
const load = (name: string, kind: Load['kind']): Load => ({
  ...{ id: newId<LoadId>(), name, kind, amps: null, watts: 60, volts: 230, current: 'AC' },
  removed: false,
});

/** A lamp's supply path on the bench, with supplies and loads of its circuit, and what was done then. */
function pathWith(loads: Load[], deeds: (links: PathLink[], supplies: Supply[]) => Deed[] = () => []) {
  const on = bench(2, 2);
  const laid = layPath('lamp', newId);
  const supplies = [supply('L'), supply('N')];
  for (const one of supplies) on.add({ kind: 'supply-named', supply: one });
  for (const one of loads) on.add({ kind: 'load-named', load: one });
  on.add({ kind: 'path-laid', ...laid });
  for (const deed of deeds(laid.links, supplies)) on.add(deed);
  const log = readLog(on.events);
  const path = supplyPathOf(log);
  const states = pathVerdict(path).states;
  const stateOf = (kind: PathLink['kind'], conductor: PathLink['conductor']) =>
    states.get(laid.links.find((link) => link.kind === kind && link.conductor === conductor)?.id as LinkId);
  return { log, path, supplies, stateOf, links: laid.links, setting: on.settings[1] };
}

describe('the links of a supply path and the parts of the circuit', () => {
  it('are one where it is plain: the only load, the only live supply, the only return', () => {
    const lamp = load('lamp', 'lamp');
    const { log, links, supplies } = pathWith([lamp]);
    const parts = partsOfLinks(log, links);
    const of = (kind: PathLink['kind'], conductor: PathLink['conductor']) =>
      parts.get(links.find((link) => link.kind === kind && link.conductor === conductor)?.id as LinkId);
    expect(of('lamp', 'load')).toBe(lamp.id);
    expect(of('fuse', 'feed')).toBe(supplies[0]?.id);
    expect(of('cord', 'return')).toBe(supplies[1]?.id);
    expect(of('switch', 'feed')).toBeUndefined();
    expect(of('terminals', 'feed')).toBeUndefined();
  });

  it('are none where two loads of a kind might be meant', () => {
    const { log, links } = pathWith([load('left', 'lamp'), load('right', 'lamp')]);
    expect(partsOfLinks(log, links).has(links.find(({ kind }) => kind === 'lamp')?.id as LinkId)).toBe(false);
    const other = pathWith([load('pump', 'motor'), load('right', 'lamp')]);
    expect(partsOfLinks(other.log, other.links).size).toBe(5 + 1);
  });

  it('share what was found: a lamp that was tried in the machine is not asked for here', () => {
    const lamp = load('lamp', 'lamp');
    const whole = pathWith([lamp], () => [{ kind: 'part-tried', part: lamp.id, whole: true }]);
    expect(whole.stateOf('lamp', 'load')).toBe('pass');
    const next = nextStep(whole.path);
    expect(next?.kind === 'test' && next.links.length === 1 && next.links[0]).not.toBe(
      whole.links.find(({ kind }) => kind === 'lamp')?.id,
    );
    const open = pathWith([lamp], () => [{ kind: 'part-tried', part: lamp.id, whole: false }]);
    expect(open.stateOf('lamp', 'load')).toBe('fail');
    const taken = pathWith([lamp], () => [
      { kind: 'part-tried', part: lamp.id, whole: false },
      { kind: 'part-tried', part: lamp.id, whole: null },
    ]);
    expect(taken.stateOf('lamp', 'load')).toBe('not-tested');
  });

  it('a jumper test that runs clears all but the switch; a cord is not flexed by it', () => {
    const { stateOf, path } = pathWith([load('lamp', 'lamp')], () => [
      {
        kind: 'jumper-tested',
        test: { setting: newId(), joined: [[newId(), newId()]], outcome: 'runs', by: 'A. Bencher' },
      },
    ]);
    expect(stateOf('fuse', 'feed')).toBe('pass');
    expect(stateOf('lamp', 'load')).toBe('pass');
    expect(stateOf('cord', 'feed')).toBe('at-rest');
    expect(pathVerdict(path).suspects).toContain(path.links.find(({ kind }) => kind === 'switch')?.id);
  });
});
