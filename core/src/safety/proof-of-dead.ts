import type { DeadPoint, DeadProof, SupplyKind, VoltReading } from '../log/index.js';

/** Below this many volts ohms may be measured (common practice). */
export const SAFE_VOLTS = 5;

/** At this many volts and above it is another trade's work (IEC 60038: low voltage ends at 1000 V AC, 1500 V DC; from memory). */
const HIGH_VOLTS = 1000;

/**
 * What counts as 'the supply was there', in volts: for mains the lowest nominal voltage in use, 100 V, less ten per cent
 * (IEC 60038, from memory); for batteries and plug-top supplies the limit at which ohms end.
 */
const SUPPLY_VOLTS: Record<SupplyKind, number> = {
  'plug-in': 90,
  fixed: 90,
  battery: SAFE_VOLTS,
  'extra-low': SAFE_VOLTS,
};

/** The dial that sees such a supply; null: either may be. */
const SEEN_ON: Record<SupplyKind, VoltReading['current'] | null> = {
  'plug-in': 'AC',
  fixed: 'AC',
  battery: 'DC',
  'extra-low': null,
};

/**
 * Whether what was cut off lies in sight: a pulled plug, a lead off its post. There the two ends of the supply are in the
 * hand, and nought between them says that nothing is stored; a breaker elsewhere may be the wrong one.
 */
export const endsInSight = (supply: SupplyKind): boolean => supply !== 'fixed';

/** The points from which a proof begins: what such a supply usually has. */
export function usualPoints(supply: SupplyKind): DeadPoint[] {
  const conductors = (...names: string[]): DeadPoint[] => names.map((name) => ({ name, is: 'conductor' }));
  if (supply === 'fixed') return [...conductors('L', 'N'), { name: 'Earth', is: 'earth' }];
  return supply === 'plug-in' ? conductors('L', 'N') : conductors('+', '−');
}

/** What is wrong with a proof of dead, or missing from it. */
export type ProofTrouble =
  /** Volts that are really there. */
  | { code: 'volts-there'; between: readonly string[]; volts: number; position: string | null }
  /** Volts on a tester that loads nothing: they may be ghost volts, which this tester cannot tell. */
  | { code: 'ghost-perhaps'; between: readonly string[]; volts: number }
  | { code: 'high-volts'; volts: number }
  /** Read on the dial that does not see this supply. */
  | { code: 'wrong-dial'; between: readonly string[]; wanted: VoltReading['current'] }
  /** Nought against this point counts for nothing: it never showed the supply. */
  | { code: 'reference-unproved'; point: string; is: DeadPoint['is'] }
  /** A pair that never showed the supply in these positions: nought between two live wires of one line. */
  | { code: 'pair-unproved'; between: readonly string[]; positions: readonly string[] }
  | { code: 'conductor-unproved'; point: string; positions: readonly string[] }
  | { code: 'earth-not-said' }
  | { code: 'no-conductor' };

/** A position without a name: the handle has one position that nobody named. */
const ANY = '';

/**
 * What is wrong with a proof of dead; nothing: every conductor is proved dead in every position.
 *
 * A conductor is dead in a position when it reads below 5 V there against a *proved reference* (earth, an earth or a neutral
 * on a long lead, a box: one that showed the supply against a live conductor before isolation), or against another
 * conductor where just that pair showed the supply with the handle there. Two live wires of one line read nought between
 * them, so no other pair says anything. Where the ends of the supply are in sight the pair need not have been seen
 * live. (Common practice of safe isolation.)
 * @example proofTroubles({ points: usualPoints('fixed'), positions: [], noEarth: false, before: [], after: [] }, 'fixed')
 */
export function proofTroubles(proof: DeadProof, supply: SupplyKind): ProofTrouble[] {
  const conductors = proof.points.filter(({ is }) => is === 'conductor');
  if (conductors.length === 0) return [{ code: 'no-conductor' }];
  const judged = new Judged(proof, supply);
  const found = [...judged.dials(), ...judged.volts()];
  const unproved = conductors.flatMap(({ name }): ProofTrouble[] => {
    const positions = judged.positions.filter((position) => !judged.dead(name, position));
    return positions.length === 0
      ? []
      : [{ code: 'conductor-unproved', point: name, positions: named(positions) }];
  });
  const said = endsInSight(supply) || proof.noEarth || proof.points.some(({ is }) => is !== 'conductor');
  return [
    ...found,
    ...(said ? [] : [{ code: 'earth-not-said' as const }]),
    ...(unproved.length > 0 ? judged.forNothing() : []),
    ...unproved,
  ];
}

const named = (positions: readonly string[]): string[] => positions.filter((position) => position !== ANY);

/** The readings of one proof, and what they say. */
class Judged {
  readonly positions: readonly string[];
  private readonly kindOf: ReadonlyMap<string, DeadPoint['is']>;
  private readonly after: VoltReading[];
  private readonly before: VoltReading[];

  constructor(
    private readonly proof: DeadProof,
    private readonly supply: SupplyKind,
  ) {
    this.positions = proof.positions.length > 0 ? proof.positions : [ANY];
    this.kindOf = new Map(proof.points.map(({ name, is }) => [name, is]));
    const known = ({ between }: VoltReading) => between.every((name) => this.kindOf.has(name));
    this.before = proof.before.filter(known);
    this.after = proof.after.filter(known);
  }

  /** The wrong dial sees nothing, and says nothing. */
  dials(): ProofTrouble[] {
    const wanted = SEEN_ON[this.supply];
    if (wanted === null) return [];
    return [...this.before, ...this.after]
      .filter(({ current }) => current !== wanted)
      .map(({ between }) => ({ code: 'wrong-dial', between, wanted }));
  }

