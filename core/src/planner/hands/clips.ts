import type { SwitchMap } from '../../continuity/index.js';
import type { Ask } from '../../log/index.js';
import type { TerminalId } from '../../switch/index.js';

/** The clips of one lead: terminals that are tied together on it; none where it is a plain probe. */
export interface Clips {
  red: TerminalId[];
  black: TerminalId[];
}

/** What the hands do before a bundle is read: first off, then on, then each new one touched with the lone lead. */
export interface ClipChange {
  off: TerminalId[];
  on: Clips;
  /** Clipped, and not proved alive since: one dead clip falsifies a whole run. */
  touch: TerminalId[];
}

interface ClipState {
  clips: Clips;
  alive: ReadonlySet<TerminalId>;
}

const several = (lead: readonly TerminalId[]): TerminalId[] => (lead.length > 1 ? [...lead] : []);

/** What is clipped where and which clips are proved, by the log: clips stay on until a reading without them. */
function clipsNow({ log }: SwitchMap): ClipState {
  let state: ClipState = { clips: { red: [], black: [] }, alive: new Set() };
  for (const { id, what } of log.ordered) {
    if (log.withdrawn.has(id) || log.aside.has(id)) continue;
    if (what.kind === 'clips-touched') {
      const on = [...what.red, ...what.black];
      state = {
        clips: { red: what.red, black: what.black },
        alive: new Set(on.filter((one) => !what.silent.includes(one))),
      };
    } else if (what.kind === 'answered') {
      const last = what.readings.at(-1);
      if (!last) continue;
      const clips = { red: several(last.red), black: several(last.black) };
      const on = new Set([...clips.red, ...clips.black]);
      state = { clips, alive: new Set([...state.alive].filter((one) => on.has(one))) };
    }
  }
  return state;
}

/** The change of clips that an ask wants; null when it wants none, or all that it ties is tied and proved. */
export function clipChangeFor(map: SwitchMap, ask: Ask): ClipChange | null {
  if (ask.kind !== 'bundle') return null;
  const { clips, alive } = clipsNow(map);
  const wanted: Clips = { red: several(ask.red), black: several(ask.black) };
  const without = (all: readonly TerminalId[], others: readonly TerminalId[]) =>
    all.filter((one) => !others.includes(one));
  const off = [...without(clips.red, wanted.red), ...without(clips.black, wanted.black)];
  const on = { red: without(wanted.red, clips.red), black: without(wanted.black, clips.black) };
  const touch = [...wanted.red, ...wanted.black].filter((one) => !alive.has(one));
  return touch.length > 0 ? { off, on, touch } : null;
}
