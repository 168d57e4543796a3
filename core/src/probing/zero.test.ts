import { describe, expect, it } from 'vitest';
import { ORDINARY_METER, type Value } from '../log/index.js';
import { zeroTrouble } from './zero.js';

describe('the lead zero', () => {
  it.each([
    [{ kind: 'ohms', ohms: 0.4 }, false],
    [{ kind: 'ohms', ohms: 6 }, true],
    [{ kind: 'over' }, true],
    [{ kind: 'tone', sounded: true }, false],
    [{ kind: 'tone', sounded: false }, true],
  ] as [Value, boolean][])('%j is trouble: %s', (value, trouble) => {
    expect(zeroTrouble(value, ORDINARY_METER) !== null).toBe(trouble);
  });
});
