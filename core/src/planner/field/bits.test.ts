import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countBits, lowestBit, setBit } from './bits.js';

describe('rows of bits', () => {
  it('count and find the bits that are set', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(31), { minLength: 1 }), (places) => {
        const bits = new Int32Array(1);
        for (const place of places) setBit(bits, place);
        expect(countBits(bits[0] as number)).toBe(places.length);
        expect(lowestBit(bits[0] as number)).toBe(Math.min(...places));
      }),
    );
  });
});
