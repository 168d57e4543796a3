import type { Load, Supply } from '@which-way/core/log';
import type { LoadId, SupplyId } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { guessedEnd } from './guessed-end.js';

const supply = (kind: Supply['kind'], name = ''): Supply => ({
  ...{ id: kind as string as SupplyId, name, kind, volts: 230, current: 'AC', removed: false },
});
const lamp: Load = {
  ...{ id: 'lamp' as LoadId, name: 'Lamp', kind: 'lamp', amps: null, watts: 60, volts: 230 },
  ...{ current: 'AC', removed: false },
};
const guess = (color: string, goesTo = '') =>
  guessedEnd({ color, goesTo }, [supply('L'), supply('N'), supply('earth')], [lamp]);

describe('a guess at the far end of a wire', () => {
  it('goes by what was written of it before its colour', () => {
    expect(guess('BU', 'lamp')).toEqual({ at: 'load', load: 'lamp', end: '1' });
    expect(guess('BU')).toEqual({ at: 'supply', supply: 'N' });
    expect(guess('GNYE')).toEqual({ at: 'supply', supply: 'earth' });
    expect(guess('BN')).toEqual({ at: 'supply', supply: 'L' });
  });

  it('is none where what was written names nothing that is known, whatever the colour', () => {
    expect(guess('BU', 'somewhere behind')).toBeNull();
    expect(guess('PK')).toBeNull();
    expect(guess('')).toBeNull();
  });

  it('goes by a terminal that looks like the common last, and only where one supply can be meant', () => {
    const at = (color: string, supplies: Supply[], goesTo = '') =>
      guessedEnd({ color, goesTo }, supplies, [lamp], true);
    const [line, back, two] = [supply('L'), supply('N'), supply('L2')];
    expect(at('PK', [line, back])).toEqual({ at: 'supply', supply: 'L' });
    expect(at('BU', [line, back])).toEqual({ at: 'supply', supply: 'N' });
    expect(at('PK', [line, two, back])).toBeNull();
    expect(at('PK', [line, back], 'somewhere behind')).toBeNull();
  });
});
