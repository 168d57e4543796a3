/**
 * What the hands do next, by places of terminals and settings: planners think in these, people are asked in terms of ids.
 * `sweep`: red stays, black goes over the rest. `hold`: the leads stay while the handle goes through the settings; with
 * more than one terminal on a lead it is a bundle, tied together by clips.
 */
export type Move =
  | { kind: 'sweep'; setting: number; red: number; black: number[] }
  | { kind: 'hold'; red: number[]; black: number[]; settings: number[] };

/** A single pair in a single setting. */
export const pairMove = (setting: number, red: number, black: number): Move => ({
  kind: 'sweep',
  setting,
  red,
  black: [black],
});

/** Whether terminals are tied together for it. */
export const needsClips = (move: Move): boolean =>
  move.kind === 'hold' && (move.red.length > 1 || move.black.length > 1);

/** How many readings it gives, if nothing in it follows from the rest. */
export const readingsOfMove = (move: Move): number =>
  move.kind === 'sweep' ? move.black.length : move.settings.length;
