import { describe, expect, it } from 'vitest';
import { strandOf } from './strand.js';

describe('strands', () => {
  it('differ in dash from their neighbours and are 24 in all, so that colour is never alone', () => {
    const strands = Array.from({ length: 24 }, (_, index) => strandOf(index));
    expect(new Set(strands.map(({ color, dash }) => color + dash)).size).toBe(24);
    strands.slice(1).forEach((strand, index) => expect(strand.dash).not.toBe(strands[index]?.dash));
  });
});
