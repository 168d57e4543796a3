import type { SwitchMap } from '../continuity/index.js';
import { liveEvents, type DeedKind, type JobEvent, type SignedVerdict } from '../log/index.js';
import { verdictOf, type Verdict } from './verdict.js';

/** The version of what works a verdict out: counted up when a rule changes. */
const ENGINE_VERSION = '2';

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

/** FNV-1a, 64 bits (offset basis and prime as published by Fowler, Noll and Vo), as 16 hexadecimal figures. */
export function fnv1a(text: string): string {
  let hash = 0xcbf29ce484222325n;
  for (let at = 0; at < text.length; at += 1) {
    hash ^= BigInt(text.charCodeAt(at) & 0xff);
    hash = (hash * 0x100000001b3n) & 0xffffffffffffffffn;
  }
  return hash.toString(16).padStart(16, '0');
}

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

/** The verdict of now as it is signed. */
export function signable(map: SwitchMap, by: string, note: string): SignedVerdict {
  const { pattern, contacts, insulation, mechanics, whole } = verdictOf(map);
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
  };
}

/** What was signed last, and how it stands to what is derived now. */
export interface SignatureStanding {
  signed: SignedVerdict;
  at: string;
  /** `reopened`: something was read or changed since; `differs`: the same evidence is worth something else by now. */
  standing: 'stands' | 'reopened' | 'differs';
}

/** The last signature beside the verdict of now; never over it. */
export function signatureOf(map: SwitchMap, now: Verdict = verdictOf(map)): SignatureStanding | null {
  const last = liveEvents(map.log, 'verdict-signed').at(-1);
  if (!last) return null;
  const signed = last.what.verdict;
  const same = (['pattern', 'contacts', 'insulation', 'mechanics'] as const).every(
    (line) => now[line].outcome === signed[line],
  );
  const standing =
    signed.evidence !== evidenceHash(map)
      ? 'reopened'
      : same && now.whole === signed.whole
        ? 'stands'
        : 'differs';
  return { signed, at: last.at, standing };
}
