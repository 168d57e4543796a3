import type { Cause, DiagnosisClass, DiagnosisQuestion } from '@which-way/core/verify';
import type { Structure } from '@which-way/core/switch';
import { settingName, terminalList, terminalName } from '../terminals.js';
import { causeWords } from './diagnosis.js';

/** So many causes that differ in one terminal alone are told as one. */
const FEWEST_TOGETHER = 3;

/** A cause of two terminals, or of one, as what it is and where; null of another. */
function placed(cause: Cause): { what: string; ends: readonly number[] } | null {
  switch (cause.cause) {
    case 'never-closes':
    case 'never-opens':
      return { what: cause.cause, ends: cause.contact };
    case 'closes-also':
    case 'opens-also':
      return { what: `${cause.cause} ${cause.setting}`, ends: cause.contact };
    case 'bridged':
    case 'swapped':
      return { what: cause.cause, ends: cause.terminals };
    case 'joined-at':
      return { what: `${cause.cause} ${cause.setting}`, ends: cause.terminals };
    case 'split-at':
      return { what: `${cause.cause} ${cause.setting}`, ends: [cause.terminal] };
    case 'shifted':
    case 'reversed':
    case 'mirrored':
    case 'turned':
      return null;
  }
}

/** Causes that are the same but for one terminal: the terminal they share, if any, and those of which it is any. */
interface Alike {
  first: Cause;
  shared: number | null;
  any: number[];
  /** Any two of them. */
  two: boolean;
  members: ReadonlySet<number>;
}

/**
 * What explains a class, each in a sentence without its end; three or more that differ in one terminal alone are one: 'contact from 1 to
 * any of 2, 3 and 4 never closes'.
 */
export function explanationWords(
  structure: Structure,
  question: DiagnosisQuestion,
  explanations: DiagnosisClass['explanations'],
): string[] {
  const groups = alikeAmong(explanations);
  return explanations.flatMap((causes, at) => {
    const group = groups.find(({ members }) => members.has(at));
    if (!group) return [causes.map((cause) => causeWords(structure, question, cause)).join(', and ')];
    return Math.min(...group.members) === at ? [alikeWords(structure, question, group)] : [];
  });
}

function alikeAmong(explanations: DiagnosisClass['explanations']): Alike[] {
  const single = explanations.flatMap((causes, at) => {
    const [only, ...more] = causes;
    const where = only && more.length === 0 ? placed(only) : null;
    return only && where ? [{ at, first: only, ...where }] : [];
  });
  const groups: Alike[] = [];
  const taken = new Set<number>();
  const note = (of: typeof single, group: Omit<Alike, 'first' | 'members'>) => {
    const left = of.filter(({ at }) => !taken.has(at));
    const [one] = left;
    if (!one || left.length < FEWEST_TOGETHER || left.length < of.length) return;
    for (const { at } of left) taken.add(at);
    groups.push({ ...group, first: one.first, members: new Set(left.map(({ at }) => at)) });
  };
  for (const what of new Set(single.map((one) => one.what))) {
    const theirs = single.filter((one) => one.what === what);
    const ends = [...new Set(theirs.flatMap((one) => one.ends))].toSorted((a, b) => a - b);
    const isSingle = theirs.every((one) => one.ends.length === 1);
    const everyTwo = theirs.length === (ends.length * (ends.length - 1)) / 2;
    if (isSingle || everyTwo) note(theirs, { shared: null, any: ends, two: !isSingle });
    else
      for (const shared of ends) {
        const through = theirs.filter((one) => one.ends.includes(shared));
        const any = through.flatMap((one) => one.ends.filter((end) => end !== shared));
        note(through, { shared, any: any.toSorted((a, b) => a - b), two: false });
      }
  }
  return groups;
}

function alikeWords(
  structure: Structure,
  { terminals, settings }: DiagnosisQuestion,
  { first, shared, any, two }: Alike,
): string {
  const list = terminalList(
    structure,
    any.flatMap((place) => terminals[place] ?? []),
  );
  const id = shared === null ? undefined : terminals[shared];
  const one = id ? terminalName(structure, id) : null;
  const contact = one ? `a contact from ${one} to any of ${list}` : `a contact between any two of ${list}`;
  const both = one ? `${one} and any of ${list}` : `any two of ${list}`;
  const setting = 'setting' in first ? settings[first.setting] : undefined;
  const at = setting ? settingName(structure, setting) : '?';
  switch (first.cause) {
    case 'never-closes':
      return `${contact} never closes`;
    case 'never-opens':
      return `${contact} never opens: welded, or bridged`;
    case 'closes-also':
      return `${contact} closes at ${at} too`;
    case 'opens-also':
      return `${contact} does not close at ${at}`;
    case 'bridged':
      return `${both} are bridged`;
    case 'swapped':
      return `${both} are swapped`;
    case 'joined-at':
      return `${both} are joined at ${at}`;
    default:
      return `${two ? both : `any of ${list}`} is cut off from the others at ${at}`;
  }
}
