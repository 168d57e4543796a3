import type { Partition, Pattern } from '../../partition/index.js';
import type { Contact } from '../../table/index.js';
import { editCounter, type KnownCells, type SettingAt } from './edits.js';
import { contactsWith, settingWithCause, type Cause } from './cause.js';
import {
  contactCauses,
  contactSets,
  contactsOf,
  oddCauses,
  singleCauses,
  wholeCauses,
  type About,
  type TerminalRows,
} from './causes.js';

export type { KnownCells };

/** Causes that give one and the same table on what is known: no reading made so far tells them apart. */
export interface DiagnosisClass {
  /** Each one or two causes together. */
  explanations: Cause[][];
  table: Pattern;
  /** Cells of the measured table that it leaves unexplained: [setting, a, b]. */
  leaves: [number, number, number][];
  /** Bits it takes to say: the fewer, the likelier. */
  bits: number;
}

/** A reading that would tell the likeliest apart. */
export interface TellingReading {
  setting: number;
  a: number;
  b: number;
  /** Bits that it is expected to bring. */
  bits: number;
}

export interface Diagnosis {
  /** Likeliest first. Empty where nothing differs. */
  classes: DiagnosisClass[];
  telling: TellingReading | null;
}

/** How many of the likeliest single causes are tried with a second one. */
const BEAM = 24;
/** What a second cause costs beside the first, in bits: two faults at once are rarer. */
const SECOND = 5;
/** Where more is left than this, an odd join beside the first cause is no explanation. */
const MOST_ODD = 24;
/** Classes told. */
const TOLD = 5;
/** Classes this many bits behind the first are out of the question for the next reading. */
const NEAR = 8;
/** And this many bits behind, out of the search. */
const OUT = 4 * NEAR;

/** What kinds of cause cost before anything is known of the switch, in bits (common practice: wear before assembly, rough on purpose). */
const PRIOR: Record<Cause['cause'], number> = {
  'never-closes': 1,
  'never-opens': 2,
  'closes-also': 4,
  'opens-also': 3,
  bridged: 3.5,
  'joined-at': 4.5,
  'split-at': 4.5,
  shifted: 2,
  reversed: 3,
  swapped: 3,
  mirrored: 3,
  turned: 3.5,
};

/**
 * What may be wrong with a switch that should follow one table and shows another: single causes and pairs of them, by
 * description length: bits of the cause, and for all it leaves unexplained edits of partitions times (log2 of the cells + 6).
 * Causes with the same table on the known cells are one class. It says 'likeliest', never 'the cause': a cause outside this
 * list may look like one of it.
 * @example
 * const expected = [[0, 0, 2], [0, 1, 0]];
 * const shown = [[0, 1, 2], [0, 1, 0]];
 * const known = shown.map((nets) => nets.flatMap((net) => nets.map((other) => net === other)));
 * diagnose(expected, known, [[0, 1, 2]]).classes[0].explanations[0].map(({ cause }) => cause) // => ['never-closes']
 */
