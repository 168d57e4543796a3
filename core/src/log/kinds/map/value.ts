import type { Value } from './reading.js';

const SCALE: Record<string, number> = { m: 1e-3, '': 1, r: 1, k: 1e3, K: 1e3, M: 1e6, G: 1e9 };

export type ParsedValue = { ok: true; value: Value } | { ok: false; code: 'not-a-value' | 'negative' };

/**
 * Reads what a person types from a meter: `0,3`, `0.3`, `2k2`, `4M7`, `4R7`, `470m`, `1.2 kΩ`, `OL`, `~` (unsteady).
 * Prefixes as in the SI (m, k, M, G) and the letter-for-the-point style of IEC 60062 (2k2, 4R7).
 * Lower-case m is milli, capital M mega.
 */
export function parseValue(text: string): ParsedValue {
  const typed = text
    .trim()
    .replace(/\s+/g, '')
    .replace(/(Ω|Ω|ohms?)$/iu, '')
    .replace(',', '.');
  if (/^(ol|o\.l|0l|over|inf|∞)$/i.test(typed)) return { ok: true, value: { kind: 'over' } };
  if (/^(~|unsteady)$/i.test(typed)) return { ok: true, value: { kind: 'unsteady' } };
  if (/^[-−]/.test(typed)) return { ok: false, code: 'negative' };
  const inside = /^(\d+)([mRrkKMG])(\d+)$/.exec(typed);
  const after = /^(\d+(?:\.\d*)?|\.\d+)([mRrkKMG]?)$/.exec(typed);
  const digits = inside ? `${inside[1]}.${inside[3]}` : after?.[1];
  const prefix = (inside ? inside[2] : after?.[2]) ?? '';
  const scale = SCALE[prefix === 'R' ? 'r' : prefix];
  if (digits === undefined || scale === undefined) return { ok: false, code: 'not-a-value' };
  const ohms = Number((Number(digits) * scale).toPrecision(12));
  return Number.isFinite(ohms) && ohms < 1e12
    ? { ok: true, value: { kind: 'ohms', ohms } }
    : { ok: false, code: 'not-a-value' };
}
