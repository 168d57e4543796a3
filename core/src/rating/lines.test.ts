import { describe, expect, it } from 'vitest';
import { decodeMarking } from './marking.js';
import type { DecodedMarking } from './piece.js';
import { decodeTranscription } from './transcription.js';

const currents = ({ currents: list }: DecodedMarking) =>
  list.map(({ amperes, load, volts, supply }) => [load, amperes, volts, supply].join(' '));

describe('what stands beside the ratings', () => {
  // Markings of our own; forms of the published standards from memory.
  const codes = (text: string) =>
    decodeMarking(text)
      .pieces.filter(({ code }) => code !== 'separator')
      .map(({ code }) => code)
      .join(' ');
  it.each([
    ['KX-2041B', 'maybe-part-number'],
    ['17-4402', 'maybe-part-number'],
    ['90412277', 'maybe-part-number'],
    ['HSL10R/2', 'maybe-part-number'],
    ['KX-2041B 6A 250V~', 'maybe-part-number current voltage supply'],
    ['HARBOURSIDE', 'word'],
    ['HARBOURSIDE No. 4711', 'word marked-number'],
    ['TYPE BX200', 'marked-number'],
    ['Ser. 00917', 'marked-number'],
    ['P/N 55-201', 'marked-number'],
    ['LOT 7B2', 'maybe-batch'],
    ['Batch: 0093', 'maybe-batch'],
    ['23W07', 'maybe-date'],
    ['2319', 'maybe-date'],
    ['2023-07', 'maybe-date'],
    ['07/23', 'maybe-date'],
    ['WK 07 23', 'maybe-date'],
    ['E204417', 'maybe-file-number'],
    ['EN 61058-1', 'standard'],
    ['IEC 60947-5-1', 'standard'],
    ['CE', 'conformity'],
    ['Made in Port Harrow', 'origin'],
    ['Class II', 'protection-class'],
    ['⧈', 'protection-class'],
    ['IK08', 'impact'],
    ['TYPE 4X', 'enclosure-type'],
    ['IP65/IP67', 'protection protection'],
    ['gap ≥3 mm', 'contact-gap'],
    ['µ 3A 250V~', 'disconnection current voltage supply'],
    ['10E3 T85', 'operations temperature'],
  ])('%s: %s', (text, expected) => {
    expect(codes(text)).toBe(expected);
  });

  it.each<[string, string[]]>([
    ['10A 120/277V~', ['resistive 10 120 ac', 'resistive 10 277 ac']],
    ['6(4)A 125/250V AC', ['resistive 6 125 ac', 'resistive 6 250 ac', 'motor 4 125 ac', 'motor 4 250 ac']],
    ['16A 110/230/400V~', ['resistive 16 110 ac', 'resistive 16 230 ac', 'resistive 16 400 ac']],
  ])('a list of volts gives the rating at each of them: %s', (text, expected) =>
    expect(currents(decodeMarking(text))).toEqual(expected),
  );

  it('takes horsepower at each voltage of its list', () => {
    expect(decodeMarking('1/2HP 125/250VAC').powers).toMatchObject([
      { horsepower: 0.5, volts: 125, supply: 'ac' },
      { horsepower: 0.5, volts: 250, supply: 'ac' },
    ]);
    expect(decodeMarking('1/4HP 125VAC 1/2HP 250VAC').powers.map(({ volts }) => volts)).toEqual([125, 250]);
  });

  it.each([
    ['-25…+70°C', -25, 70],
    ['-25...85 °C', -25, 85],
    ['-10/+55°C', -10, 55],
    ['105°C', null, 105],
    ['25T85', 25, 85],
  ])('%s is a temperature, both ways where it says so', (text, least, most) =>
    expect(decodeMarking(text).temperature).toMatchObject({ least, most }),
  );

  it.each([
    ['full disconnection', 'full'],
    ['micro-disconnection', 'micro'],
    ['contact gap 3 mm', 'full'],
    ['gap 1,5 mm', 'mini'],
    ['gap <3 mm', null],
  ])('%s: %s', (text, kind) => expect(decodeMarking(text).disconnection).toBe(kind));

  it.each([
    ['10E3', 10_000],
    ['100E3', 100_000],
    ['25E3', 25_000],
  ])('%s is %d operations', (text, operations) => expect(decodeMarking(text).operations).toBe(operations));

  it('keeps a part number that holds a rating’s figures whole, and reads nothing out of it', () => {
    const decoded = decodeMarking('RK16A250 8A 250V~');
    expect(currents(decoded)).toEqual(['resistive 8 250 ac']);
    expect(decoded.pieces[0]).toMatchObject({ code: 'maybe-part-number', text: 'RK16A250' });
  });

  it('says that a part number rests on a guess where a character of it does', () => {
    const { pieces } = decodeTranscription({
      runs: [
        { text: 'KX-2', sure: 'certain' },
        { text: '0', sure: 'guess' },
        { text: '41B', sure: 'certain' },
      ],
    });
    expect(pieces).toMatchObject([{ code: 'maybe-part-number', text: 'KX-2041B', guessed: true }]);
  });
});