export function diagnose(expected: Pattern, known: KnownCells, rows: TerminalRows): Diagnosis {
  const size = expected[0]?.length ?? 0;
  const edits = editCounter(known, size);
  const unexplained = edits((at) => expected[at] as Partition);
  if (size === 0 || unexplained === 0) return { classes: [], telling: null };
  const cells = Math.max(2, (expected.length * size * (size - 1)) / 2);
  const edit = Math.log2(cells) + 6;
  const contacts = contactsOf(expected);
  const found: Found[] = [];
  let least = Infinity;
  const consider = (
    before: Pattern,
    list: readonly Cause[],
    first: readonly Cause[],
    made: readonly Contact[],
    among = list.length,
  ) => {
    const choice = Math.log2(Math.max(1, among)) / 2;
    for (const cause of list) {
      const extra = first.reduce((sum, one) => sum + PRIOR[one.cause] + choice + SECOND, 0);
      const cost = PRIOR[cause.cause] + choice + extra;
      const settingAt = (at: number) => settingWithCause(before, made, cause, at);
      const bits = cost + edit * edits(settingAt, (least + OUT - cost) / edit);
      if (bits > least + OUT) continue;
      if (bits < least) least = bits;
      found.push({ causes: [...first, cause], table: tableOf(settingAt), bits });
    }
  };
  const singles = singleCauses(expected, contacts, rows);
  const choice = Math.log2(Math.max(1, singles.length)) / 2;
  const ranked = rankedSingles(expected, contacts, singles, { edits, edit, unexplained });
  const tableOf = (settingAt: SettingAt): Pattern => expected.map((_, at) => settingAt(at));
  least = (ranked[0]?.bits ?? Infinity) + choice;
  for (const { cause, settingAt, bits } of ranked)
    if (bits + choice <= least + OUT)
      found.push({ causes: [cause], table: tableOf(settingAt), bits: bits + choice });
  for (const others of contactSets(expected).slice(1))
    consider(expected, contactCauses(expected, others).filter(isOfContact), [], others);
  // Any two terminals in any setting could be the odd ones, though only those are tried that explain something.
  const left = leavesOf(expected, known, size);
  consider(expected, oddCauses(expected, contacts, left), [], contacts, cells);
  const firsts = ranked.filter(({ cause }, at) => at < BEAM || isDetents(cause));
  for (const { cause, settingAt, bits } of firsts) {
    if (bits < edit) continue; // It leaves nothing: a second cause explains nothing more.
    const table = tableOf(settingAt);
    const leaves = leavesOf(table, known, size);
    const made = contactsWith(expected, contacts, cause);
    const seconds = contactCauses(table, made, aboutLeft(leaves, size));
    consider(table, seconds, [cause], made);
    if (leaves.length <= MOST_ODD) consider(table, oddCauses(table, made, leaves), [cause], made);
    // What moves everything is tried the other way too: first a contact, then the whole.
    if (!isWhole(cause)) consider(table, wholeCauses(table, rows), [cause], made);
  }
  const classes = worthTelling(classesOf(found, known, size), left.length).slice(0, TOLD);
  return { classes, telling: tellingOf(found, known, size) };
}

/** Single causes that explain something or move everything, those first that leave least. */
function rankedSingles(
  expected: Pattern,
  contacts: readonly Contact[],
  singles: readonly Cause[],
  by: { edits: ReturnType<typeof editCounter>; edit: number; unexplained: number },
): { cause: Cause; settingAt: SettingAt; bits: number }[] {
  return singles
    .flatMap((cause) => {
      const settingAt = (at: number) => settingWithCause(expected, contacts, cause, at);
      // What moves everything may leave more than a single contact and still be half of it.
      const left = by.edits(settingAt, isDetents(cause) ? Infinity : by.unexplained);
      if (left > by.unexplained && !isDetents(cause)) return [];
      return [{ cause, settingAt, bits: PRIOR[cause.cause] + by.edit * left }];
    })
    .toSorted((one, other) => one.bits - other.bits);
}

interface Found {
  causes: Cause[];
  table: Pattern;
  bits: number;
}

const WHOLE: ReadonlySet<Cause['cause']> = new Set(['shifted', 'reversed', 'mirrored', 'turned']);
const isWhole = (cause: Cause | undefined): boolean => cause !== undefined && WHOLE.has(cause.cause);

/** A cause that depends on which contacts make the table. */
const isOfContact = ({ cause }: Cause): boolean =>
  cause === 'never-closes' || cause === 'opens-also' || cause === 'closes-also' || cause === 'never-opens';

const isDetents = (cause: Cause | undefined): boolean =>
  cause?.cause === 'shifted' || cause?.cause === 'reversed';

/** A second cause can explain something of what the first one leaves only if it touches what is left. */
function aboutLeft(leaves: readonly [number, number, number][], size: number): About {
  const pairs = new Uint8Array(size * size);
  const ends = new Uint8Array(size);
  const cells = new Set<number>();
  for (const [setting, a, b] of leaves) {
    pairs[a * size + b] = pairs[b * size + a] = 1;
    ends[a] = ends[b] = 1;
    cells.add(setting * size * size + Math.min(a, b) * size + Math.max(a, b));
  }
  return {
    pair: (a, b) => pairs[a * size + b] === 1,
    at: (setting, a, b) => cells.has(setting * size * size + Math.min(a, b) * size + Math.max(a, b)),
    end: (place) => ends[place] === 1,
  };
}

