import { describe, expect, it } from 'vitest';
import type { Supply } from '../../log/index.js';
import { newIdFrom, seededRandom, type SupplyId } from '../../switch/index.js';
import { askedSources, SOURCE_ANSWERS, sourcesAnswered, type AskedSources } from './source-answers.js';
import { Shares, sourcesOf } from './sources.js';

const supply = (id: string, kind: Supply['kind'], current: Supply['current'] = 'DC'): Supply => ({
  ...{ id: id as SupplyId, name: id, kind, volts: kind === '+' ? 12 : null, current, removed: false },
});
const TWO = [supply('house', '+'), supply('engine', '+'), supply('minus', '0')];
const newId = newIdFrom(seededRandom(4));
const common = (supplies: Supply[], named: Parameters<typeof sourcesOf>[1]) => {
  const sources = sourcesOf(supplies, named);
  return {
    asked: askedSources(sources).length,
    common: new Shares(sources, supplies).between('house' as SupplyId, 'engine' as SupplyId),
  };
};

describe('what two sources share', () => {
  it('is asked of a second one of a current, and of nothing else', () => {
    expect(common(TWO, [])).toEqual({ asked: 1, common: 'not-said' });
    expect(askedSources(sourcesOf([supply('house', '+'), supply('minus', '0')], []))).toEqual([]);
    const phases = (['L1', 'L2', 'L3', 'N'] as const).map((kind) => supply(kind, kind, 'AC'));
    expect(sourcesOf(phases, []).map(({ poles }) => poles)).toEqual([['L1', 'L2', 'L3']]);
    expect(askedSources(sourcesOf([...phases, ...TWO.slice(0, 1)], []))).toEqual([]);
  });

  it.each([
    ['one', 'shared'],
    ['shared', 'shared'],
    ['apart', 'none'],
  ] as const)('answered: %s, it is not asked again', (answer, is) => {
    const supplies = [...TWO, supply('less', '0')];
    const [asked] = askedSources(sourcesOf(supplies, []));
    const said = sourcesAnswered(asked as AskedSources, answer, supplies, newId);
    expect(common(supplies, said ?? [])).toEqual({ asked: 0, common: is });
    expect(said).toHaveLength(answer === 'one' ? 1 : 2);
  });

  it('two that share nothing want two returns', () => {
    const [asked] = askedSources(sourcesOf(TWO, []));
    expect(sourcesAnswered(asked as AskedSources, 'apart', TWO, newId)).toBeNull();
    expect(SOURCE_ANSWERS).toHaveLength(3);
  });
});
