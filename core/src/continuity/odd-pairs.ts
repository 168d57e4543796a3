import { cellOf, pairCell } from '../partition/index.js';
import type { ReadingEvidence } from '../sense/index.js';
import type { ReadingId } from '../switch/index.js';
import type { Explanations } from './settled.js';

/** A reading between two single terminals, by their places. */
export interface PlacedEvidence {
  item: ReadingEvidence;
  red: number;
  black: number;
}

const NOBODY: ReadonlySet<ReadingId> = new Set();

/** Low one way and none with the leads swapped, in ohms: a diode or electronics; neither joins nor parts. */
export function findOneWay(pairs: readonly PlacedEvidence[], size: number): ReadonlySet<ReadingId> {
  const low = new Map<number, { readings: ReadingId[]; back: ReadingId[]; spoilt: boolean }>();
  for (const { item, red, black } of pairs) {
    if (item.by !== 'ohms' || item.says !== 'joins') continue;
    const known = low.get(cellOf(size, red, black));
    if (known) known.readings.push(item.reading);
    else low.set(cellOf(size, red, black), { readings: [item.reading], back: [], spoilt: false });
  }
  if (low.size === 0) return NOBODY;
  for (const { item, red, black } of pairs) {
    if (item.by !== 'ohms' || item.says !== 'parts') continue;
    const same = low.get(cellOf(size, red, black));
    if (same) same.spoilt = true;
    low.get(cellOf(size, black, red))?.back.push(item.reading);
  }
  const found = new Set<ReadingId>();
  for (const [way, { readings, back, spoilt }] of low) {
    const bothLow = low.has(cellOf(size, way % size, Math.floor(way / size)));
    if (spoilt || bothLow || back.length === 0) continue;
    for (const reading of [...readings, ...back]) found.add(reading);
  }
  return found;
}

/**
 * Tones between terminals of which an ohm reading is accepted to be a part, a leak or a potentiometer: a beeper sounds through
 * low ohms, so such a tone says nothing beyond it.
 */
export function findSoundsThrough(
  pairs: readonly PlacedEvidence[],
  size: number,
  explained: Explanations,
): ReadonlySet<ReadingId> {
  if (explained.size === 0) return NOBODY;
  const cell = ({ red, black }: PlacedEvidence) => pairCell(size, red, black);
  const conducts = new Set(
    pairs.flatMap((pair) => {
      const as = explained.get(pair.item.reading);
      return as !== undefined && as !== 'contact' && as !== 'not-known' ? [cell(pair)] : [];
    }),
  );
  return new Set(
    pairs.flatMap((pair) =>
      pair.item.because === 'sounded' && conducts.has(cell(pair)) ? [pair.item.reading] : [],
    ),
  );
}

/** Closed when the handle comes from one side, open from the other: a worn detent or contact; neither joins nor parts. */
export function findDirection(pairs: readonly PlacedEvidence[], size: number): ReadonlySet<ReadingId> {
  if (!pairs.some(({ item }) => item.fromOtherSide)) return NOBODY;
  const read = new Map<number, { says: Set<string>[]; readings: ReadingId[] }>();
  for (const { item, red, black } of pairs) {
    if (item.says === 'nothing') continue;
    const cell = pairCell(size, red, black);
    const known = read.get(cell) ?? { says: [new Set<string>(), new Set<string>()], readings: [] };
    known.says[item.fromOtherSide ? 1 : 0]?.add(item.says);
    known.readings.push(item.reading);
    read.set(cell, known);
  }
  const found = new Set<ReadingId>();
  for (const { says, readings } of read.values()) {
    const [usual, other] = says.map((said) => (said.size === 1 ? [...said][0] : null));
    if (usual && other && usual !== other) for (const reading of readings) found.add(reading);
  }
  return found;
}
