import { bench } from './generated.js';
import { newIdFrom, seededRandom, type LineId } from '../switch/index.js';
import { readLog, type SafetyAnswer, type SafetyLineKind, type SupplyKind } from '../log/index.js';
import {
  linesForJob,
  safetyStanding,
  standardLists,
  usualPoints,
  usualReadings,
  wantedAnswer,
} from '../safety/index.js';

/** A proof with every usual reading as it should be. */
export function goodProof(supply: SupplyKind): SafetyAnswer {
  const points = usualPoints(supply);
  const current = supply === 'battery' ? 'DC' : 'AC';
  const of = (wanted: string, volts: number) =>
    usualReadings({ points }, supply)
      .filter(({ when }) => when === wanted)
      .map(({ between }) => ({ between, position: null, volts, current, lowImpedance: true }) as const);
  return {
    kind: 'proof',
    points,
    positions: [],
    noEarth: false,
    before: of('before', 230),
    after: of('after', 0),
  };
}

export const GOOD: Record<SafetyAnswer['kind'], SafetyAnswer> = {
  done: { kind: 'done', note: '' },
  'not-applicable': { kind: 'not-applicable', reason: 'nothing of the kind' },
  proved: { kind: 'proved', tester: 'two-pole', source: 'the bench socket' },
  dead: { kind: 'dead', volts: 0.2, everyPosition: true },
  discharged: { kind: 'discharged', before: 38, after: 0.4 },
  proof: goodProof('plug-in'),
  'high-voltage': { kind: 'high-voltage', store: 'microwave' },
  'not-measured': { kind: 'not-measured' },
};

/** A job with a list of this supply begun, and ways to answer it. */
export function begun(supply: SupplyKind) {
  const on = bench(3, 2);
  const lines = linesForJob(standardLists(), supply, newIdFrom(seededRandom(5)));
  on.add({ kind: 'safety-begun', list: { supply, lines, codeNote: '' } });
  const idOf = (kind: SafetyLineKind) => lines.find((line) => line.kind === kind)?.id as LineId;
  const answer = (
    kind: SafetyLineKind,
    given: SafetyAnswer | null = kind === 'prove-dead' ? goodProof(supply) : GOOD[wantedAnswer(kind)],
  ) => on.add({ kind: 'safety-answered', line: idOf(kind), answer: given });
  const answerAll = () => lines.forEach(({ kind }) => answer(kind));
  const sign = () => on.add({ kind: 'safety-signed', by: 'Ada of the bench' });
  const codes = (now: string | null = null) =>
    safetyStanding(readLog(on.events), false, now).troubles.map(({ code }) => code);
  const standing = (now: string | null = null) => safetyStanding(readLog(on.events), false, now);
  return { on, lines, answer, answerAll, sign, codes, standing };
}
