import type { Wire } from '@which-way/core/log';

/** The next tag number that no wire has. */
export function nextTag(wires: readonly Wire[]): string {
  const highest = wires.reduce((most, { tag }) => Math.max(most, /^\d+$/.test(tag) ? Number(tag) : 0), 0);
  return String(highest + 1);
}
