import { describe, expect, it } from 'vitest';
import { readAngle, readKeys } from './pose-entry.js';

describe('a typed pose', () => {
  it('says where a handle points and which keys are down', () => {
    expect(readAngle('-67°')).toEqual({ kind: 'angle', degrees: -67 });
    expect([readAngle(''), readAngle('north'), readAngle('400')]).toEqual([null, undefined, undefined]);
    expect(readKeys('3 1')).toEqual({ kind: 'keys', down: [1, 3] });
    expect(readKeys('0')).toEqual({ kind: 'keys', down: [] });
    expect([readKeys(''), readKeys('two'), readKeys('99')]).toEqual([null, undefined, undefined]);
  });
});
