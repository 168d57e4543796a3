import { supplyOf } from '../safety/index.js';
import type { SwitchMap } from '../continuity/index.js';
import { type JobEvent, recordsOf, refitSignedOf, type SignedRefit } from '../log/index.js';
import { fnv1a } from '../verify/index.js';
import { isWithin, wantedBeforePower, type WantedRecord } from './before-power.js';
import {
  likelyMistakes,
  splittingReading,
  type Check,
  type CheckDone,
  type CheckReading,
} from './check/check.js';
import { functionChecks, type FunctionCheck } from './function-test.js';
import { keptReadings } from './kept-readings.js';
import { checkBench, joinedWith, type Mistake } from './check/mistakes.js';
import { isBlind } from './blind-spots.js';
import type { Refit } from './refit.js';
import { transferCard, type TransferCard } from './transfer.js';

export type TransferStanding = SignedRefit['transfer'];

/** The check before power with what was read. */
export interface CheckStanding {
  /** Those of the check first, then what was read besides. */
  done: CheckDone[];
  left: CheckReading[];
  /** null: nothing that was read is wrong. */
  likely: Mistake[] | null;
  /** Of a failed check: what tells the likely mistakes apart best; null: nothing does, or nothing is wrong. */
  splits: CheckReading | null;
  standing: TransferStanding;
}

/** How far the check is. */
export function checkStanding(map: SwitchMap, refit: Refit, check: Check): CheckStanding {
  const bench = checkBench(refit);
  const nets = refit.positions.map((_, position) => joinedWith(bench, position, null));
  const placed = ({ position, a, b }: Pick<CheckReading, 'position' | 'a' | 'b'>) => [position, a, b].join();
  const kept = new Map(
    keptReadings(map, refit).flatMap((one): [string, CheckDone][] => {
      const right = nets[one.position];
      return right ? [[placed(one), { ...one, joins: right[one.a] === right[one.b] }]] : [];
    }),
  );
  const asked = check.readings.flatMap((one) => kept.get(placed(one)) ?? []);
  const done = [...asked, ...[...kept.values()].filter((one) => !asked.includes(one))];
  const left = check.readings.filter((one) => !kept.has(placed(one)));
  const likely = likelyMistakes(bench, done);
  const standing =
    likely !== null
      ? 'failed'
      : left.length > 0 || isBlind(refit)
        ? 'not-done'
        : check.readings.length === 0
          ? 'nothing-to-do'
          : 'done';
  return { done, left, likely, splits: likely && splittingReading(bench, likely), standing };
}

/** How putting it back stands as a whole. */
export interface RefitStanding {
  card: TransferCard;
  transfer: TransferStanding;
  check: TransferStanding;
  measured: TransferStanding;
  function: TransferStanding;
  wanted: WantedRecord[];
  functions: FunctionCheck[];
}

/**
 * How far all is. The check itself is handed in, since it is worked out beside the screen.
 * @param check null: not worked out yet, or there is nothing to check
 */
export function refitStanding(map: SwitchMap, outOfMachine: boolean, check: Check | null): RefitStanding {
  const card = transferCard(map);
  const wanted = wantedBeforePower(map, card.refit, supplyOf(map.log));
  const functions = functionChecks(map);
  const bad = wanted.some((one) => one.record && isWithin(one, one.record) === false);
  const results = functions.map(({ tried }) => tried?.result ?? 'not-tried');
  return {
    card,
    wanted,
    functions,
    transfer: card.lines.length === 0 ? 'nothing-to-do' : card.left > 0 ? 'not-done' : 'done',
    check:
      card.refit === null
        ? 'nothing-to-do'
        : check === null
          ? 'not-done'
          : checkStanding(map, card.refit, check).standing,
    measured: bad
      ? 'failed'
      : wanted.length === 0
        ? 'nothing-to-do'
        : wanted.some(({ record }) => !record)
          ? 'not-done'
          : 'done',
    function: results.includes('fails')
      ? 'failed'
      : results.length === 0
        ? 'nothing-to-do'
        : results.includes('not-tried')
          ? 'not-done'
          : 'done',
  };
}

/** A hash of the ids of all live events but sign-offs: what a sign-off of putting it back rests on. */
function refitEvidence({ log }: Pick<SwitchMap, 'log'>): string {
  const counts = ({ id, what }: JobEvent) =>
    !log.withdrawn.has(id) &&
    what.kind !== 'refit-signed' &&
    what.kind !== 'report-shaped' &&
    what.kind !== 'photo-taken';
  return fnv1a(
    log.ordered
      .filter(counts)
      .map(({ id }) => id)
      .join('\n'),
  );
}

/** How it stands, as somebody signs it. */
export function signableRefit(
  map: SwitchMap,
  { transfer, check, measured, function: functional }: RefitStanding,
  by: string,
  notTested: string[],
): SignedRefit {
  return {
    by,
    transfer,
    check,
    measured,
    function: functional,
    notTested,
    residual: recordsOf(map.log, 'residual-noted').map(({ text, reason }) => `${text}: ${reason}`),
    evidence: refitEvidence(map),
  };
}

/** The last sign-off, and whether something was read or changed since. */
export function signedRefitOf(map: SwitchMap): { signed: SignedRefit; at: string; stands: boolean } | null {
  const last = refitSignedOf(map.log);
  return last ? { ...last, stands: last.signed.evidence === refitEvidence(map) } : null;
}

/** Whether nothing had failed or was left undone when it was signed. */
export const isWholeSignature = ({ transfer, check, measured, function: functional }: SignedRefit): boolean =>
  [transfer, check, measured, functional].every((one) => one === 'done' || one === 'nothing-to-do');
