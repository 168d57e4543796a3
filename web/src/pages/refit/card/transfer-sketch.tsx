import type { SwitchMap } from '@which-way/core/continuity';
import type { CardLine, Refit } from '@which-way/core/refit';
import { lugOnLugPicture } from '@which-way/drawing/lug-on-lug';
import { strandOf } from '@which-way/drawing/strand';
import { TRANSFER_SKETCH_TEXT } from '@which-way/words/screens/pages/refit/card/transfer-sketch';
import { WholePicture } from '../../../parts/drawings/whole-picture.js';
import { movedWires } from './moved-wires.js';

/** On paper alone: every wire of the card as one line from the old lug to the new, beside the lines that are ticked. */
export function TransferSketch({
  map: { structure },
  refit,
  lines,
}: {
  map: SwitchMap;
  refit: Refit;
  lines: readonly CardLine[];
}) {
  const wires = movedWires(refit, lines);
  if (wires.length === 0) return null;
  const picture = lugOnLugPicture(
    {
      old: structure,
      fresh: refit.lugs,
      wires,
      ties: refit.jumpers.map((pair) => [...pair]),
      strand: strandOf(0),
      oldJoins: [],
      freshJoins: [],
      differs: new Set(),
    },
    { old: TRANSFER_SKETCH_TEXT.asItWas, fresh: refit.name, caption: TRANSFER_SKETCH_TEXT.everyWire },
  );
  return (
    <figure className="hidden break-inside-avoid print:block">
      <WholePicture draw={() => picture} caption={picture.caption} />
      <figcaption>{TRANSFER_SKETCH_TEXT.everyWire}</figcaption>
    </figure>
  );
}
