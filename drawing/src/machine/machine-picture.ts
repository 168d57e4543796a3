import { piecesOf, type Picture } from '../shape.js';
import { WIDTH, type MachineDrawn } from './machine-drawn.js';
import { routed } from './machine-lanes.js';
import { belowOf, bodyMark, joinMark, leadMark, loadMark, lugMark, railMark } from './machine-marks.js';
import { placesOf } from './machine-places.js';

export type { MachineDrawn, MachineLoad, MachinePoint } from './machine-drawn.js';

/** A machine laid out by rule: live supplies left, the switch, the loads, the returns right; a lead has a lane of its own. */
export function machinePicture(drawn: MachineDrawn, caption: string): Picture {
  const { supplies, lugs, joins, loads, leads } = drawn;
  const places = placesOf(drawn);
  const { railX, loadTops, inside, bottom, lugAt } = places;
  const shapes = [
    supplies.map((supply, at) =>
      railMark(supply, { x: railX[at] as number, bottom, below: belowOf(supplies, at) }),
    ),
    bodyMark(drawn.switchName, inside),
    leads
      .map((lead, at) => ({ lead, at }))
      .toSorted((one, other) => Number(one.lead.carries) - Number(other.lead.carries))
      .map(({ lead, at }) => leadMark(lead, routed(places, lead, at))),
    joins.map(({ a, b, carries }) => joinMark(lugAt(a), lugAt(b), carries)),
    lugs.map((lug, at) => lugMark(lug.label, lugAt(at))),
    loads.map((load, at) => loadMark(load, loadTops[at] ?? 0)),
  ];
  return { width: WIDTH, height: bottom + 36, shapes: piecesOf(shapes), caption };
}
