import type { Least } from '../legible.js';
import { piecesOf, type Picture } from '../shape.js';
import { NARROW, WIDE, type MachineDrawn } from './machine-drawn.js';
import { routed } from './machine-lanes.js';
import { belowOf, bodyMark, joinMark, leadMark, loadMark, lugMark, railMark } from './machine-marks.js';
import { placesOf } from './machine-places.js';

export type { MachineDrawn, MachineLoad, MachinePoint } from './machine-drawn.js';

/**
 * A machine laid out by rule: live supplies left, the switch, the loads, the returns right; a lead has a lane of its own.
 * @param room `narrow`: laid out for a phone.
 */
export function machinePicture(
  drawn: MachineDrawn,
  caption: string,
  { narrow, least }: { narrow: boolean; least: Least } = { narrow: false, least: 0 },
): Picture {
  const sheet = narrow ? NARROW : WIDE;
  const pen = { sheet, least };
  const { supplies, lugs, joins, loads, leads } = drawn;
  const places = placesOf(drawn, sheet);
  const { railX, loadTops, inside, bottom, lugAt } = places;
  const shapes = [
    supplies.map((supply, at) =>
      railMark(pen, supply, { x: railX[at] as number, bottom, below: belowOf(supplies, at) }),
    ),
    bodyMark(pen, drawn.switchName, inside),
    leads
      .map((lead, at) => ({ lead, at }))
      .toSorted((one, other) => Number(one.lead.carries) - Number(other.lead.carries))
      .map(({ lead, at }) => leadMark(pen, lead, routed(places, lead, at))),
    joins.map(({ a, b, carries }) => joinMark(sheet, lugAt(a), lugAt(b), carries)),
    lugs.map((lug, at) => lugMark(pen, lug.label, lugAt(at))),
    loads.map((load, at) => loadMark(pen, load, loadTops[at] ?? 0)),
  ];
  return { width: sheet.width, height: bottom + 36, shapes: piecesOf(shapes), caption };
}
