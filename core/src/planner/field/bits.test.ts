import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Ints, onesIn } from '../../grid/index.js';
import { lowestBit, setBit } from './bits.js';

describe('rows of bits', () => {
  it('count and find the bits that are set', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(31), { minLength: 1 }), (places) => {
        const bits = new Ints(1);
        for (const place of places) setBit(bits, place);
        expect(onesIn(bits.get(0))).toBe(places.length);
        expect(lowestBit(bits.get(0))).toBe(Math.min(...places));
      }),
    );
  });
});
