import { isDoubtfulNumber } from '@which-way/core/schema';

/**
 * A number from 0 up to `most` from what was typed: 12, 12.50 or 12,50; null for nothing typed; undefined for what is no
 * such number, and for 1,500, which may be two.
 */
export function readAmount(text: string, most = 1e6): number | null | undefined {
  const typed = text.trim().replace(',', '.');
  if (typed === '') return null;
  if (isDoubtfulNumber(text.trim())) return undefined;
  return /^\d{1,7}(\.\d{1,4})?$/.test(typed) && Number(typed) <= most ? Number(typed) : undefined;
}

const TIMES: Readonly<Record<string, number>> = { '': 1, k: 1e3, M: 1e6, G: 1e9 };

/** Ohms as they stand on an instrument: 0.2, 470, 1.5k, 2M, 500 MΩ; null for nothing typed; undefined for what is no such figure. */
export function readOhms(text: string): number | null | undefined {
  const [, figure = '', times = ''] = /^\s*(.*?)\s*([kMG]?)(?:Ω|ohms?)?\s*$/u.exec(text) ?? [];
  const amount = readAmount(figure);
  return typeof amount === 'number'
    ? amount * (TIMES[times] ?? 1)
    : figure === '' && times === ''
      ? null
      : undefined;
}
