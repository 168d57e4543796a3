import type { Content } from 'pdfmake/interfaces';

/** The family of the product's typeface on paper, the even one, and the one for signs that both lack. */
export const FAMILIES = {
  text: 'Atkinson Hyperlegible Next',
  even: 'Atkinson Hyperlegible Mono',
  signs: 'DejaVu Sans',
} as const;

/** What the product's typeface has, in both weights and even; a test holds it to the shipped files. */
const LETTERS =
  '\\u0020-\\u007e\\u00a0-\\u00ac\\u00ae-\\u00b4\\u00b6-\\u00ff\\u0131\\u0152\\u0153\\u2013\\u2014\\u2018-\\u201a\\u201c-\\u201e\\u2022\\u2026\\u2039\\u203a\\u20ac\\u2122\\u2212\\n\\t';
/** A letter that has no mark over it: a mark stays with its letter. */
const LETTER = `[${LETTERS}](?!\\p{M})`;
const RUNS = new RegExp(`(?:${LETTER})+|(?:(?!${LETTER}).)+`, 'gsu');
const A_SIGN = new RegExp(`[^${LETTERS}]`, 'u');

/** Whether the product's typeface can write all of a text: ohm, micro, arrows and other alphabets it can't. */
export const isInLetters = (text: string): boolean => !A_SIGN.test(text);

/** A text in runs of one typeface each. */
const runsOf = (text: string): Content[] =>
  (text.match(RUNS) ?? []).map((run) => (isInLetters(run) ? run : { text: run, font: FAMILIES.signs }));

const inText = (text: Content): Content =>
  typeof text === 'string'
    ? isInLetters(text)
      ? text
      : (runsOf(text) as Content)
    : Array.isArray(text)
      ? text.flatMap((part) => (typeof part === 'string' ? runsOf(part) : [withSigns(part)]))
      : withSigns(text);

/** The words of a drawing, with a family of their own for signs. */
const inDrawing = (svg: string): string =>
  isInLetters(svg)
    ? svg
    : svg.replace(/(<text\b[^>]*>)([^]*?)(<\/text>)/g, (_, begin: string, inner: string, end: string) => {
        const words = inner.replace(/(^|>)([^<]+)/g, (__, before: string, text: string) => {
          const runs = text.match(RUNS) ?? [];
          const set = (run: string) =>
            isInLetters(run) ? run : `<tspan font-family="${FAMILIES.signs}">${run}</tspan>`;
          return before + runs.map(set).join('');
        });
        return begin + words + end;
      });

/** What a piece of paper may hold besides its own looks. */
interface Holder {
  text?: Content;
  stack?: Content[];
  columns?: Content[];
  ul?: Content[];
  ol?: Content[];
  table?: { body: Content[][] };
  svg?: string;
}

/** What is laid out on paper, with each sign that the product's typeface lacks set in the one that has it. */
export function withSigns(content: Content): Content {
  if (typeof content === 'string') return isInLetters(content) ? content : { text: runsOf(content) };
  if (Array.isArray(content)) return content.map(withSigns);
  const { text, stack, columns, ul, ol, table, svg } = content as Holder;
  return {
    ...(content as object),
    ...(text !== undefined && { text: inText(text) }),
    ...(stack && { stack: stack.map(withSigns) }),
    ...(columns && { columns: columns.map(withSigns) }),
    ...(ul && { ul: ul.map(withSigns) }),
    ...(ol && { ol: ol.map(withSigns) }),
    ...(table && { table: { ...table, body: table.body.map((row) => row.map(withSigns)) } }),
    ...(svg !== undefined && { svg: inDrawing(svg), font: FAMILIES.text }),
  } as Content;
}
