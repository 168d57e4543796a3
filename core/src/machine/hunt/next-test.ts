import { candidateTests, type Test } from './candidate-tests.js';
import type { HuntEvidence } from './evidence.js';
import type { FaultModel } from './fault-model.js';
import { chancesOf, OutcomeTable, type Chances } from './outcomes.js';
import type { RankedFault } from './rank.js';

/** What to do next, with the bits that it tells. */
export type NextTest = Test & { bits: number };

/**
 * What a question costs besides its seconds, to choose by and not measured: hunts are given up for too many questions. With more of it
 * there are a few questions less, and a look, which needs neither tools nor a dead machine, comes after probes that tell more.
 */
const QUESTION_SECONDS = 30;
/** Once one fault is this likely nothing more is asked. */
export const SURE = 0.99;
/** Less than this is no news. */
const LEAST_BITS = 0.02;
/** Faults less likely than this are not asked about any more. */
const LEAST_CHANCE = 1e-4;

/** What tells most of what is still open in the least time; null where nothing tells anything, or it is sure. */
export function nextTest(
  model: FaultModel,
  ranked: readonly RankedFault[],
  evidence: HuntEvidence,
): NextTest | null {
  if ((ranked[0]?.chance ?? 1) >= SURE) return null;
  const open = ranked.filter(({ chance }) => chance > LEAST_CHANCE);
  const candidates = candidateTests(model, evidence);
  const chances = chancesOf(open);
  const told = cheapestOfEach(
    candidates
      .map(({ test, outcomes }) => toldBy(test, new OutcomeTable(open, outcomes), chances))
      .filter(({ bits }) => bits > LEAST_BITS),
  ).toSorted((one, other) => worth(other) - worth(one));
  const best = candidates.length > MOST_AHEAD ? told[0] : bestAhead(told, chances);
  return best ? { ...best.test, bits: best.bits } : null;
}

/** A test with what it finds, and the bits that it tells. */
interface Told {
  test: Test;
  table: OutcomeTable;
  bits: number;
}

const toldBy = (test: Test, table: OutcomeTable, chances: Chances): Told => ({
  test,
  table,
  bits: table.bits(chances),
});

/** Of tests that tell the same, the quickest. */
function cheapestOfEach(told: readonly Told[]): Told[] {
  const kept = new Map<string, Told>();
  for (const one of told) {
    const before = kept.get(one.table.key);
    if (!before || one.test.seconds < before.test.seconds) kept.set(one.table.key, one);
  }
  return [...kept.values()];
}

const worth = ({ bits, test }: Pick<Told, 'bits' | 'test'>): number =>
  bits / (test.seconds + QUESTION_SECONDS);

/** So many are looked at for what the one after them would tell. */
const LOOKED_AT = 24;
/** With more tests than this to choose from nobody looks ahead. */
const MOST_AHEAD = 2000;

/** The test that tells most together with the one that would come after it, by what it finds. */
function bestAhead(told: readonly Told[], chances: Chances): Told | undefined {
  let [best, most]: [Told | undefined, number] = [told[0], 0];
  for (const first of told.slice(0, LOOKED_AT)) {
    let [bits, seconds] = [first.bits, first.test.seconds + QUESTION_SECONDS];
    for (const { share, left } of first.table.split(chances)) {
      if (Math.max(...left.cells) >= SURE) continue;
      const second = bestOf(told, left);
      if (!second) continue;
      bits += share * second.bits;
      seconds += share * (second.test.seconds + QUESTION_SECONDS);
    }
    if (bits / seconds > most) [best, most] = [first, bits / seconds];
  }
  return best;
}

function bestOf(told: readonly Told[], chances: Chances): Pick<Told, 'bits' | 'test'> | null {
  let best: Pick<Told, 'bits' | 'test'> | null = null;
  for (const { test, table } of told) {
    const one = { test, bits: table.bits(chances) };
    if (one.bits > LEAST_BITS && worth(one) > (best ? worth(best) : 0)) best = one;
  }
  return best;
}