  volts(): ProofTrouble[] {
    const highest = Math.max(0, ...[...this.before, ...this.after].map(({ volts }) => Math.abs(volts)));
    const found = this.after.filter((reading) => isLive(reading) && !this.isReadAgain(reading));
    return [
      ...(highest >= HIGH_VOLTS ? [{ code: 'high-volts' as const, volts: highest }] : []),
      ...found.map(({ between, volts, position, lowImpedance, current }): ProofTrouble =>
        // Ghost volts come over from wires alongside: they alternate.
        lowImpedance || current === 'DC'
          ? { code: 'volts-there', between, volts, position }
          : { code: 'ghost-perhaps', between, volts },
      ),
    ];
  }

  /** Whether a conductor is proved dead with the handle there. */
  dead(conductor: string, position: string): boolean {
    return this.after.some((reading) => {
      if (!reading.between.includes(conductor) || isLive(reading) || !this.fits(reading)) return false;
      if (!coversPosition(reading, position)) return false;
      const other = reading.between.find((name) => name !== conductor);
      return other !== undefined && this.counts(reading, other, position);
    });
  }

  /** Readings that were made and say nothing, and why. */
  forNothing(): ProofTrouble[] {
    const nought = this.after.filter((reading) => !isLive(reading) && this.fits(reading));
    const references = new Set(
      nought.flatMap(({ between }) => between.filter((name) => this.isReference(name))),
    );
    const pairs = nought.filter(({ between }) => !between.some((name) => this.isReference(name)));
    return [
      ...[...references]
        .filter((name) => !this.isProved(name))
        .map((point): ProofTrouble => ({
          code: 'reference-unproved',
          point,
          is: this.kindOf.get(point) ?? 'box',
        })),
      ...pairs.flatMap((reading): ProofTrouble[] => {
        const positions = this.positions.filter(
          (position) => coversPosition(reading, position) && !this.pairShowed(reading, position),
        );
        return positions.length === 0 || endsInSight(this.supply)
          ? []
          : [{ code: 'pair-unproved', between: reading.between, positions: named(positions) }];
      }),
    ];
  }

  private counts(reading: VoltReading, other: string, position: string): boolean {
    if (this.isReference(other)) return this.isProved(other);
    return endsInSight(this.supply) || this.pairShowed(reading, position);
  }

  private isReference(name: string): boolean {
    return this.kindOf.get(name) !== 'conductor';
  }

  /** It showed the supply against a conductor before isolation, in whichever position. */
  private isProved(reference: string): boolean {
    return this.before.some(
      (reading) =>
        reading.between.includes(reference) &&
        reading.between.some((name) => name !== reference && !this.isReference(name)) &&
        this.showed(reading),
    );
  }

  private pairShowed({ between }: VoltReading, position: string): boolean {
    return this.before.some(
      (reading) =>
        samePair(reading.between, between) && coversPosition(reading, position) && this.showed(reading),
    );
  }

  private showed(reading: VoltReading): boolean {
    return Math.abs(reading.volts) >= SUPPLY_VOLTS[this.supply] && this.fits(reading);
  }

  private fits({ current }: VoltReading): boolean {
    const wanted = SEEN_ON[this.supply];
    return wanted === null || wanted === current;
  }

  /** Read on a tester that loads nothing, and again on one that does, at the same place: the second one counts. */
  private isReadAgain(reading: VoltReading): boolean {
    return (
      !reading.lowImpedance &&
      this.after.some(
        (again) =>
          again.lowImpedance &&
          again.current === reading.current &&
          samePair(again.between, reading.between) &&
          (again.position === null || again.position === reading.position),
      )
    );
  }
}

const isLive = ({ volts }: VoltReading): boolean => Math.abs(volts) >= SAFE_VOLTS;

const coversPosition = (reading: VoltReading, position: string): boolean =>
  reading.position === null || reading.position === position;

const samePair = (pair: readonly string[], other: readonly string[]): boolean =>
  pair.every((name) => other.includes(name));

/** A reading that a proof still wants: between which points, before isolation or after it. */
export interface WantedReading {
  when: 'before' | 'after';
  between: [string, string];
}

/**
 * The readings that a proof is usually made of, in the order of the hands: each reference against the first conductor
 * while it is live, or the conductors against each other where there is no reference; after isolation each conductor to
 * each reference, and to each other.
 */
export function usualReadings({ points }: Pick<DeadProof, 'points'>, supply: SupplyKind): WantedReading[] {
  const conductors = points.filter(({ is }) => is === 'conductor').map(({ name }) => name);
  const references = points.filter(({ is }) => is !== 'conductor').map(({ name }) => name);
  const pairs = conductors.flatMap((one, place) =>
    conductors.slice(place + 1).map((other): [string, string] => [one, other]),
  );
  const toReferences = conductors.flatMap((one) => references.map((point): [string, string] => [one, point]));
  const [first] = conductors;
  const live =
    first && references.length > 0 ? references.map((point): [string, string] => [first, point]) : pairs;
  return [
    ...(endsInSight(supply) ? [] : live).map((between) => ({ when: 'before' as const, between })),
    ...[...toReferences, ...pairs].map((between) => ({ when: 'after' as const, between })),
  ];
}

/** The highest volts found after isolation, for what is stored. */
export const highestLeft = ({ after }: Pick<DeadProof, 'after'>): number | null =>
  after.length === 0 ? null : Math.max(...after.map(({ volts }) => Math.abs(volts)));
