import type { SwitchMap } from '@which-way/core/continuity';
import { checkBench, checkOf, refitOf, refitStanding, type Check } from '@which-way/core/refit';
import { judge, takenCheck } from '@which-way/core/verdict';
import type { ReportSource } from './pieces.js';

/** A job as its report heads it. */
export interface ReportedJob {
  number: number;
  title: string;
  place: string;
  outOfMachine: boolean;
}

/**
 * What a report is made of, worked out of a map.
 * @param checkFor works the check before power out; whoever asks often remembers it.
 */
export function reportSource(
  job: ReportedJob,
  map: SwitchMap,
  checkFor: (bench: Parameters<typeof checkOf>[0]) => Check = checkOf,
): ReportSource {
  const refit = refitOf(map);
  const check = refit && checkFor(checkBench(refit));
  const taken = takenCheck(map, check);
  return {
    job,
    map,
    standing: refitStanding(map, job.outOfMachine, check),
    check: taken,
    judgement: judge(map, taken),
  };
}
