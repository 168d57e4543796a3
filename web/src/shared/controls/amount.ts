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
