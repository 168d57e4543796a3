import type { Pose } from './actuator.js';

/** Degrees from what was typed; null for nothing; undefined for what is no angle. */
export function readAngle(text: string): Pose | null | undefined {
  const typed = text.trim().replace(/°$/, '').replace('−', '-');
  if (typed === '') return null;
  return /^-?\d{1,3}$/.test(typed) && Math.abs(Number(typed)) <= 360
    ? { kind: 'angle', degrees: Number(typed) }
    : undefined;
}

/** Keys from what was typed: '2', '1 3', '0' for all out; null for nothing; undefined for what are no keys. */
export function readKeys(text: string): Pose | null | undefined {
  const parts = text.split(/[\s,+]+/).filter((part) => part !== '');
  if (parts.length === 0) return null;
  if (!parts.every((part) => /^\d{1,2}$/.test(part) && Number(part) <= 24)) return undefined;
  const down = [...new Set(parts.map(Number))].filter((key) => key > 0).sort((one, other) => one - other);
  return { kind: 'keys', down };
}
