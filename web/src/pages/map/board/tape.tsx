import { actWords, placesOfAct } from '@which-way/words/map/tape';
import type { TapeLine } from '@which-way/core/sense';
import type { EventId, ReadingId, Structure } from '@which-way/core/switch';
import { memo, useMemo, useState } from 'react';
import { ReadingLine } from '../../../parts/facts/inspector.js';
import { TAPE_TEXT } from '@which-way/words/screens/pages/map/board/tape';

/** How many acts the tape shows before it asks. */
const SHOWN = 40;

interface TapeProps {
  tape: readonly TapeLine[];
  structure: Structure;
  onReadAgain: (id: ReadingId) => void;
}

/** Every act, newest first; an act opens into its readings, each of which can be read again or taken out. */
export const Tape = memo(function Tape({ tape, structure, onReadAgain }: TapeProps) {
  const [open, setOpen] = useState<EventId | null>(null);
  const [all, setAll] = useState(false);
  const acts = useMemo(() => groupActs(tape), [tape]);
  if (acts.length === 0) return <p className="text-quiet">{TAPE_TEXT.noReadingYet}</p>;
  return (
    <>
      <ol className="grid" aria-label={TAPE_TEXT.readingsNewestFirst}>
        {acts.slice(0, all ? undefined : SHOWN).map((lines) => {
          const id = (lines[0] as TapeLine).event.id;
          return (
            <Act key={id} {...{ lines, structure, onReadAgain }} expanded={open === id} onOpen={setOpen} />
          );
        })}
      </ol>
      {!all && acts.length > SHOWN && (
        <button type="button" className="mt-2 underline" onClick={() => setAll(true)}>
          {TAPE_TEXT.showAll}
          {acts.length}
        </button>
      )}
    </>
  );
});

interface ActProps {
  lines: TapeLine[];
  structure: Structure;
  expanded: boolean;
  onOpen: (id: EventId | null) => void;
  onReadAgain: (id: ReadingId) => void;
}

/** Drawn again only when a line of it has changed. */
const Act = memo(
  function Act({ lines, structure, expanded, onOpen, onReadAgain }: ActProps) {
    const [first] = lines as [TapeLine];
    const live = lines.some(({ standing }) => standing === 'counts');
    return (
      <li className="border-b border-line">
        <button
          type="button"
          aria-expanded={expanded}
          onClick={() => onOpen(expanded ? null : first.event.id)}
          className={`flex min-h-12 w-full items-baseline gap-2 py-1 text-left font-mono text-base hover:bg-sheet ${live ? '' : 'text-quiet line-through'}`}
        >
          <span className="max-w-20 shrink-0 truncate text-small text-quiet">
            {placesOfAct(lines, structure)}
          </span>
          <Summary lines={lines} structure={structure} />
        </button>
        {expanded && (
          <ul className="pb-2 pl-3">
            {lines.map((line) => (
              <ReadingLine key={line.reading.id} line={line} onReadAgain={onReadAgain} />
            ))}
          </ul>
        )}
      </li>
    );
  },
  (before, now) =>
    before.expanded === now.expanded &&
    before.structure === now.structure &&
    before.onReadAgain === now.onReadAgain &&
    before.lines.length === now.lines.length &&
    before.lines.every((line, at) => line === now.lines[at]),
);

function groupActs(tape: readonly TapeLine[]): TapeLine[][] {
  const acts = new Map<string, TapeLine[]>();
  for (const line of tape) {
    const act = acts.get(line.event.id);
    if (act) act.push(line);
    else acts.set(line.event.id, [line]);
  }
  return [...acts.values()].reverse();
}

function Summary({ lines, structure }: { lines: TapeLine[]; structure: Structure }) {
  const { hands, result } = actWords(lines, structure);
  const amber = lines.some(({ evidence }) => evidence.says === 'nothing');
  const joined = lines.some(({ evidence }) => evidence.says !== 'parts');
  return (
    <>
      <span>{hands}</span>
      <span
        className={`ml-auto text-right font-semibold ${amber ? 'bg-amber-wash text-amber-ink' : joined ? 'text-teal' : ''}`}
      >
        {result}
      </span>
    </>
  );
}
