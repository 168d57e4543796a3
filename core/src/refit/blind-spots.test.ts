import { describe, expect, it } from 'vitest';
import { inMachine } from '../testing/put-back.js';
import { blindSpots, checkOf, checkStanding, isBlind, refitOf, type Refit } from './index.js';
import { checkBench } from './check/mistakes.js';

describe('what a check before power cannot show', () => {
  const SELECTOR = { size: 3, settings: ['', '1-2', '1-3'], wires: '1>L 2>one.1 3>two.1' };
  const loads = { one: {}, two: {} };
  const refitWith = (
    wires: string,
    unmapped = false,
  ): { map: ReturnType<typeof inMachine>; refit: Refit } => {
    const map = inMachine({ ...SELECTOR, wires, unmapped }, loads);
    return { map, refit: refitOf(map) as Refit };
  };

  it('nothing where every lug that joins has a tagged wire and every position is known', () => {
    const { refit } = refitWith(SELECTOR.wires);
    expect(blindSpots(refit)).toEqual({ untagged: [], unread: [] });
  });

  it('a lug without a tagged wire, and no wire at all: then it does not pass, however it reads', () => {
    const { map, refit } = refitWith('1>L 2>one.1');
    expect(blindSpots(refit).untagged).toEqual(['3']);
    const check = checkOf(checkBench(refit));
    expect(checkStanding(map, refit, { ...check, readings: [] }).standing).toBe('not-done');
  });

  it('positions of which not all contacts were read', () => {
    const { refit } = refitWith(SELECTOR.wires, true);
    expect(blindSpots(refit).unread).toHaveLength(3);
    expect(isBlind(refit)).toBe(true);
  });
});
