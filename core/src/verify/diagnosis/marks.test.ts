import { describe, expect, it } from 'vitest';
import type { SettingId, TerminalId } from '../../switch/index.js';
import { deriveMap } from '../../continuity/index.js';
import { partitionFromGroups, type Pattern } from '../../partition/index.js';
import { bench } from '../../testing/generated.js';
import { diagnose } from './diagnose.js';
import type { DiagnosisQuestion } from './diagnosis-of.js';
import { withCause, type Cause } from './cause.js';
import { afterMarks, marksOf, marksTell } from './marks.js';

const WAYS = 5;
/** A common, 0, and its throws 1 to 5 in a ring: one after the other. */
const RING: Pattern = Array.from({ length: WAYS }, (_, at) => partitionFromGroups(WAYS + 1, [[0, at + 1]]));
const THROWS = [1, 2, 3, 4, 5];
const lug = (place: number) => `lug ${place}` as TerminalId;
const position = (place: number) => `position ${place}` as SettingId;

const cellsOf = (pattern: Pattern): (boolean | null)[][] =>
  pattern.map((nets) => nets.flatMap((net, a) => nets.map((other, b) => (a === b ? null : net === other))));

/** What is asked of a ring in which something is wrong, and its answer. */
function asked(wrong: Cause) {
  const known = cellsOf(withCause(RING, [], wrong));
  const rows = [THROWS];
  const question = {
    expected: RING,
    known,
    rows,
    settings: RING.map((_, at) => position(at)),
    terminals: [0, ...THROWS].map(lug),
  } as unknown as DiagnosisQuestion;
  return { question, diagnosis: diagnose(RING, known as never, rows) };
}

const kindsOf = (explanations: readonly (readonly Cause[])[]) =>
  explanations.map((causes) => causes.map(({ cause }) => cause).join('+')).toSorted();

describe('a tie between what was put in turned and what was put on turned', () => {
  const { question, diagnosis } = asked({ cause: 'shifted', by: 1 });
  const [first] = diagnosis.classes;

  it('is a tie, and a mark would tell', () => {
    expect(kindsOf(first?.explanations ?? [])).toEqual(['shifted', 'turned']);
    expect(marksTell(first?.explanations ?? [])).toBe(true);
    expect(marksTell([[{ cause: 'never-closes', contact: [0, 1] }]])).toBe(false);
    expect(marksTell([[{ cause: 'shifted', by: 1 }]])).toBe(false);
  });

  // Worked out by hand: at position 0 the common meets throw 2, so the throws were turned by one: what should lie by 1 lies by 2.
  it.each([
    ['where it should be', { of: 'lug', should: lug(1), is: lug(1) }, ['shifted'], 1],
    ['one lug on', { of: 'lug', should: lug(1), is: lug(2) }, ['turned'], 1],
    ['one lug on, round the end', { of: 'lug', should: lug(5), is: lug(1) }, ['turned'], 1],
    ['one lug back: none of these', { of: 'lug', should: lug(2), is: lug(1) }, ['shifted', 'turned'], 0],
    [
      'by the common, which no cause moves',
      { of: 'lug', should: lug(0), is: lug(0) },
      ['shifted', 'turned'],
      0,
    ],
    ['on a lug that is not asked about', { of: 'lug', should: lug(9), is: lug(1) }, ['shifted', 'turned'], 0],
    ['the stop where it should be', { of: 'position', should: position(0), is: position(0) }, ['turned'], 1],
    ['the stop a position early', { of: 'position', should: position(1), is: position(0) }, ['shifted'], 1],
  ] as const)('the mark %s', (_, mark, kinds, ruledOut) => {
    const left = afterMarks(diagnosis, question, [mark]);
    expect(kindsOf(left.diagnosis.classes[0]?.explanations ?? [])).toEqual(kinds);
    expect(left.noneFits ? 0 : left.ruledOut).toBeGreaterThanOrEqual(ruledOut);
    expect(left.noneFits).toBe(mark.of === 'lug' && mark.should === lug(2));
  });

  it('two marks that only one cause fits', () => {
    const marks = [
      { of: 'lug', should: lug(1), is: lug(2) },
      { of: 'position', should: position(0), is: position(0) },
    ] as const;
    expect(kindsOf(afterMarks(diagnosis, question, marks).diagnosis.classes[0]?.explanations ?? [])).toEqual([
      'turned',
    ]);
    expect(afterMarks(diagnosis, question, [])).toEqual({ diagnosis, ruledOut: 0, noneFits: false });
  });
});

describe('the other way round', () => {
  const { question, diagnosis } = asked({ cause: 'reversed' });

  it.each([
    ['the marked lug where it should be: the handle', { of: 'lug', should: lug(1), is: lug(1) }, 'reversed'],
    ['the marked lug at the other end: the contacts', { of: 'lug', should: lug(1), is: lug(5) }, 'mirrored'],
    [
      'the flat at the other end: the handle',
      { of: 'position', should: position(0), is: position(4) },
      'reversed',
    ],
  ] as const)('%s', (_, mark, kind) => {
    expect(kindsOf(diagnosis.classes[0]?.explanations ?? [])).toEqual(['mirrored', 'reversed']);
    expect(kindsOf(afterMarks(diagnosis, question, [mark]).diagnosis.classes[0]?.explanations ?? [])).toEqual(
      [kind],
    );
  });
});

describe('two swapped lugs', () => {
  const { question, diagnosis } = asked({ cause: 'swapped', terminals: [1, 2] });
  const swap = ({ classes }: typeof diagnosis) =>
    classes.some(({ explanations }) => kindsOf(explanations).includes('swapped'));

  // Wires that are swapped move no mark, contacts that are do: neither place rules the swap out, a third does.
  it.each([
    ['where it should be', lug(1), lug(1), true],
    ['by the other of the two', lug(1), lug(2), true],
    ['by the other of the two, the other way', lug(2), lug(1), true],
    ['by a lug that is not swapped, where it should be', lug(4), lug(4), true],
  ] as const)('stay possible with the mark %s', (_, should, is, stays) => {
    expect(swap(diagnosis)).toBe(true);
    const left = afterMarks(diagnosis, question, [{ of: 'lug', should, is }]);
    expect([swap(left.diagnosis), left.noneFits]).toEqual([stays, false]);
  });

  it('are out with the mark by a third lug, or none fits', () => {
    const left = afterMarks(diagnosis, question, [{ of: 'lug', should: lug(1), is: lug(4) }]);
    expect(left.noneFits || !swap(left.diagnosis)).toBe(true);
  });
});

it('the newest of each counts, and one that is taken back does not', () => {
  const on = bench(3, 2);
  const [a, b] = on.terminals as [TerminalId, TerminalId];
  const [one, other] = on.settings as [SettingId, SettingId];
  on.add({ kind: 'mark-seen', seen: { of: 'lug', should: a, is: b } });
  on.add({ kind: 'mark-seen', seen: { of: 'lug', should: b, is: a } });
  on.add({ kind: 'mark-seen', seen: { of: 'position', should: one, is: other } });
  on.add({ kind: 'mark-seen', seen: { of: 'position', should: one, is: null } });
  expect(marksOf(deriveMap(on.events).log)).toEqual([{ of: 'lug', should: b, is: a }]);
});
