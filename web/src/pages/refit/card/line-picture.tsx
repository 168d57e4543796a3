import type { SwitchMap } from '@which-way/core/continuity';
import type { CardLine, Refit } from '@which-way/core/refit';
import { lugOnLugPicture } from '@which-way/drawing/lug-on-lug';
import { sideBySidePicture, type SideBySide } from '@which-way/drawing/side-by-side';
import { strandOf } from '@which-way/drawing/strand';
import { GROUND_WORDS } from '@which-way/words/table/drawings';
import { cardLineWords } from '@which-way/words/refit';
import { SideSwitch } from '../../../parts/drawings/side-switch.js';
import { useViewSide } from '../../../parts/drawings/view-side.js';
import { WholePicture } from '../../../parts/drawings/whole-picture.js';
import { movedWires } from './moved-wires.js';

/** Old and new with the wire of one line between them, from the terminals or as the hand sees them from the front. */
export function LinePicture({
  map: { structure },
  refit,
  line,
}: {
  map: SwitchMap;
  refit: Refit;
  line: CardLine;
}) {
  const { side } = useViewSide();
  const wires = movedWires(refit, [line]);
  const caption = cardLineWords(line);
  const drawn: SideBySide = {
    seenFrom: side,
    old: structure,
    fresh: refit.lugs,
    wires,
    strand: strandOf(0),
    ties: refit.jumpers.map((pair) => [...pair]),
    ...(refit.way === 'same' && { freshLies: structure }),
    oldJoins: [],
    freshJoins: [],
    differs: new Set(),
  };
  const said = { ...GROUND_WORDS, old: 'as it was', fresh: refit.name, caption };
  return (
    <figure>
      <SideSwitch />
      {/* On a phone as two columns of lugs: side by side they are too small to read. */}
      <WholePicture
        draw={({ narrow, least }) => (narrow ? lugOnLugPicture : sideBySidePicture)(drawn, said, least)}
        caption={caption}
      />
    </figure>
  );
}
