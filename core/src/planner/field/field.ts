import {
  areApart,
  copyState,
  hold,
  inferDeeply,
  merge,
  netOf,
  propagate,
  type Clause,
  type NetState,
} from '../../continuity/index.js';
import type { PairMarks } from '../../partition/index.js';
import type { Move } from '../hands/move.js';

/** What is known of one setting, as planners need it. */
export interface FieldSetting {
  nets: NetState;
  /** Low bundles of which nobody knows yet which pair closed them. */
  clauses: Clause[];
  /** Pairs that are not to be asked: skipped, in dispute, read without result. */
  leaveOut: PairMarks;
  /** Pairs to be looked at again: a bundle across one says nothing of the others. */
  odd?: PairMarks;
  /** The handle has to be held against a spring. */
  held: boolean;
  /** No bundles here: readings contradict, or a bundle said nothing and has to be split. */
  pairsOnly: boolean;
}

/** What is known of all required settings, in handle order: the state that every planner plans from. */
export interface Field {
  size: number;
  /** Contact terminals, in order; the frame is no part of the pattern. */
  places: number[];
  settings: FieldSetting[];
  /** Bundle readings so far, and how many of them were low. */
  bundles: { all: number; low: number };
  /** Terminals that look like a common: probed a little sooner, never counted. */
  commons?: ReadonlySet<number>;
}

/** Whether nobody knows if two terminals join in a setting, and it may be asked. */
export function isUnknown(field: Field, setting: number, a: number, b: number): boolean {
  const { nets, leaveOut } = field.settings[setting] as FieldSetting;
  const [one, other] = [netOf(nets, a), netOf(nets, b)];
  return one !== other && !nets.apart.has(one, other) && !leaveOut.has(a, b);
}

/** One terminal for each net of a setting, in order: the first of its net. */
export function headsOf(field: Field, setting: number): number[] {
  const { nets } = field.settings[setting] as FieldSetting;
  const seen = new Uint8Array(field.size);
  return field.places.filter((place) => {
    const net = netOf(nets, place);
    if (seen[net] === 1) return false;
    seen[net] = 1;
    return true;
  });
}

/** The nets of a setting by place, and whether two of them, by name, are neither one nor apart. */
function looseEnds({ size }: Field, { nets }: FieldSetting): (a: number, b: number) => boolean {
  const net = Int16Array.from({ length: size }, (_, place) => netOf(nets, place));
  return (a, b) => {
    const [one, other] = [net[a] as number, net[b] as number];
    return one !== other && !nets.apart.has(one, other);
  };
}

/** Pairs of nets of a setting that are still to be asked. */
export function unknownPairsOf(field: Field, setting: number): [number, number][] {
  const heads = headsOf(field, setting);
  const { leaveOut } = field.settings[setting] as FieldSetting;
  const loose = looseEnds(field, field.settings[setting] as FieldSetting);
  const pairs: [number, number][] = [];
  for (let at = 0; at < heads.length; at += 1)
    for (let next = at + 1; next < heads.length; next += 1) {
      const [one, other] = [heads[at] as number, heads[next] as number];
      if (!leaveOut.has(one, other) && loose(one, other)) pairs.push([one, other]);
    }
  return pairs;
}

/** The first row i < j in terminal order with something to ask, one terminal for each net; null when there is none. */
export function firstRow(field: Field, setting: number): { red: number; black: number[] } | null {
  const { places } = field;
  const { leaveOut } = field.settings[setting] as FieldSetting;
  const heads = headsOf(field, setting);
  const loose = looseEnds(field, field.settings[setting] as FieldSetting);
  for (const red of places) {
    const black = heads.filter((head) => head > red && !leaveOut.has(red, head) && loose(red, head));
    if (black.length > 0) return { red, black };
  }
  return null;
}

/**
 * What a bundle of two sides will say in a setting, as far as it follows: `closed` when a net meets both sides or every
 * pair that could meet a low bundle is in it; `open` when all nets across are apart, or a bundle would say nothing here; null
 * when it is worth asking.
 */
