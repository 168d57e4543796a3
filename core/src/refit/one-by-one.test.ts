import { describe, expect, it } from 'vitest';
import { isOneByOne, stopsProved, type FunctionCheck } from './function-test.js';

const none = { key: 'k', tried: null };
const [setting, load] = ['s' as never, 'l' as never];
const tried = (result: 'as-it-should' | 'fails') => ({ line: 'k', result, live: '', why: '' }) as never;
const stops: FunctionCheck = { ...none, kind: 'stops', setting, at: setting, brakes: false };
const does = (what: 'full' | 'off' | 'braked'): FunctionCheck => ({
  ...none,
  kind: 'load',
  setting,
  load,
  must: { does: what, share: null, watts: null } as never,
});

describe('lines of the function test', () => {
  it.each<[string, FunctionCheck, boolean]>([
    ['a stop', stops, true],
    ['a stop that brakes', { ...stops, brakes: true } as FunctionCheck, true],
    ['a load that must be braked', does('braked'), true],
    ['a release', { ...none, kind: 'release', setting }, true],
    ['a load that must run', does('full'), false],
    ['a load that must be off', does('off'), false],
    ['what is tried warm', { ...none, kind: 'warm' }, false],
  ])('%s is answered by itself: %#', (_, line, alone) => expect(isOneByOne(line)).toBe(alone));

  it('nothing is answered together before every stop was tried and works', () => {
    const works = { ...stops, tried: tried('as-it-should') } as FunctionCheck;
    const fails = { ...stops, tried: tried('fails') } as FunctionCheck;
    expect([[stops], [works, stops], [works, fails], [works, does('full')], []].map(stopsProved)).toEqual([
      ...[false, false, false],
      ...[true, true],
    ]);
  });
});
