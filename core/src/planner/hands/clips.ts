import { clipsOf, unprovedUses, type Clips, type ClipUse, type SwitchMap } from '../../continuity/index.js';
import type { Ask, Deed } from '../../log/index.js';
import type { TerminalId } from '../../switch/index.js';

/** What the hands do with the clips: first touch what is to come off, or else take off, put on, and touch each new one. */
export interface ClipChange {
  off: TerminalId[];
  on: Clips;
  /** Touched with the lone lead: clips that nobody proved since they were put on, or since they were read with. */
  touch: TerminalId[];
  /** What is on is touched before it comes off: one dead clip falsifies a whole run. */
  closing: boolean;
}

/**
 * The change of clips that an ask wants; null when it wants none, or all that it ties is tied and proved.
 * @param ask null: nothing more is asked, and all clips come off.
 */
export function clipChangeFor(map: SwitchMap, ask: Ask | null): ClipChange | null {
  const { now, alive } = map.clips;
  const wanted = clipsWanted(ask);
  const without = (all: readonly TerminalId[], others: readonly TerminalId[]) =>
    all.filter((one) => !others.includes(one));
  const off = [...without(now.red, wanted.red), ...without(now.black, wanted.black)];
  const closing = clipsToProve(map).filter((one) => off.includes(one));
  if (closing.length > 0) return { off: [], on: { red: [], black: [] }, touch: closing, closing: true };
  if (ask?.kind !== 'bundle') return null;
  const on = { red: without(wanted.red, now.red), black: without(wanted.black, now.black) };
  const touch = [...wanted.red, ...wanted.black].filter((one) => !alive.has(one) || off.includes(one));
  return touch.length > 0 ? { off, on, touch, closing: false } : null;
}

/** Clips that an ask ties together. */
const clipsWanted = (ask: Ask | null): Clips =>
  ask?.kind === 'bundle' ? { red: clipsOf(ask.red), black: clipsOf(ask.black) } : { red: [], black: [] };

/**
 * What is written down when the clips are touched that an ask wants touched now; null when it wants none. A closing touch leaves the
 * clips as they are; what the ask wants comes after it.
 * @param silent those that made no contact.
 */
export function clipTouch(
  map: SwitchMap,
  ask: Ask | null,
  silent: readonly TerminalId[] = [],
): Extract<Deed, { kind: 'clips-touched' }> | null {
  const change = clipChangeFor(map, ask);
  if (!change) return null;
  const { red, black } = change.closing ? map.clips.now : clipsWanted(ask);
  return { kind: 'clips-touched', ...{ red, black, silent: [...silent], touched: change.touch } };
}

/** Clips that are on, and were read with since they were proved: they are touched once more before they come off. */
export function clipsToProve(map: SwitchMap): TerminalId[] {
  const { now, uses } = map.clips;
  const open = new Set(uses.flatMap(({ terminal, standing }) => (standing === 'on' ? [terminal] : [])));
  return [...now.red, ...now.black].filter((one) => open.has(one));
}

/** What is known only if clips made contact that came off before anyone proved them. */
export const clipsLeftUnproved = (map: SwitchMap): ClipUse[] =>
  unprovedUses(map.clips).filter(({ standing }) => standing === 'unproved');
