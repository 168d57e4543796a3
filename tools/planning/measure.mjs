import { readFileSync } from 'node:fs';
import { patternOfKnown } from '@which-way/core/partition';
import { blankField, EMPTY_HANDS, ORDINARY_HANDS, runCourse } from '@which-way/core/planner';
export const readCases = (path) =>
  JSON.parse(readFileSync(path, 'utf8')).library.map((known) => ({ known, pattern: patternOfKnown(known) }));
export const certificate = (pattern) =>
  pattern.reduce((sum, truth) => {
    const k = new Set(truth).size;
    return sum + truth.length - k + (k * (k - 1)) / 2;
  }, 0);
export const run = (pattern, planner, costs = ORDINARY_HANDS, options = {}) =>
  runCourse(
    blankField(pattern[0].length, pattern.length),
    EMPTY_HANDS,
    costs,
    planner,
    (s, a, b) => pattern[s][a] === pattern[s][b],
    options,
  );
