import { describe, expect, it } from 'vitest';
import { readAmount } from './amount.js';

describe('an amount that is typed', () => {
  it.each([
    ['', null],
    ['1500', 1500],
    ['0,500', 0.5],
    ['12,5', 12.5],
    ['1.250', 1.25],
    ['1,500', undefined],
    ['12 W', undefined],
  ])('%s is %s: one that may be two numbers is none', (typed, amount) => {
    expect(readAmount(typed)).toBe(amount);
  });
});
