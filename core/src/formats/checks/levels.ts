import { MOST_LEVELS } from '../../schema/index.js';

/** Lists and objects inside one another, at most as many as matter: a value deeper than that is never walked to its end. */
export function levelsOf(value: unknown, most = MOST_LEVELS + 1): number {
  let level = 0;
  let row = [value];
  while (level < most) {
    const next: unknown[] = [];
    for (const item of row)
      if (typeof item === 'object' && item !== null)
        for (const inner of Object.values(item)) next.push(inner);
    if (next.length === 0)
      return level + (row.some((item) => typeof item === 'object' && item !== null) ? 1 : 0);
    row = next;
    level += 1;
  }
  return level;
}
