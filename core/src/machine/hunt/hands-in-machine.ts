import type { SettingId } from '../../switch/index.js';
import type { HuntEvidence } from './evidence.js';

/** Seconds inside a machine, where hands reach less well than at a bench: the handle, a lead laid, a read (to reckon with, not measured). */
const HANDLE = 3;
const LEAD = 4;
const READ = 1;

/** What a probe between two places costs from where the last one left the handle and the leads. */
export function probeSeconds(
  { probed }: HuntEvidence,
  setting: SettingId,
  between: readonly [number, number],
): number {
  const last = probed.at(-1);
  const moved = between.filter((place) => !last?.between.includes(place)).length;
  return (last?.setting === setting ? 0 : HANDLE) + LEAD * moved + READ;
}
