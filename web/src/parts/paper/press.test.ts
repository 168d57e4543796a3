import signsBold from '@fontsource/dejavu-sans/files/dejavu-sans-latin-700-normal.woff?inline';
import signsNormal from '@fontsource/dejavu-sans/files/dejavu-sans-latin-400-normal.woff?inline';
import { create, type Font } from 'fontkit';
import { describe, expect, it } from 'vitest';
import { pdfFaces, pdfWords } from '../../testing/pdf-words.js';
import { Press } from './press.js';
import { EVEN_TYPEFACE, TYPEFACE } from './typeface.js';
import { FAMILIES, isInLetters } from './with-signs.js';

const inBase64 = (address: string): string => address.slice(address.indexOf(',') + 1);
const SIGNS = { normal: signsNormal, bold: signsBold };
/** The second typeface as the press gets it. */
const WEIGHTS = { normal: inBase64(signsNormal), bold: inBase64(signsBold) };
const fontsOf = ({ normal, bold }: typeof SIGNS): Font[] =>
  [normal, bold].map((address) => create(Buffer.from(inBase64(address), 'base64')) as Font);
const SAID = import.meta.glob<string>(['../../../../words/src/**/*.ts', '!**/*.test.ts'], {
  query: '?raw',
  import: 'default',
  eager: true,
});

/** Letters of a text that one of these weights can't write, as fontkit reads the files. */
const lacking = (fonts: readonly Font[], text: Iterable<string>): string[] =>
  [...text].filter((sign) => fonts.some((font) => !font.hasGlyphForCodePoint(sign.codePointAt(0) ?? 0)));

describe('typefaces on paper', () => {
  it('the product’s own has every letter that it is taken to have, in both weights, and even', () => {
    const all = Array.from({ length: 0x2300 - 0x20 }, (_, at) => String.fromCodePoint(0x20 + at));
    const letters = all.filter(isInLetters);
    expect(letters.length).toBeGreaterThan(200);
    expect(lacking([...fontsOf(TYPEFACE), ...fontsOf(EVEN_TYPEFACE)], letters)).toEqual([]);
    for (const sign of 'Ωµ≤≥→') expect(isInLetters(sign)).toBe(false);
    // However long: a report holds its photos as text.
    expect([isInLetters('a'.repeat(2e7)), isInLetters(`${'a'.repeat(2e7)}Ω`)]).toEqual([true, false]);
  });

  it('the second one has every sign that the words have besides', () => {
    expect(Object.keys(SAID).length).toBeGreaterThan(100);
    const signs = new Set(
      Object.values(SAID).flatMap((text) => [...text].filter((one) => !isInLetters(one))),
    );
    expect([...signs]).toEqual(expect.arrayContaining([...'Ω→']));
    expect(lacking(fontsOf(SIGNS), [...signs, ...'µ≤≥'])).toEqual([]);
  });
});

describe('a PDF', () => {
  const asked: number[] = [];
  const press = new Press(() => {
    asked.push(1);
    return Promise.resolve(WEIGHTS);
  });
  const read = async (bytes: Uint8Array) => ({ faces: pdfFaces(bytes), words: await pdfWords(bytes) });

  it('of plain words is set in the product’s typeface alone', async () => {
    const { faces, words } = await read(
      await press.lay({ foot: 'Job 1', content: ['Reading lamp', { text: 'passes', bold: true }] }),
    );
    expect(faces).toEqual(['AtkinsonHyperlegibleNext-Bold', 'AtkinsonHyperlegibleNext-Regular']);
    expect(words).toMatch(/Reading lamp.*passes.*Job 1/);
    expect(asked).toEqual([]);
  });

  it('with ohm, micro, at most, at least and an arrow has them from the second, wherever they stand', async () => {
    const drawing = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 20"><title>Ω</title><text x="45" y="12" text-anchor="middle" font-family="${FAMILIES.even}, monospace">47 Ω &#38; 5</text></svg>`;
    const { faces, words } = await read(
      await press.lay({
        foot: 'Job 2 → bench',
        content: [
          '0.3 Ω',
          { text: ['at most ', { text: '≤ 5 µA', bold: true }] },
          { ul: ['1 → 2'], bold: true },
          { columns: [{ stack: ['≥ 10 kΩ'] }] },
          { table: { body: [['Łódź', { text: 'Ж' }]] } },
          // A mark that stands over its letter stays with it.
          'Zoe\u0308',
          { svg: drawing },
        ],
      }),
    );
    // The reader gives the micro sign as the Greek letter that it stands for (Unicode, NFKC).
    const plain = (text: string) => text.normalize('NFKC').replaceAll(' ', '');
    for (const part of [
      '0.3 Ω',
      '≤ 5 µA',
      '1 → 2',
      '≥ 10 kΩ',
      'Łódź',
      'Ж',
      'Zoë',
      '47 Ω & 5',
      'Job 2 → bench',
    ])
      expect(plain(words)).toContain(plain(part));
    expect(faces).toEqual([
      'AtkinsonHyperlegibleMono-Regular',
      'AtkinsonHyperlegibleNext-Bold',
      'AtkinsonHyperlegibleNext-Regular',
      'DejaVuSans',
      'DejaVuSans-Bold',
    ]);
    expect(asked).toEqual([1]);
  });

  it('that needs a sign isn’t made without it, and is made once the typeface can be read', async () => {
    let there = false;
    const waiting = new Press(() =>
      there ? Promise.resolve(WEIGHTS) : Promise.reject(new Error('not there')),
    );
    await expect(waiting.lay({ content: ['0.3 Ω'] })).rejects.toThrow('not there');
    there = true;
    expect((await waiting.lay({ content: ['0.3 Ω'] })).length).toBeGreaterThan(1000);
  });
});
