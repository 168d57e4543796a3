import type { LinkKind, Symptom } from '../log/index.js';

/** What is tried first for a complaint. */
export type FirstTest =
  | 'whole-at-the-plug'
  | 'flex-while-measuring'
  | 'work-the-handle'
  | 'off-must-be-open'
  | 'leak-to-frame'
  | 'ohms-under-load'
  | 'leads-of-the-motor'
  | 'look-inside'
  | 'brake-contact';

/** What Verify must show at the end for a complaint. */
export type MustShow =
  | 'every-contact-closes'
  | 'repeats'
  | 'opens-at-off'
  | 'no-leak'
  | 'low-resistance'
  | 'direction'
  | 'mechanics'
  | 'brake-closes-at-rest';

interface Steering {
  first: readonly FirstTest[];
  show: readonly MustShow[];
  /** Suspicion against a kind of link, as a factor of what is usual. */
  suspects: Partial<Record<LinkKind, number>>;
  /** How owners say it. */
  said: RegExp;
}

/** Common practice, from memory; it steers the order of the work, and never a verdict. */
const STEERING: Record<Symptom, Steering> = {
  dead: {
    first: ['whole-at-the-plug'],
    show: ['every-contact-closes'],
    suspects: { fuse: 1.5, plug: 1.2 },
    said: /\b(dead|nothing happens|does nothing|no life|won.?t (start|turn on|come on)|not start)/i,
  },
  sometimes: {
    first: ['flex-while-measuring', 'work-the-handle'],
    show: ['every-contact-closes', 'repeats'],
    suspects: { cord: 2, terminals: 2, brushes: 1.5, switch: 1.5, fuse: 0.2 },
    said: /\b(sometimes|now and then|on and off|intermittent|cuts? out|flickers?|wiggl)/i,
  },
  'never-off': {
    first: ['off-must-be-open', 'leak-to-frame'],
    show: ['opens-at-off', 'no-leak'],
    suspects: { switch: 6, electronics: 2, cord: 0.2, fuse: 0.1, plug: 0.2 },
    said: /\b(never off|won.?t (go|switch|turn) off|always on|keeps (running|going)|stays on|doesn.?t stop)/i,
  },
  weak: {
    first: ['ohms-under-load'],
    show: ['low-resistance'],
    suspects: { brushes: 3, terminals: 1.5, switch: 1.5, electronics: 1.5, fuse: 0.1 },
    said: /\b(weak|slow|dim|no power|half power|lukewarm|not (hot|warm) enough)/i,
  },
  'wrong-way': {
    first: ['leads-of-the-motor'],
    show: ['direction'],
    suspects: { switch: 5, motor: 1.5, fuse: 0.05, plug: 0.2, cord: 0.2 },
    said: /\b(wrong way|backwards?|wrong direction|reversed?)\b/i,
  },
  jams: {
    first: ['look-inside'],
    show: ['mechanics'],
    suspects: { switch: 4, motor: 1.5 },
    said: /\b(jams?|jammed|stuck|sticks|hard to (turn|move)|won.?t move)/i,
  },
  'brake-lost': {
    first: ['brake-contact', 'look-inside'],
    show: ['brake-closes-at-rest', 'mechanics'],
    suspects: { switch: 5, brushes: 2, fuse: 0.05 },
    said: /\b(runs? on|coasts?|brake|takes (long|ages) to stop|no longer stops)/i,
  },
};

const each = <What>(symptoms: readonly Symptom[], of: (steering: Steering) => readonly What[]): What[] => [
  ...new Set(symptoms.flatMap((symptom) => of(STEERING[symptom]))),
];

/** What is tried first, each once, in the order of the complaints. */
export const firstTestsOf = (symptoms: readonly Symptom[]): FirstTest[] =>
  each(symptoms, ({ first }) => first);

/** What has to be shown at the end, each once. */
export const mustShow = (symptoms: readonly Symptom[]): MustShow[] => each(symptoms, ({ show }) => show);

/** How a kind of link stands suspected beside what is usual: 1 where no complaint says otherwise. */
export const steeredBy = (symptoms: readonly Symptom[], kind: LinkKind): number =>
  symptoms.reduce((factor, symptom) => factor * (STEERING[symptom].suspects[kind] ?? 1), 1);

/**
 * What kind of complaint the owner's words sound like: offered, never taken by itself.
 * @example guessedSymptoms('It cuts out when I move the cord') // ['sometimes']
 */
export const guessedSymptoms = (text: string): Symptom[] =>
  (Object.keys(STEERING) as Symptom[]).filter((symptom) => STEERING[symptom].said.test(text));
