import { recordsOf } from '@which-way/core/log';
import { type TerminalId } from '@which-way/core/switch';
import { useMemo } from 'react';
import { useJobState } from '../../../job/job-context.js';
import { photoOfLayout } from '../../../parts/photos/photo-url.js';
import type { Place } from '@which-way/drawing/arrangement';
import { SwitchDrawing } from '../../../parts/drawings/switch-drawing.js';
import { SIDE_WORDS, useViewSide } from '../../../parts/drawings/view-side.js';
import { TAG_DRAWING_TEXT } from '@which-way/words/screens/pages/tag/terminals/tag-drawing';

interface TagDrawingProps {
  picked: TerminalId | null;
  onTerminal: (id: TerminalId) => void;
  onGround?: (place: Place, height: number) => void;
}

/** The switch with its tagged wires and declared paths. */
export function TagDrawing({ picked, onTerminal, onGround }: TagDrawingProps) {
  const map = useJobState((state) => state.map);
  const { side } = useViewSide();
  const wires = useMemo(() => recordsOf(map.log, 'wire-tagged'), [map.log]);
  const parts = useMemo(() => recordsOf(map.log, 'part-declared'), [map.log]);
  return (
    <SwitchDrawing
      {...map.structure}
      side={side}
      photo={photoOfLayout(map)}
      links={[]}
      parts={parts}
      wiresAt={(id) => wires.filter(({ terminal }) => terminal === id)}
      roleOf={(id) => (id === picked ? 'picked' : 'plain')}
      onTerminal={onTerminal}
      {...(onGround ? { onGround } : {})}
      caption={TAG_DRAWING_TEXT.theSwitch(SIDE_WORDS[side])}
    />
  );
}
