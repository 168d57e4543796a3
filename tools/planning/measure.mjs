import { readFileSync } from 'node:fs';
import { patternOfKnown } from '@which-way/core/partition';
import { blankField, EMPTY_HANDS, ORDINARY_HANDS, runCourse } from '@which-way/core/planner';
export const readCases = (path) =>
  JSON.parse(readFileSync(path, 'utf8')).library.map((known) => ({ known, pattern: patternOfKnown(known) }));
export const run = (pattern, planner, costs = ORDINARY_HANDS, options = {}) =>
  runCourse(
    blankField(pattern[0].length, pattern.length),
    { hands: EMPTY_HANDS, costs, planner, joined: (s, a, b) => pattern[s][a] === pattern[s][b] },
    options,
  );
