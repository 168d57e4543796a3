import type { ClipChange } from '@which-way/core/planner';
import { lastCheck } from '@which-way/core/sense';
import { recordsOf } from '@which-way/core/log';
import { type TerminalId } from '@which-way/core/switch';
import { useMemo } from 'react';
import type { Inspected } from '../../../parts/facts/inspector.js';
import { linksOf } from '../../../parts/drawings/links.js';
import { SwitchDrawing, type DrawnTie, type TerminalPart } from '../../../parts/drawings/switch-drawing.js';
import { photoOfLayout } from '../../../parts/photos/photo-url.js';
import { useViewSide, SIDE_WORDS } from '../../../parts/drawings/view-side.js';
import { valueWords } from '@which-way/words/quantity';
import { isJoin } from '@which-way/core/probing';
import type { Probing } from '../probing/use-probing.js';
import { MAP_DRAWING_TEXT } from '@which-way/words/screens/pages/map/board/map-drawing';

/** The switch with its links so far, and with the leads where the prompt wants them. */
export function MapDrawing({ probing, onPick }: { probing: Probing; onPick: (about: Inspected) => void }) {
  const { map, at, found } = probing;
  const { settings, structure, tape } = map;
  const links = useMemo(
    () => linksOf({ settings, structure, tape }, at, onPick),
    [settings, structure, tape, at, onPick],
  );
  const parts = useMemo(() => recordsOf(map.log, 'part-declared'), [map.log]);
  const { side } = useViewSide();
  return (
    <SwitchDrawing
      {...map.structure}
      side={side}
      photo={photoOfLayout(map)}
      links={links}
      parts={parts}
      roleOf={(id) => roleOf(probing, id)}
      ties={tiesOf(probing)}
      noteOf={(id) => {
        if (probing.task?.kind === 'clips') return clipNote(probing.task.change, found.has(id), id);
        const value = found.get(id);
        return value && value.kind !== 'tone' ? valueWords(value) : null;
      }}
      onTerminal={(terminal) => probing.act({ do: 'touch', terminal })}
      caption={MAP_DRAWING_TEXT.theSwitch(SIDE_WORDS[side])}
    />
  );
}

/** What is tied together on a lead while a bundle is set up and read. */
function tiesOf({ task, map }: Probing): DrawnTie[] {
  const tied = task?.kind === 'clips' && task.change.closing ? map.clips.now : bundleOf(task);
  if (!tied) return [];
  const { red, black } = tied;
  const ties: DrawnTie[] = [
    { lead: 'red', ids: red },
    { lead: 'black', ids: black },
  ];
  return ties.filter(({ ids }) => ids.length > 1);
}

function bundleOf(task: Probing['task']) {
  const ask = task?.kind === 'prompt' || task?.kind === 'clips' ? task.prompt?.ask : null;
  return ask?.kind === 'bundle' ? ask : null;
}

/** What the hands do with a clip, in the order in which they do it. */
function clipNote({ off, on, touch }: ClipChange, silent: boolean, id: TerminalId): string | null {
  if (silent) return 'silent';
  if (off.includes(id)) return 'clip off';
  if ([...on.red, ...on.black].includes(id)) return 'clip on';
  return touch.includes(id) ? 'touch' : null;
}

function roleOf(
  { map, task, found, implied, hands: { picked }, stepAt }: Probing,
  id: TerminalId,
): TerminalPart {
  if (stepAt === id) return 'now';
  if (picked !== null) return picked === id ? 'red' : 'plain';
  if (task?.kind === 'correct')
    return task.reading.red.includes(id) ? 'red' : task.reading.black.includes(id) ? 'black' : 'plain';
  if (task?.kind === 'clips' && found.has(id)) return 'picked';
  if (task?.kind === 'clips' && task.change.off.includes(id)) return 'not-needed';
  if (task?.kind === 'clips' && (task.change.closing || !task.prompt))
    return task.change.touch.includes(id) ? 'black' : 'plain';
  if ((task?.kind !== 'prompt' && task?.kind !== 'clips') || !task.prompt) return 'plain';
  const { ask } = task.prompt;
  if ([ask.red].flat().includes(id)) return 'red';
  if (found.has(id)) {
    const value = found.get(id);
    return value && isJoin(value, lastCheck(map.log)) ? 'sounded' : 'not-needed';
  }
  if (implied.has(id)) return 'not-needed';
  return [ask.black].flat().includes(id) ? 'black' : 'plain';
}
