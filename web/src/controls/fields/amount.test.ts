import { describe, expect, it } from 'vitest';
import { readAmount, readOhms } from './amount.js';

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

describe('ohms as typed', () => {
  it.each([
    ['0.2', 0.2],
    ['0,2', 0.2],
    ['1.5k', 1500],
    ['2M', 2e6],
    ['500 MΩ', 5e8],
    ['47 ohms', 47],
    ['', null],
    ['M', undefined],
    ['much', undefined],
    ['1,500', undefined],
  ])('%s is %s', (typed, ohms) => expect(readOhms(typed)).toBe(ohms));
});
