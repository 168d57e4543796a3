import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Typeface } from '@which-way/words/report/page';

const { resolve } = createRequire(import.meta.url);
const address = (weight: number): string => {
  const file = resolve(
    `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
  );
  return `data:font/woff;base64,${readFileSync(file).toString('base64')}`;
};

let read: Typeface | null = null;

/** The product's typeface as addresses that hold it whole: a page that a link shows fetches nothing for it. */
export const typeface = (): Typeface => (read ??= { normal: address(400), bold: address(700) });
