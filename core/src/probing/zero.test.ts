import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { ORDINARY_METER, type Value } from '../log/index.js';
import { bench } from '../testing/generated.js';
import { advance } from './advance.js';
import { idleHands } from './hands.js';
import { momentOf, type Scene } from './moment.js';
import { zeroHigh, zeroTrouble } from './zero.js';

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

describe('leads that read more than when they are clean', () => {
  // By hand: 0.2 and 0.3 more are 0.5; with steps of 1 ohm a step more is none.
  it.each([
    [0.5, { leadOhms: 0.2 }, false],
    [0.6, { leadOhms: 0.2 }, true],
    [1, { leadOhms: 0.2, resolutionOhms: 1 }, false],
    [1.9, { leadOhms: null }, false],
  ])('%s ohms, %j: %s', (ohms, known, high) => {
    expect(zeroHigh({ kind: 'ohms', ohms }, { ...ORDINARY_METER, ...known }) !== null).toBe(high);
  });
});

describe('the meter whose leads are held together', () => {
  const own = { ...ORDINARY_METER, name: 'The grey one', percent: 1.2, beeperOhms: 30 };
  const checked = (profile: typeof own | null) => {
    const on = bench(3, 1);
    on.add({ kind: 'meter-ranged', rangeOhms: 200 });
    const scene: Scene = {
      ...{ map: deriveMap(on.events), plan: { kind: 'check-meter', why: 'first' }, open: true },
      ...{ inCircuit: false, meter: null, clicks: null, pedals: false, profile },
    };
    const [deed] = advance(momentOf(scene, idleHands('tone')), { do: 'yes' }, { newId: on.newId }).deeds;
    return deed?.kind === 'meter-checked' ? deed.meter : null;
  };

  it('is the one that was chosen on the bench, on the range of the job; else as the job had it', () => {
    expect(checked(own)).toEqual({ ...own, rangeOhms: 200 });
    expect(checked(null)).toEqual({ ...ORDINARY_METER, rangeOhms: 200 });
  });
});
