import { recordsOf } from '@which-way/core/log';
import { TransformComponent, TransformWrapper } from 'react-zoom-pan-pinch';
import { useMemo, useState } from 'react';
import { useJobState } from '../../job/job-context.js';
import { photoUrl } from '../photos/photo-url.js';
import { Pick } from '../../controls/fields/pick.js';
import { PINNED_DIAGRAM_TEXT } from '@which-way/words/screens/parts/diagram/pinned-diagram';

/** The pictures of the maker's diagram, newest first. */
export function useDiagrams() {
  const log = useJobState(({ map }) => map.log);
  return useMemo(
    () =>
      recordsOf(log, 'photo-taken')
        .filter(({ purpose }) => purpose === 'diagram')
        .toReversed(),
    [log],
  );
}

/** The maker's diagram beside the work: moved and enlarged, and in nobody's way. */
export function PinnedDiagram() {
  const diagrams = useDiagrams();
  const [picked, setPicked] = useState('');
  const shown = diagrams.find(({ id }) => id === picked) ?? diagrams[0];
  if (!shown) return null;
  return (
    <div className="grid gap-2">
      {diagrams.length > 1 && (
        <Pick
          quiet
          label={PINNED_DIAGRAM_TEXT.whichDiagram}
          value={shown.id}
          options={diagrams.map(({ id, caption }, place) => ({
            value: id,
            text: caption || `Diagram ${diagrams.length - place}`,
          }))}
          onPick={setPicked}
        />
      )}
      <TransformWrapper minScale={1} maxScale={8}>
        <TransformComponent wrapperClass="!w-full rounded-part border-2 border-line bg-sheet">
          <img
            src={photoUrl(shown.id)}
            alt={shown.caption || PINNED_DIAGRAM_TEXT.theMakersDiagram}
            className="max-h-[60vh] w-full object-contain"
          />
        </TransformComponent>
      </TransformWrapper>
      <p className="text-small text-quiet">{PINNED_DIAGRAM_TEXT.turnTheWheelOrPinch}</p>
    </div>
  );
}
