import { describe, expect, it } from 'vitest';
import type { MechanicsFact, MechanicsField } from '../../log/index.js';
import type { PartFacts } from '../../switch/index.js';
import { lengthsIn, oneLength } from './length.js';
import { mechanicsAnswers } from './mechanics.js';

describe('lengths as they are written', () => {
  it.each([
    ['12 mm', [12]],
    ['12,5', [12.5]],
    ['3/8 in', [9.525]],
    // Each by its own unit, or by that of the figure after it: 7/8 of an inch is 22.225 mm.
    ['22 mm, or 7/8 in', [22, 22.225]],
    ['7/8 x 1 in', [22.225, 25.4]],
    ['12 mm, in the left bracket', [12]],
    ['1 1/2"', [38.1]],
    ['22 x 30 mm', [22, 30]],
    ['one nut', []],
  ])('%s', (text, lengths) => {
    const found = lengthsIn(text);
    expect(found).toHaveLength(lengths.length);
    found.forEach((one, at) => expect(one).toBeCloseTo(lengths[at] as number, 6));
  });
});

describe('whether a part fits', () => {
  const answer = (
    field: MechanicsField,
    value: string,
    part: PartFacts,
    how: MechanicsFact['how'] = 'measured',
  ) => mechanicsAnswers(new Map([[field, { field, value, how }]]), part).find((one) => one.field === field);

  it.each<[MechanicsField, string, PartFacts, string, string | null]>([
    ['bushing', '12 mm', { bushing: 12 }, 'fits', null],
    ['bushing', '12 mm', { bushing: 10 }, 'can-be-adapted', 'reduce-the-hole'],
    ['bushing', '12 mm', { bushing: 15 }, 'can-be-adapted', 'open-the-hole'],
    ['bushing', '12 mm', { bushing: 19 }, 'does-not', null],
    ['bolt-spacing', '30', { boltSpacing: 31.5 }, 'can-be-adapted', 'slot-the-holes'],
    ['bolt-spacing', '30', { boltSpacing: 38 }, 'does-not', null],
    ['shaft-length', '1 in', { shaftLength: 40 }, 'can-be-adapted', 'cut-the-shaft'],
    ['shaft-length', '1 in', { shaftLength: 20 }, 'does-not', null],
    ['shaft-diameter', '1/4 in', { shaftDiameter: 6.35 }, 'fits', null],
    ['shaft-diameter', '1/4 in', { shaftDiameter: 6 }, 'can-be-adapted', 'sleeve-the-shaft'],
    ['depth', '28', { depth: 25 }, 'fits', null],
    ['depth', '28', { depth: 40 }, 'unknown', 'room-behind'],
    ['cut-out', '22 x 30', { cutOut: '22x30 mm' }, 'fits', null],
    ['cut-out', '22 x 30', { cutOut: '24 x 30' }, 'can-be-adapted', 'open-the-hole'],
    ['cut-out', '22 x 30', { cutOut: '40 x 60' }, 'does-not', null],
    ['environment', 'IP54', { protection: 'IP65' }, 'fits', null],
    ['environment', 'IP54, wet', { protection: 'IP40' }, 'does-not', null],
    ['environment', 'sawdust', { protection: 'IP65' }, 'unknown', null],
    ['terminations', 'solder lugs', { terminations: 'tabs 6.3' }, 'can-be-adapted', 'new-wire-ends'],
    ['terminations', 'Tabs, 6.3', { terminations: 'tabs 6,3' }, 'fits', null],
    ['terminations', 'studs 1/2', { terminations: 'studs 1.2' }, 'can-be-adapted', 'new-wire-ends'],
    // Two wordings may mean the same: words are not judged.
    ['mounting', 'one nut', { mounting: 'bushing nut' }, 'unknown', null],
    ['mounting', 'One nut.', { mounting: 'one nut' }, 'fits', null],
    // What is no plain length, or two that differ, is compared with nothing.
    ['bushing', '-5', { bushing: 5 }, 'unknown', null],
    ['bushing', '12-14 mm', { bushing: 12 }, 'unknown', null],
    ['bushing', '12 – 14', { bushing: 14 }, 'unknown', null],
    ['bushing', '~12', { bushing: 12 }, 'unknown', null],
    ['depth', '≤ 28', { depth: 25 }, 'unknown', null],
    ['bushing', '12, was 14', { bushing: 12 }, 'unknown', null],
    ['bushing', '1/0 in', { bushing: 12 }, 'unknown', null],
    ['shaft-length', '1,500', { shaftLength: 1500 }, 'unknown', null],
    ['bushing', '22 mm, or 7/8 in', { bushing: 22 }, 'fits', null],
    ['bushing', '12 mm, in the bracket', { bushing: 12 }, 'fits', null],
    ['cut-out', '1/2 in', { cutOut: '1.2 in' }, 'does-not', null],
    ['cut-out', '22-30', { cutOut: '22 x 30' }, 'unknown', null],
    ['cut-out', 'D-shaped', { cutOut: 'd shaped' }, 'fits', null],
    ['cut-out', 'D-shaped', { cutOut: 'round' }, 'unknown', null],
  ])('%s: %s against %o %s', (field, value, part, kind, how) =>
    expect(answer(field, value, part)).toMatchObject({ kind, how }),
  );

  it('is not known where one side is not, and never a pass', () => {
    expect(answer('bushing', '12', {})).toMatchObject({ kind: 'unknown', fresh: '' });
    expect(answer('bushing', '12', { bushing: 12 }, 'unknown')).toMatchObject({ kind: 'unknown', old: '' });
    expect(mechanicsAnswers(new Map(), {}).map(({ kind }) => kind)).not.toContain('fits');
  });
});

it.each([
  ['12 mm', 12],
  ['1/2 in', 12.7],
  ['5/8"', 15.875],
  ['12,5', 12.5],
  ['-5', null],
  ['about 12', null],
  ['12 x 14', null],
  ['12 mm round', null],
  ['1/0 in', null],
  ['1,500', null],
  ['', null],
])('%s is one length and nothing else: %s', (text, length) => {
  const read = oneLength(text);
  expect(read === null ? null : Number(read.toFixed(6))).toBe(length);
});