/** Explanations with one table on the known cells are one class; the plainest of each first. */
function classesOf(found: readonly Found[], known: KnownCells, size: number): DiagnosisClass[] {
  const classes = new Map<string, DiagnosisClass>();
  const least = Math.min(...found.map(({ bits }) => bits));
  const near = found
    .filter(({ bits }) => bits <= least + OUT)
    .toSorted((one, other) => one.bits - other.bits);
  for (const { causes, table, bits } of near) {
    const key = shown(table, known, size);
    const before = classes.get(key);
    if (before) {
      // A pair that says what a single cause says already is no news, nor are the same causes in another order.
      const news = causes.length <= (before.explanations[0]?.length ?? 1);
      if (news && !before.explanations.some((one) => sameCauses(one, causes)))
        before.explanations.push(causes);
    } else classes.set(key, { explanations: [causes], table, leaves: leavesOf(table, known, size), bits });
  }
  return [...classes.values()];
}

/**
 * Classes without those that explain nothing, and without those of which all is explained by one before them with no more causes: what
 * that leaves, they leave too.
 */
function worthTelling(classes: readonly DiagnosisClass[], unexplained: number): DiagnosisClass[] {
  const told: DiagnosisClass[] = [];
  const causesOf = ({ explanations }: DiagnosisClass) => explanations[0]?.length ?? 1;
  for (const one of classes) {
    if (one.leaves.length >= unexplained) continue;
    const left = new Set(one.leaves.map(String));
    const covered = told.some(
      (before) => causesOf(before) <= causesOf(one) && before.leaves.every((cell) => left.has(String(cell))),
    );
    if (!covered) told.push(one);
  }
  return told;
}

/** Whether two explanations name the same causes, in whichever order. */
const sameCauses = (one: readonly Cause[], other: readonly Cause[]): boolean => {
  const names = new Set(one.map((cause) => JSON.stringify(cause)));
  return one.length === other.length && other.every((cause) => names.has(JSON.stringify(cause)));
};

/** A table as far as it is known what the switch does. */
const shown = (table: Pattern, known: KnownCells, size: number): string =>
  table
    .map((partition, at) => {
      let text = '';
      for (let a = 0; a < size; a += 1)
        for (let b = a + 1; b < size; b += 1)
          if ((known[at] ?? [])[a * size + b] !== null) text += partition[a] === partition[b] ? '1' : '0';
      return text;
    })
    .join();

function leavesOf(table: Pattern, known: KnownCells, size: number): [number, number, number][] {
  const leaves: [number, number, number][] = [];
  table.forEach((partition, at) => {
    for (let a = 0; a < size; a += 1)
      for (let b = a + 1; b < size; b += 1) {
        const is = (known[at] ?? [])[a * size + b];
        if (is !== null && is !== undefined && is !== (partition[a] === partition[b]))
          leaves.push([at, a, b]);
      }
  });
  return leaves;
}

/** The unknown cell whose reading is expected to bring most about which of the likeliest it is; null where none tells. */
function tellingOf(found: readonly Found[], known: KnownCells, size: number): TellingReading | null {
  const least = Math.min(...found.map(({ bits }) => bits));
  const near = found.filter(({ bits }) => bits <= least + NEAR);
  const weights = near.map(({ bits }) => 2 ** (least - bits));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  let best: TellingReading | null = null;
  known.forEach((cells, setting) => {
    for (let a = 0; a < size; a += 1)
      for (let b = a + 1; b < size; b += 1) {
        if (cells[a * size + b] !== null) continue;
        const joined = near.reduce((sum, { table }, at) => {
          const partition = table[setting] as Partition;
          return partition[a] === partition[b] ? sum + (weights[at] ?? 0) : sum;
        }, 0);
        const share = joined / total;
        if (share <= 1e-9 || share >= 1 - 1e-9) continue;
        const bits = -share * Math.log2(share) - (1 - share) * Math.log2(1 - share);
        if (bits > (best?.bits ?? 1e-6)) best = { setting, a, b, bits };
      }
  });
  return best;
}
