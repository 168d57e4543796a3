import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import type { Deed } from '../log/index.js';
import { bench, CLOSED, OPEN } from '../testing/generated.js';
import { verdictOf } from './index.js';

describe('insulation that was measured before power', () => {
  /** An on-off with what was recorded at ON, in megohm. */
  const insulation = (megohms: number | null, way: 'same' | 'part' = 'same') => {
    const on = bench(2, 2);
    on.read(0, 0, 1, OPEN);
    on.read(1, 0, 1, CLOSED);
    on.add({ kind: 'refit-begun', way });
    if (megohms !== null)
      on.add({
        kind: 'power-recorded',
        record: {
          ...{ what: 'live-to-earth', position: '2', setting: on.settings[1], limit: 1e6 },
          ...{ ohms: megohms * 1e6, instrument: 'tester', by: 'A. Fitter' },
        },
      } as Deed);
    const { outcome, reasons } = verdictOf(deriveMap(on.events)).insulation;
    return [outcome, ...reasons].join(' ');
  };

  it('counts at Verify where this switch goes back: good, or low', () => {
    expect(insulation(null)).toBe('not-yet no-insulation-test');
    expect(insulation(50)).toBe('pass insulation-good');
    expect(insulation(0.4)).toBe('fail insulation-low');
  });

  it('says nothing of this switch where another part goes back', () => {
    expect(insulation(50, 'part')).toBe('not-yet no-insulation-test');
  });
});
