import { usualPoints } from '@which-way/core/safety';
import { positionNames } from '../../parts/safety/handle-positions.js';
import type { DeadProof, SafetyAnswer, SafetyLine, SafetyList, VoltReading } from '@which-way/core/log';
import { useJobState, useSession } from '../../job/job-context.js';

/** The proof of dead as it stands so far, and how it grows: each reading is kept as soon as it is typed. */
export interface ProofDesk {
  line: SafetyLine;
  list: SafetyList;
  proof: DeadProof;
  change: (change: Partial<DeadProof>) => void;
  /** Takes a reading in the place of an earlier one between the same points, in the same position, by the same sort of tester. */
  read: (when: 'before' | 'after', reading: VoltReading) => void;
}

/** The desk of a list's proof of dead; null where the list has no such line. */
export function useProof(list: SafetyList | null, answer: SafetyAnswer | null): ProofDesk | null {
  const session = useSession();
  const structure = useJobState(({ map }) => map.structure);
  const line = list?.lines.find(({ kind }) => kind === 'prove-dead');
  if (!list || !line) return null;
  const proof: DeadProof =
    answer?.kind === 'proof'
      ? answer
      : {
          points: usualPoints(list.supply),
          positions: positionNames(structure),
          noEarth: false,
          before: [],
          after: [],
        };
  const change = (changed: Partial<DeadProof>) =>
    session.emit({
      kind: 'safety-answered',
      line: line.id,
      answer: { kind: 'proof', ...plain(proof), ...changed },
    });
  return {
    line,
    list,
    proof,
    change,
    read: (when, reading) => change({ [when]: withReading(proof[when], reading) }),
  };
}

const plain = ({ points, positions, noEarth, before, after }: DeadProof): DeadProof => ({
  points,
  positions,
  noEarth,
  before,
  after,
});

/** Readings with one more; the same place read again takes the older one's place. */
function withReading(readings: readonly VoltReading[], reading: VoltReading): VoltReading[] {
  const same = (one: VoltReading) =>
    one.between.every((name) => reading.between.includes(name)) &&
    one.position === reading.position &&
    one.lowImpedance === reading.lowImpedance;
  return [...readings.filter((one) => !same(one)), reading];
}
