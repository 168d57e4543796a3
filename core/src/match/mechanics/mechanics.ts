import { MECHANICS, type MechanicsFact, type MechanicsField } from '../../log/index.js';
import type { PartFacts } from '../../switch/index.js';
import { protects } from '../differ/protection.js';
import { plainLengths } from './length.js';

/** How a part can be made to fit, or what has to be measured for it. */
export type Adapting =
  | 'slot-the-holes'
  | 'reduce-the-hole'
  | 'open-the-hole'
  | 'another-knob'
  | 'sleeve-the-shaft'
  | 'cut-the-shaft'
  | 'new-wire-ends'
  | 'room-behind';

/** What comes out for one thing that must fit. `unknown`: one side is not known, or words alone cannot be compared. */
export interface MechanicsAnswer {
  field: MechanicsField;
  kind: 'fits' | 'can-be-adapted' | 'does-not' | 'unknown';
  how: Adapting | null;
  /** What is known of the old one, and what is stated of the part; empty where nobody has said. */
  old: string;
  fresh: string;
}

/** What is within this of a length counts as that length, in millimetres: a rule's and a caliper's reading by hand. */
const SAME_MM = 0.3;
/** A hole is opened or reduced by so much at most, holes are slotted and a shaft sleeved by so much (common practice). */
const MOST = { hole: 4, slot: 2, sleeve: 2 } as const;

type Verdict = Pick<MechanicsAnswer, 'kind' | 'how'>;
const fits: Verdict = { kind: 'fits', how: null };
const unknown: Verdict = { kind: 'unknown', how: null };
const not: Verdict = { kind: 'does-not', how: null };
const adapted = (how: Adapting): Verdict => ({ kind: 'can-be-adapted', how });

/** Each thing that must fit, against what is stated of a part. What is known of neither side, or of one, is never a pass. */
export function mechanicsAnswers(
  facts: ReadonlyMap<MechanicsField, MechanicsFact>,
  part: PartFacts,
): MechanicsAnswer[] {
  return MECHANICS.map((field) => {
    const fact = facts.get(field);
    const old = fact && fact.how !== 'unknown' ? fact.value : '';
    const fresh = statedOf(field, part);
    const verdict = old === '' || fresh === '' ? unknown : compared(field, old, fresh);
    return { field, old, fresh, ...verdict };
  });
}

const MILLIMETRES = {
  'bolt-spacing': 'boltSpacing',
  bushing: 'bushing',
  'shaft-diameter': 'shaftDiameter',
  'shaft-length': 'shaftLength',
  depth: 'depth',
} as const;
const TEXTS = {
  mounting: 'mounting',
  'cut-out': 'cutOut',
  connector: 'connector',
  terminations: 'terminations',
  environment: 'protection',
} as const;

function statedOf(field: MechanicsField, part: PartFacts): string {
  if (field in MILLIMETRES) {
    const length = part[MILLIMETRES[field as keyof typeof MILLIMETRES]];
    return length === undefined ? '' : `${length} mm`;
  }
  return part[TEXTS[field as keyof typeof TEXTS]] ?? '';
}

/** A wording without its signs; the point and the stroke of a figure stay: 1/2 and 1.2 are two sizes. */
const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/(?<=\d),(?=\d)/gu, '.')
    .replace(/[^\p{L}\p{N}./]+|(?<!\d)[./]|[./](?!\d)/gu, ' ')
    .replace(/ +/gu, ' ')
    .trim();

function compared(field: MechanicsField, old: string, fresh: string): Verdict {
  if (field === 'cut-out' && /\d/.test(old + fresh)) return byCutOut(plainLengths(old), plainLengths(fresh));
  if (field in MILLIMETRES)
    return byLength(field as keyof typeof MILLIMETRES, plainLengths(old), plainLengths(fresh));
  if (plain(old) === plain(fresh)) return fits;
  if (field === 'environment') return byProtection(old, fresh);
  // Other terminals: the wires get other ends.
  if (field === 'terminations' || field === 'connector') return adapted('new-wire-ends');
  // Two wordings may mean the same: words are not judged.
  return unknown;
}

function byProtection(old: string, fresh: string): Verdict {
  const answer = protects(fresh, old);
  return answer === null ? unknown : answer ? fits : not;
}

/** One length each; more of them must be the same one, as in '22 mm, or 7/8 in'. */
function byLength(
  field: keyof typeof MILLIMETRES,
  old: readonly number[],
  fresh: readonly number[],
): Verdict {
  const [was, is] = [old[0], fresh[0]];
  if (was === undefined || is === undefined) return unknown;
  const isOne = (lengths: readonly number[]) => Math.max(...lengths) - Math.min(...lengths) <= SAME_MM;
  return isOne(old) && isOne(fresh) ? byMore(field, is - was) : unknown;
}

function byMore(field: keyof typeof MILLIMETRES, more: number): Verdict {
  if (Math.abs(more) <= SAME_MM) return fits;
  switch (field) {
    case 'bolt-spacing':
      return Math.abs(more) <= MOST.slot ? adapted('slot-the-holes') : not;
    case 'bushing':
      if (more < 0) return -more <= MOST.hole ? adapted('reduce-the-hole') : not;
      return more <= MOST.hole ? adapted('open-the-hole') : not;
    case 'shaft-diameter':
      return more < 0 && -more <= MOST.sleeve ? adapted('sleeve-the-shaft') : adapted('another-knob');
    case 'shaft-length':
      return more > 0 ? adapted('cut-the-shaft') : not;
    case 'depth':
      // The room behind may be more than the old one took: only less depth is known to fit.
      return more < 0 ? fits : { kind: 'unknown', how: 'room-behind' };
  }
}

/** A cut-out of one or two sides: every side the same, or the hole opened. */
function byCutOut(old: readonly number[], fresh: readonly number[]): Verdict {
  if (old.length === 0 || old.length !== fresh.length) return unknown;
  const more = fresh.map((side, at) => side - (old[at] as number));
  if (more.every((one) => Math.abs(one) <= SAME_MM)) return fits;
  if (more.some((one) => one < -SAME_MM))
    return more.every((one) => -one <= MOST.hole) ? adapted('reduce-the-hole') : not;
  return more.every((one) => one <= MOST.hole) ? adapted('open-the-hole') : not;
}
