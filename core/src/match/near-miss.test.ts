import { describe, expect, it } from 'vitest';
import { writtenPattern } from '../testing/written-pattern.js';
import { nearMissesFor } from './near-miss.js';

/** What a candidate falls short of; patterns as `writtenPattern` reads them. */
const near = (old: string, candidate: string) => {
  const pattern = writtenPattern(old);
  const terminals = (pattern[0] ?? []).map((_, at) => at);
  return nearMissesFor({ pattern, terminals, known: null })(writtenPattern(candidate));
};

describe('near misses', () => {
  it('name the one position, the one wire, or the junction that is missing', () => {
    expect(near('ab | ac | ad', 'ab | ac | bd')).toMatchObject({ kind: 'all-but-position' });
    expect(near('aeb | aec | aed', 'ab | ac | ad')).toMatchObject({ kind: 'all-but-wire' });
    expect(near('ab | ac', 'ab | cd')).toMatchObject({ kind: 'one-junction-more', result: { jumpers: 1 } });
  });

  it('name the contact that is missing with all its wires, in the handle’s own direction first', () => {
    // A trigger with a brake contact at rest; the candidate has the other contact alone.
    expect(near('cd | ab', '- | ab')).toMatchObject({ kind: 'all-but-contact', terminals: [2, 3] });
    expect(near('cd | ab', 'ab | -')).toMatchObject({ kind: 'all-but-contact', terminals: [0, 1] });
    expect(near('- | ab cd ef', '- | ab cd')).toMatchObject({ kind: 'all-but-contact' });
  });

  it('are none where more is missing than one thing', () => {
    expect(near('- | ab cd ef', '- | ab')).toBeNull();
    expect(near('ab | ac | ad | ae', 'ab | ac')).toBeNull();
  });
});
