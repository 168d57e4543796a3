import type { Move } from '../hands/move.js';
import type { RecheckBoard } from './recheck-board.js';

/** How many courses are remembered. */
const MOST = 6;

/** What was left of the courses that were last thought of: the next decision need not find the same again. */
export interface CourseMemory {
  /** What may end the re-check of a board like this one. */
  restsFor(board: RecheckBoard): (readonly Move[])[];
  remember(board: RecheckBoard, rest: readonly Move[]): void;
}

/** A memory with nothing in it. Whoever plans one map keeps one: what one map leaves is never another's. */
export function createCourseMemory(): CourseMemory {
  const lately: { size: number; settings: number; rest: readonly Move[] }[] = [];
  return {
    restsFor: (board) =>
      lately.flatMap(({ size, settings, rest }) =>
        size === board.size && settings === board.settings.length ? [rest] : [],
      ),
    remember({ size, settings }, rest) {
      if (lately.unshift({ size, settings: settings.length, rest }) > MOST) lately.pop();
    },
  };
}
