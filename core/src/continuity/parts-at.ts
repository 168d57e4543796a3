import { liveEvents, type Log, type Part } from '../log/index.js';
import type { ReadingId } from '../switch/index.js';

/** Foreign paths that were on the switch when a reading was taken. */
export type PartsAt = (reading: ReadingId) => readonly Part[];

const NONE: readonly Part[] = [];
/** Nothing was declared. */
export const NO_PARTS: PartsAt = () => NONE;

/**
 * Which declared parts were on when each reading was taken: a part that was declared later was there all the time, and one that was
 * taken off is off from then on. What was removed from the list never was.
 */
export function partsAt(log: Log): { at: PartsAt; key: string } {
  const said = liveEvents(log, 'part-declared');
  if (said.length === 0) return { at: NO_PARTS, key: '' };
  const newest = new Map(said.map(({ what: { part } }) => [part.id, part]));
  const there = [...newest.values()].filter(({ removed }) => !removed);
  const isOn = new Map(
    there.map(({ id }) => [id, said.find(({ what }) => what.part.id === id)?.what.part.on === true]),
  );
  const current = () =>
    there.map((part): Part => ({ ...part, on: isOn.get(part.id) === true })).filter(({ on }) => on);
  const ids = new Set(said.map(({ id }) => id));
  const by = new Map<ReadingId, readonly Part[]>();
  let now = current();
  for (const event of log.ordered) {
    const { what } = event;
    if (what.kind === 'part-declared' && ids.has(event.id)) {
      isOn.set(what.part.id, what.part.on);
      now = current();
    } else if (what.kind === 'answered') for (const { id } of what.readings) by.set(id, now);
    else if (what.kind === 'superseded' && what.replacement) by.set(what.replacement.id, now);
  }
  const key = said.map(({ id }) => id).join();
  return { at: (reading) => by.get(reading) ?? now, key };
}
