import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { DeadPoint, DeadProof, SupplyKind, VoltReading } from '../log/index.js';
import { endsInSight, highestLeft, proofTroubles, usualPoints, usualReadings } from './proof-of-dead.js';

const KINDS: Record<string, DeadPoint['is']> = {
  PE: 'earth',
  'long PE': 'long-earth',
  'long N': 'long-neutral',
  box: 'box',
};

/** Points by their names: those that are no reference are conductors. */
const points = (names: string): DeadPoint[] =>
  names.split(', ').map((name) => ({ name, is: KINDS[name] ?? 'conductor' }));

/**
 * A reading as a person would write it: `L-PE 230`, `L-N@OFF 0.1`, `+-minus 12 DC`, `L-N 80 high` for a tester that loads
 * nothing.
 */
function reading(text: string): VoltReading {
  const [, one = '', other = '', position = null, volts, dial = 'AC', high] =
    /^(.+?)-(.+?)(?:@(.+?))? (-?[\d.]+)(?: (AC|DC))?( high)?$/.exec(text) ?? [];
  return {
    between: [one, other],
    position,
    volts: Number(volts),
    current: dial === 'DC' ? 'DC' : 'AC',
    lowImpedance: high === undefined,
  };
}
const readings = (text: string): VoltReading[] => (text === '-' ? [] : text.split(', ').map(reading));

interface Case {
  words: string;
  supply: SupplyKind;
  proof: DeadProof;
  says: string[];
}

/** Cases, one on a line: what it is / points, perhaps 'no earth', 'at' positions / before / after / what is said of it. */
function casesOf(table: string): [string, Case][] {
  return table
    .trim()
    .split('\n')
    .map((line) => {
      const [words = '', where = '', before = '-', after = '-', says = ''] = line.split(' / ');
      const [, supply = 'fixed', names = '', noEarth, at = ''] =
        /^(?:(plug-in|battery|extra-low): )?(.+?)(, no earth)?(?: at (.+))?$/.exec(where) ?? [];
      const proof: DeadProof = {
        points: points(names),
        positions: at === '' ? [] : at.split(' '),
        noEarth: noEarth !== undefined,
        before: readings(before),
        after: readings(after),
      };
      return [
        words,
        { words, supply: supply as SupplyKind, proof, says: says === 'proved' ? [] : says.split(' ') },
      ];
    });
}

