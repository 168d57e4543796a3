import { type PairMarks } from '../../partition/index.js';
import { partsJoined, withJoined, withOpen, type LooseNet } from './loose-net.js';
import type { Move } from '../hands/move.js';

/** What a re-check has left in one setting; nets and terminals are places. */
export interface RecheckSetting {
  nets: readonly number[];
  /** Which pairs of nets only one reading parts so far: by the names of two nets, `size` squared, both ways round. */
  single: PairMarks;
  loose: readonly LooseNet[];
  /** Pairs that would leave nothing loose, by pairs alone: to be read again or for the first time, expected closed. */
  joins: readonly (readonly [red: number, black: number])[];
  /** No bundles are asked here. */
  pairsOnly: boolean;
  /** Pairs that are not to be asked by themselves, both ways round: other terminals of their nets may be. */
  leaveOut: PairMarks;
  held: boolean;
}

/** What a re-check has left in all settings, in handle order. */
export interface RecheckBoard {
  size: number;
  places: readonly number[];
  settings: readonly RecheckSetting[];
}

/** Whether the handle has to be held in a setting, by its place. */
export const heldOn =
  ({ settings }: RecheckBoard) =>
  (setting: number): boolean =>
    settings[setting]?.held ?? false;

/** A board that can be changed without changing the first. */
export const copyBoard = (board: RecheckBoard): RecheckBoard => ({
  ...board,
  settings: board.settings.map((one) => ({ ...one, single: one.single.copy() })),
});

/**
 * Takes a reading that came out as expected off what is left of a setting, in place. Where the leads part no net, all
 * pairs of nets across are parted once more; where they part one net alone, a low reading joins two parts of what was
 * loose in it; where they part several, it says nothing here.
 */
export function takeExpected(
  { places, settings }: RecheckBoard,
  setting: number,
  red: readonly number[],
  black: readonly number[],
): void {
  const here = settings[setting] as RecheckSetting;
  const { nets, single } = here;
  const [reds, blacks] = [red, black].map((side) => new Set(side.map((place) => nets[place] as number))) as [
    Set<number>,
    Set<number>,
  ];
  const split = [...reds].filter((net) => blacks.has(net));
  if (split.length === 0) {
    for (const one of reds) for (const other of blacks) single.unmark(one, other);
    here.loose = here.loose.map((one) => withOpen(one, red, black));
  }
  if (split.length !== 1) return;
  const leads = nets.map((_, place) => (red.includes(place) ? 1 : black.includes(place) ? 2 : 0));
  here.loose = here.loose.flatMap((one) => {
    const joined = one.net === split[0] ? partsJoined(one, nets, leads) : null;
    return joined ? (withJoined(one, joined, nets, places) ?? []) : [one];
  });
  const pair = (a: number, b: number) =>
    red.length === 1 && red[0] === a && black.length === 1 && black[0] === b;
  here.joins = here.joins.filter(([a, b]) => !pair(a, b) && !pair(b, a));
}

/** Takes all readings of a move that came out as expected, in place. */
export function takeMove(board: RecheckBoard, move: Move): void {
  if (move.kind === 'sweep')
    for (const place of move.black) takeExpected(board, move.setting, [move.red], [place]);
  else for (const setting of move.settings) takeExpected(board, setting, move.red, move.black);
}
