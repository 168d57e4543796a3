import type { SwitchMap } from '../continuity/index.js';
import { liveEvents, WHOLES, type DeedKind, type JobEvent, type SignedVerdict } from '../log/index.js';
import { fnv1a } from '../verify/index.js';
import { judge } from './judge.js';
import type { Judgement } from './judgement.js';

/** The version of what works a verdict out: counted up when a rule changes. */
const ENGINE_VERSION = '3';

/** Kinds that change nothing about a verdict. */
const BESIDE: ReadonlySet<DeedKind> = new Set([
  'verdict-signed',
  'prompt-shown',
  'skipped',
  'noted',
  'photo-taken',
  'put-beside',
  'supply-named',
  'tried-in-place',
  'refit-begun',
  'line-ticked',
  'check-read',
  'power-recorded',
  'jumper-tested',
  'function-tried',
  'function-asked',
  'residual-noted',
  'refit-noted',
  'refit-signed',
  'report-shaped',
  'machine-probed',
  'wire-laid',
]);

/** A hash of the ids of the live events that a verdict rests on, in their order. */
function evidenceHash({ log }: SwitchMap): string {
  const counts = ({ id, what }: JobEvent) => !log.withdrawn.has(id) && !BESIDE.has(what.kind);
  return fnv1a(
    log.ordered
      .filter(counts)
      .map(({ id }) => id)
      .join('\n'),
  );
}

/** The verdict in sentences, as whoever signed it saw it. */
export type ShownVerdict = NonNullable<SignedVerdict['shown']>;

/** The verdict of now as it is signed: in codes, and in the sentences that were shown. */
export function signable(
  map: SwitchMap,
  by: string,
  note: string,
  shown: ShownVerdict,
  { lines: { pattern, contacts, insulation, mechanics }, whole }: Judgement = judge(map),
): SignedVerdict {
  return {
    by,
    note,
    pattern: pattern.outcome,
    contacts: contacts.outcome,
    insulation: insulation.outcome,
    mechanics: mechanics.outcome,
    whole,
    evidence: evidenceHash(map),
    engine: ENGINE_VERSION,
    shown,
  };
}

/** What was signed last, and how it stands to what is derived now. */
export interface SignatureStanding {
  signed: SignedVerdict;
  at: string;
  /** `reopened`: something was read or changed since; `differs`: the same evidence is worth something else by now. */
  standing: 'stands' | 'reopened' | 'differs';
}

/** Signatures of before say the whole in other words: then only their lines are compared. */
const isWhole = (whole: string): boolean => WHOLES.some((one) => one === whole);

/** The last signature beside the verdict of now; never over it. */
export function signatureOf(map: SwitchMap, now: Judgement = judge(map)): SignatureStanding | null {
  const last = liveEvents(map.log, 'verdict-signed').at(-1);
  if (!last) return null;
  const signed = last.what.verdict;
  const same = (['pattern', 'contacts', 'insulation', 'mechanics'] as const).every(
    (line) => now.lines[line].outcome === signed[line],
  );
  const standing =
    signed.evidence !== evidenceHash(map)
      ? 'reopened'
      : same && (now.whole === signed.whole || !isWhole(signed.whole))
        ? 'stands'
        : 'differs';
  return { signed, at: last.at, standing };
}