/** Right and wrong proofs of a fixed supply: the rules of safe isolation are common practice. */
const FIXED = casesOf(`
nothing measured / L, N, PE / - / - / conductor-unproved conductor-unproved
no conductor named / PE / - / - / no-conductor
an earth that showed the supply, all to earth / L, N, PE / L-PE 230 / L-PE 0, N-PE 0, L-N 0 / proved
the same on 120 V / L, N, PE / L-PE 120 / L-PE 0, N-PE 0, L-N 0 / proved
the same on 100 V less ten per cent / L, N, PE / L-PE 90 / L-PE 0, N-PE 0, L-N 0 / proved
an earth that nobody tried / L, N, PE / - / L-PE 0, N-PE 0, L-N 0 / reference-unproved pair-unproved conductor-unproved conductor-unproved
an earth that showed half / L, N, PE / L-PE 60 / L-PE 0, N-PE 0 / reference-unproved conductor-unproved conductor-unproved
an earth that showed the supply against nothing live / L, N, PE, box / PE-box 230 / L-PE 0, N-PE 0 / reference-unproved conductor-unproved conductor-unproved
one conductor not measured / L, N, PE / L-PE 230 / L-PE 0 / conductor-unproved
one conductor against the other that showed the supply / L, N, PE / L-PE 230, L-N 230 / L-N 0 / proved
volts to earth / L, N, PE / L-PE 230 / L-PE 231, N-PE 0, L-N 0 / volts-there pair-unproved conductor-unproved
volts below nought are volts / L, N, PE / L-PE 230 / L-PE -231, N-PE 0, L-N 0 / volts-there pair-unproved conductor-unproved
just below 5 V / L, N, PE / L-PE 230 / L-PE 4.9, N-PE 0 / proved
5 V / L, N, PE / L-PE 230 / L-PE 5, N-PE 0, L-N 0 / volts-there pair-unproved conductor-unproved
no earth said, pair not seen live / L, N, no earth / - / L-N 0 / pair-unproved conductor-unproved conductor-unproved
no earth said, the pair seen live / L, N, no earth / L-N 230 / L-N 0 / proved
nothing said about the earth / L, N / L-N 230 / L-N 0 / earth-not-said
two wires of one switch line, nought between them before too / L, switched, no earth at ON / L-switched@ON 0 / L-switched 0 / pair-unproved conductor-unproved conductor-unproved
a switch line that shows the supply at OFF only / L, switched, no earth at OFF ON / L-switched@OFF 230 / L-switched 0 / pair-unproved conductor-unproved conductor-unproved
the same, seen live at OFF and looked at there only / L, switched, no earth at OFF / L-switched@OFF 230 / L-switched@OFF 0 / proved
the pair live at ON, measured at OFF / L, N, no earth at OFF ON / L-N@ON 230 / L-N@OFF 0 / pair-unproved conductor-unproved conductor-unproved
the pair live in every position / L, N, no earth at OFF ON / L-N 228 / L-N@OFF 0, L-N@ON 0 / proved
one position forgotten / L, N, PE at OFF LOW HIGH / L-PE@LOW 230 / L-PE@OFF 0, L-PE@LOW 0, N-PE 0 / conductor-unproved
every position one by one / L, N, PE at OFF LOW HIGH / L-PE@LOW 230 / L-PE@OFF 0, L-PE@LOW 0, L-PE@HIGH 0, N-PE 0 / proved
a reference is proved in one position and stands in all / L, N, PE at OFF ON / L-PE@ON 230 / L-PE 0, N-PE 0 / proved
volts in one position / L, N, PE at OFF ON / L-PE 230 / L-PE 0, N-PE 0, N-PE@ON 112 / volts-there
a neutral on a long lead that showed the supply / L, switched, long N / L-long N 230 / L-long N 0, switched-long N 0 / proved
a neutral on a long lead that nobody tried / L, switched, long N / - / L-long N 0, switched-long N 0 / reference-unproved conductor-unproved conductor-unproved
an earth on a long lead, no earth in the box / L, N, long PE, no earth / L-long PE 231 / L-long PE 0, N-long PE 0 / proved
an unproved box / L, N, box, no earth / - / L-box 0, N-box 0 / reference-unproved conductor-unproved conductor-unproved
a box that is not earthed: 40 V before / L, N, box, no earth / L-box 40 high / L-box 0, N-box 0 / reference-unproved conductor-unproved conductor-unproved
a box that showed the supply / L, N, box, no earth / L-box 230 / L-box 0, N-box 0 / proved
a bad box beside a good earth counts for nothing and harms nothing / L, N, PE, box / L-PE 230 / L-PE 0, N-PE 0, L-box 0 / proved
80 V on a meter that loads nothing / L, N, PE / L-PE 230 / L-PE 0, N-PE 80 high, L-N 0 / ghost-perhaps pair-unproved conductor-unproved
80 V that vanish on a tester that loads / L, N, PE / L-PE 230 / L-PE 0, N-PE 80 high, N-PE 0 / proved
80 V that stay on a tester that loads / L, N, PE / L-PE 230 / L-PE 0, N-PE 80 high, N-PE 79 / volts-there conductor-unproved
ghost volts at ON, looked at again at OFF / L, N, PE at OFF ON / L-PE 230 / L-PE 0, N-PE@OFF 0, N-PE@ON 80 high / ghost-perhaps conductor-unproved
nought on the wrong dial / L, N, PE / L-PE 230 / L-PE 0 DC, N-PE 0 / wrong-dial conductor-unproved
a reference tried on the wrong dial / L, PE / L-PE 230 DC / L-PE 0 / wrong-dial reference-unproved conductor-unproved
three conductors and no neutral / L1, L2, L3, PE / L1-PE 230 / L1-PE 0, L2-PE 0, L3-PE 0 / proved
three conductors, pair by pair, one pair short / L1, L2, L3, no earth / L1-L2 400, L2-L3 400 / L1-L2 0, L2-L3 0 / proved
three conductors, one never in a pair that was seen live / L1, L2, L3, no earth / L1-L2 400 / L1-L2 0, L2-L3 0 / pair-unproved conductor-unproved
volts that are another trade’s / L, N, PE / L-PE 3300 / L-PE 0, N-PE 0, L-N 0 / high-volts
a point that is not on the list / L, PE / L-PE 230, L-X 230 / L-X 0 / conductor-unproved
the tips crossed over / L, N, PE / PE-L 230 / PE-L 0, PE-N 0 / proved
`);

const IN_SIGHT = casesOf(`
a pulled plug, pin to pin / plug-in: L, N / - / L-N 0 / proved
a pulled plug, in one position / plug-in: L, N at OFF ON / - / L-N@OFF 0 / conductor-unproved conductor-unproved
a pulled plug that holds a charge / plug-in: L, N / - / L-N 38 / volts-there conductor-unproved conductor-unproved
a pulled plug, on DC / plug-in: L, N / - / L-N 0 DC / wrong-dial conductor-unproved conductor-unproved
a pulled plug, not measured / plug-in: L, N / - / - / conductor-unproved conductor-unproved
a battery lead off / battery: +, minus / - / +-minus 0.1 DC / proved
a battery on AC sees nothing / battery: +, minus / - / +-minus 0 AC / wrong-dial conductor-unproved conductor-unproved
a second battery / battery: +, minus / - / +-minus -12.4 DC / volts-there conductor-unproved conductor-unproved
a second battery, on a meter that loads nothing: direct volts are no ghosts / battery: +, minus / - / +-minus 12.4 DC high / volts-there conductor-unproved conductor-unproved
a plug-top supply, either dial / extra-low: +, minus / - / +-minus 0 DC / proved
`);