export function bundleSays(
  field: Field,
  setting: number,
  red: readonly number[],
  black: readonly number[],
): 'closed' | 'open' | null {
  const { nets, clauses, pairsOnly, odd } = field.settings[setting] as FieldSetting;
  if (pairsOnly || (odd && red.some((a) => black.some((b) => odd.has(a, b))))) return 'open';
  const [reds, blacks] = [red, black].map((side) => new Set(side.map((place) => netOf(nets, place)))) as [
    Set<number>,
    Set<number>,
  ];
  let open = true;
  for (const one of reds) {
    if (blacks.has(one)) return 'closed';
    for (const other of blacks) if (!nets.apart.has(one, other)) open = false;
  }
  if (open) return 'open';
  const covers = (one: number, other: number) =>
    (reds.has(one) && blacks.has(other)) || (reds.has(other) && blacks.has(one));
  const covered = clauses.some((clause) =>
    clause.red.every((a) =>
      clause.black.every(
        (b) =>
          areApart(nets, a, b) || netOf(nets, a) === netOf(nets, b) || covers(netOf(nets, a), netOf(nets, b)),
      ),
    ),
  );
  return covered ? 'closed' : null;
}

/** A field that can be changed without changing the first. */
export function copyField(field: Field): Field {
  return {
    ...field,
    bundles: { ...field.bundles },
    settings: field.settings.map((one) => ({
      ...one,
      nets: copyState(one.nets),
      clauses: one.clauses.slice(),
    })),
  };
}

/** What was read between the leads in a setting, by place. */
export interface FieldReading {
  setting: number;
  red: readonly number[];
  black: readonly number[];
  closed: boolean;
}

/**
 * Takes one reading into the field, in place.
 * @returns whether it agrees with what is known; where it does not, the field is not to be used any more.
 * @param deep also draw what only a search over the low bundles shows, as the map does.
 */
export function takeReading(
  field: Field,
  { setting, red, black, closed }: FieldReading,
  deep = false,
): boolean {
  const state = field.settings[setting] as FieldSetting;
  const { nets, clauses } = state;
  const [one, other] = [red[0], black[0]];
  const bundle = red.length > 1 || black.length > 1;
  let agrees = true;
  if (bundle) {
    field.bundles.all += 1;
    if (closed) field.bundles.low += 1;
  }
  if (!closed) for (const a of red) for (const b of black) agrees &&= hold(nets, a, b);
  else if (!bundle && one !== undefined && other !== undefined) agrees = merge(nets, one, other);
  else clauses.push({ red: red.slice(), black: black.slice(), reading: '' as never, by: 'ohms' });
  if (clauses.length > 0) {
    agrees &&= propagate(nets, clauses) && (!deep || inferDeeply(nets, clauses));
    state.clauses = liveClauses(nets, clauses);
  }
  return agrees;
}

/** Low bundles that no net is known to close yet. */
export function liveClauses(nets: NetState, clauses: readonly Clause[]): Clause[] {
  return clauses.filter(
    ({ red, black }) => !red.some((a) => black.some((b) => netOf(nets, a) === netOf(nets, b))),
  );
}

/**
 * Makes a move on a switch whose nets are known, in place: takes every reading that does not follow by then.
 * @param joined whether two terminals join in a setting.
 * @returns the terminals that black touched, or the settings that were read; null where such answers cannot all hold with
 * what is known: the field is not to be used then.
 */
export function playMove(
  field: Field,
  move: Move,
  joined: (setting: number, a: number, b: number) => boolean,
  deep = false,
): number[] | null {
  if (move.kind === 'hold') {
    const closed = (setting: number) => move.red.some((a) => move.black.some((b) => joined(setting, a, b)));
    const agree = move.settings.every((setting) =>
      takeReading(field, { setting, red: move.red, black: move.black, closed: closed(setting) }, deep),
    );
    return agree ? move.settings : null;
  }
  const { setting, red, black } = move;
  const touched: number[] = [];
  for (const place of black) {
    if (!isUnknown(field, setting, red, place)) continue;
    if (
      !takeReading(field, { setting, red: [red], black: [place], closed: joined(setting, red, place) }, deep)
    )
      return null;
    touched.push(place);
  }
  return touched;
}
