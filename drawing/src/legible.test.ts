import { describeSwitch, newIdFrom, seededRandom } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { handlePicture } from './handles/handle-forms.js';
import { machinePicture } from './machine/machine-picture.js';
import { groundMark } from './marks.js';
import { piecesOf, type Drawn, type Shape } from './shape.js';
import { terminalMark } from './terminal-mark.js';

const all = (drawn: Drawn): Shape[] =>
  piecesOf(drawn).flatMap((piece) => (typeof piece === 'string' ? [] : [piece, ...all(piece.children)]));
const texts = (drawn: Drawn) => all(drawn).filter(({ tag }) => tag === 'text');
const words = (drawn: Drawn) => texts(drawn).map(({ children }) => children.join(''));
const sizes = (drawn: Drawn) => texts(drawn).map(({ attributes }) => Number(attributes['fontSize']));

const newId = newIdFrom(seededRandom(9));
function handle(form: 'rotary' | 'slide' | 'lever', names: readonly string[]) {
  const count = {
    terminals: 3,
    positions: names.length,
    form,
    layout: 'list',
    positionNames: names,
  } as const;
  const [actuator] = describeSwitch(count, newId).actuators;
  if (!actuator) throw new Error('no handle');
  return actuator;
}
const SAID = { caption: '', stroke: '' };
const named = (form: 'rotary' | 'slide' | 'lever', names: readonly string[], least: number) =>
  words(handlePicture(handle(form, names), 0, 'front', SAID, least).shapes);

describe('what a drawing says can be read where it is shown', () => {
  it('names of positions stand whole, or only where the handle is, or not at all: never cut', () => {
    const three = ['OFF', 'MEDIUM', 'HIGH'];
    expect(named('rotary', three, 18)).toEqual(three);
    expect(named('slide', three, 18)).toEqual(three);
    // By hand: 8 letters at 18 come to some 89. Four such names stand two by two in 260; of five, one line would have three.
    const five = ['FIRSTONE', 'SECONDLY', 'THIRDONE', 'FOURTHLY', 'FIFTHONE'];
    expect(named('slide', five.slice(0, 4), 18)).toEqual(five.slice(0, 4));
    expect(named('slide', five, 18)).toEqual(['FIRSTONE']);
    expect(named('slide', ['A'.repeat(24), 'B'], 18)).toEqual([]);
  });

  it('no name of a turning handle lies on a mark, wherever it stands and however large it is', () => {
    const lists = ['OFF MW LW', 'OFF LOW MEDIUM HIGH', 'LW MW SW GRAM', '1 2 3 4 5 6', 'A B C D E F G H'];
    const met: string[] = [];
    for (const form of ['rotary', 'lever'] as const)
      for (const names of lists.map((list) => list.split(' ')))
        for (const least of [14, 18, 23])
          for (const index of names.keys()) {
            const { shapes } = handlePicture(handle(form, names), index, 'terminal', SAID, least);
            const marks = all(shapes).filter(({ attributes }) => 'data-mark' in attributes);
            expect(marks).toHaveLength(names.length);
            for (const { attributes, children } of texts(shapes)) {
              const [x, y, size] = [attributes['x'], attributes['y'], attributes['fontSize']].map(Number) as [
                number,
                number,
                number,
              ];
              // Capitals of the typeface are about 0.6 wide and 0.7 high.
              const wide = children.join('').length * 0.6 * size;
              const left =
                { start: x, middle: x - wide / 2, end: x - wide }[String(attributes['textAnchor'])] ?? NaN;
              for (const { attributes: mark } of marks) {
                const [across, down] = [
                  Math.max(left - Number(mark['cx']), 0, Number(mark['cx']) - left - wide),
                  Math.max(Math.abs(y - Number(mark['cy'])) - 0.35 * size, 0),
                ];
                if (!(Math.hypot(across, down) > Number(mark['r']) + 1))
                  met.push(`${form}, ${names.join(' ')}, at ${index}, ${least}: ${children.join('')}`);
              }
            }
          }
    expect(met).toEqual([]);
  });

  it('every name of a handle is at least as large as asked', () => {
    for (const form of ['rotary', 'slide', 'lever'] as const)
      expect(
        sizes(handlePicture(handle(form, ['OFF', 'ON']), 1, 'terminal', SAID, 19).shapes).every(
          (size) => size >= 19,
        ),
      ).toBe(true);
  });

  it('a lug’s label grows with it until it would meet the next one’s', () => {
    const lug = (label: string, role: 'contact' | 'frame' = 'contact') =>
      ({ id: label, label, marking: null, role }) as Parameters<typeof terminalMark>[0];
    expect(sizes(terminalMark(lug('7'), 30, 'plain', null))).toEqual([28.5]);
    expect(sizes(terminalMark(lug('7'), 30, 'plain', null, 44))).toEqual([44]);
    // Lugs stand at least 75 apart, and 12 letters at 10 reach over 74.
    expect(sizes(terminalMark(lug('L1 and more'), 30, 'plain', null, 44))[0]).toBeLessThan(12);
    // The frame stands by itself: its mark is made as wide as its word.
    const frame = terminalMark(lug('FRAME', 'frame'), 20, 'plain', null, 44);
    expect(sizes(frame)).toEqual([44]);
    expect(Math.max(...all(frame).map(({ attributes }) => Number(attributes['width'] ?? 0)))).toBeGreaterThan(
      5 * 0.6 * 44,
    );
  });

  it('a deck says which it is in the room that it has, and an empty place has no number where it could not be read', () => {
    const said = { noPhoto: '', notPlaced: '' };
    const deck = { kind: 'disc', x: 0, y: 0, radius: 230, label: 'Deck 1, nearest the handle' } as const;
    expect(words(groundMark(deck, null, said, 24))).toEqual(['Deck 1, nearest the handle']);
    expect(words(groundMark(deck, null, said, 55))).toEqual(['Deck 1']);
    const hole = { kind: 'hole', x: 0, y: 0, label: '2' } as const;
    expect(words(groundMark(hole, null, said, 18))).toEqual(['2']);
    expect(words(groundMark(hole, null, said, 31))).toEqual([]);
  });

  it('a machine on a phone is narrower, and a long name of a load goes over lines', () => {
    const drawn = {
      supplies: [{ name: 'L', live: true }],
      lugs: [],
      joins: [],
      loads: [{ name: 'the long bilge pump forward', ends: ['1', '2'], says: 'off', look: 'off' as const }],
      leads: [],
      switchName: 'this switch',
    };
    const wide = machinePicture(drawn, '');
    const phone = machinePicture(drawn, '', { narrow: true, least: 20 });
    expect([wide.width, phone.width]).toEqual([1000, 660]);
    expect(sizes(phone.shapes).every((size) => size >= 20)).toBe(true);
    expect(words(phone.shapes).join(' ')).toContain('the long bilge pump forward');
    expect(words(phone.shapes).every((text) => text.length * 20 * 0.62 < 166 * 1.2)).toBe(true);
  });
});