const codes = ({ proof, supply }: Case) => proofTroubles(proof, supply).map(({ code }) => code);

describe('a proof of dead', () => {
  it.each(FIXED)('of a fixed supply: %s', (_, of) => expect(codes(of)).toEqual(of.says));
  it.each(IN_SIGHT)('with the ends in sight: %s', (_, of) => expect(codes(of)).toEqual(of.says));

  it('names the point and the positions that are open', () => {
    const [[, { proof }] = ['', null as never]] = casesOf(
      'x / L, N, PE at OFF ON / L-PE 230 / L-PE 0, N-PE@ON 0 / proved',
    );
    expect(proofTroubles(proof, 'fixed')).toEqual([
      { code: 'conductor-unproved', point: 'N', positions: ['OFF'] },
    ]);
  });

  /**
   * A box of wires at true potentials, of which some stay live after the wrong breaker was switched off: what the tester
   * then shows is worked out from the potentials, and no proof may pass while a conductor is live.
   */
  it('never passes a box in which a conductor is still live, whatever was measured', () => {
    let passed = 0;
    const wires = fc.record({
      still: fc.subarray([0, 1, 2]),
      earthed: fc.boolean(),
      measured: fc.subarray([0, 1, 2, 3, 4, 5], { minLength: 1 }),
      tried: fc.subarray([0, 1, 2, 3, 4, 5]),
    });
    fc.assert(
      fc.property(wires, ({ still, earthed, measured, tried }) => {
        // L and its switched wire at 230 V, N at nought, and a box that floats unless it is earthed.
        const names = ['L', 'switched', 'N', 'box'];
        const volts = (live: (wire: number) => boolean, wire: number) =>
          wire < 2 && live(wire) ? 230 : wire === 3 && !earthed ? null : 0;
        const pairs = [0, 1, 2, 3].flatMap((one) =>
          [1, 2, 3].filter((other) => other > one).map((other) => [one, other] as const),
        );
        const read = (live: (wire: number) => boolean, which: number[]) =>
          which.flatMap((index) => {
            const [one, other] = pairs[index] ?? [0, 1];
            const [a, b] = [volts(live, one), volts(live, other)];
            const shown = a === null || b === null ? 0 : Math.abs(a - b);
            return [reading(`${names[one]}-${names[other]} ${shown}`)];
          });
        const proof: DeadProof = {
          points: points('L, switched, N, box'),
          positions: [],
          noEarth: true,
          before: read(() => true, tried),
          after: read((wire) => still.includes(wire), measured),
        };
        const dead = proofTroubles(proof, 'fixed').length === 0;
        if (dead) passed += 1;
        // Two live wires at one potential never prove each other; a floating box proves nobody.
        expect(dead && still.some((wire) => wire < 2)).toBe(false);
      }),
      { numRuns: 2000 },
    );
    expect(passed).toBeGreaterThan(10);
  });
});

describe('what is usually measured', () => {
  it('proves each reference while it is live, then takes each conductor to it and to each other', () => {
    const wanted = usualReadings({ points: usualPoints('fixed') }, 'fixed');
    expect(wanted.map(({ when, between }) => `${when} ${between.join('-')}`)).toEqual([
      'before L-Earth',
      'after L-Earth',
      'after N-Earth',
      'after L-N',
    ]);
  });

  it.each(['fixed', 'plug-in', 'battery', 'extra-low'] as const)(
    'is enough for %s: where every reading is as it should be, dead is proved',
    (supply) => {
      const current = supply === 'battery' ? 'DC' : 'AC';
      const all = usualReadings({ points: usualPoints(supply) }, supply);
      const of = (when: string, volts: number): VoltReading[] =>
        all
          .filter((one) => one.when === when)
          .map(({ between }) => ({ between, position: null, volts, current, lowImpedance: true }));
      const proof = { points: usualPoints(supply), positions: [], noEarth: false };
      expect(proofTroubles({ ...proof, before: of('before', 230), after: of('after', 0.1) }, supply)).toEqual(
        [],
      );
      if (!endsInSight(supply))
        expect(proofTroubles({ ...proof, before: [], after: of('after', 0.1) }, supply)).not.toEqual([]);
    },
  );

  it('says what is left, whatever its sign', () => {
    expect(highestLeft({ after: readings('L-N 0.2, L-PE -38') })).toBe(38);
    expect(highestLeft({ after: [] })).toBeNull();
  });
});
