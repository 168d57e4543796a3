import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { levelsOf } from './index.js';
import { JsonDepth } from './json-depth.js';

const depthOf = (text: string, pieces = 1): number => {
  const bytes = new TextEncoder().encode(text);
  const depth = new JsonDepth();
  const size = Math.max(1, Math.ceil(bytes.length / pieces));
  let deepest = 0;
  for (let from = 0; from < bytes.length; from += size)
    deepest = Math.max(deepest, depth.add(bytes.subarray(from, from + size)));
  return deepest;
};

describe('the depth of JSON as it comes', () => {
  it.each([
    ['{}', 1],
    ['[[], {"a": [1]}]', 3],
    ['"[[["', 0],
    ['["\\"[[", []]', 2],
    ['["\\\\", [[]]]', 3],
    ['{"ü[": "][", "b": {"c": "}"}}', 2],
  ])('%s is %i deep', (text, levels) => {
    expect(depthOf(text)).toBe(levels);
  });

  it('is what the values come to, in however many pieces it comes', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 9 }), fc.integer({ min: 1, max: 40 }), (value, pieces) => {
        expect(depthOf(JSON.stringify(value), pieces)).toBe(levelsOf(value));
      }),
      { numRuns: 300, seed: 25 },
    );
  });
});
