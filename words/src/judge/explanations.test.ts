import { describeSwitch, newIdFrom, seededRandom, type Structure } from '@which-way/core/switch';
import type { Cause, DiagnosisQuestion } from '@which-way/core/verify';
import { describe, expect, it } from 'vitest';
import { explanationWords } from './explanations.js';

const structure = switchOf(8, 3);
const question: Pick<DiagnosisQuestion, 'terminals' | 'settings'> = {
  terminals: structure.terminals.map(({ id }) => id),
  settings: structure.settings.map(({ id }) => id),
};
const told = (...explanations: Cause[][]) =>
  explanationWords(structure, question as DiagnosisQuestion, explanations);
const never = (a: number, b: number): Cause => ({ cause: 'never-closes', contact: [a, b] });

describe('causes that no reading tells apart', () => {
  it('are one sentence where three or more differ in one terminal alone', () => {
    expect(told([never(0, 1)], [never(0, 2)], [never(0, 3)], [never(0, 5)])).toEqual([
      'a contact from 1 to any of 2 to 4, 6 never closes',
    ]);
    expect(
      told(...[1, 2, 3].map((end): Cause[] => [{ cause: 'joined-at', terminals: [end, 6], setting: 1 }])),
    ).toEqual(['7 and any of 2 to 4 are joined at Position 2']);
    expect(
      told(...[4, 5, 7].map((terminal): Cause[] => [{ cause: 'split-at', terminal, setting: 0 }])),
    ).toEqual(['any of 5, 6, 8 is cut off from the others at Position 1']);
  });

  it('are any two where every two of some are among them', () => {
    const swaps = [[1, 2], [1, 3], [2, 3]] as const; // prettier-ignore
    expect(told(...swaps.map((terminals): Cause[] => [{ cause: 'swapped', terminals }]))).toEqual([
      'any two of 2 to 4 are swapped',
    ]);
  });

  it('stay apart where there are two, where they share nothing, in another position, or with a second cause', () => {
    expect(told([never(0, 1)], [never(0, 2)])).toHaveLength(2);
    expect(told([never(0, 1)], [never(2, 3)], [never(4, 5)])).toHaveLength(3);
    const at = (setting: number, end: number): Cause[] => [
      { cause: 'closes-also', contact: [0, end], setting },
    ];
    expect(told(at(0, 1), at(1, 2), at(2, 3))).toHaveLength(3);
    expect(told([never(0, 1), never(4, 5)], [never(0, 2)], [never(0, 3)])).toHaveLength(3);
    expect(told([{ cause: 'reversed' }], [{ cause: 'shifted', by: 1 }])).toHaveLength(2);
  });

  it('keep their order: the group stands where its first stood', () => {
    expect(told([{ cause: 'reversed' }], [never(0, 1)], [never(4, 5)], [never(0, 2)], [never(0, 3)])).toEqual(
      [
        'the positions run the other way round',
        'a contact from 1 to any of 2 to 4 never closes',
        'contact 5–6 never closes',
      ],
    );
  });
});

function switchOf(terminals: number, positions: number): Structure {
  const change = describeSwitch(
    { terminals, positions, form: 'rotary', layout: 'circle' },
    newIdFrom(seededRandom(1)),
  );
  return { ...change, placed: [], merged: {} };
}
