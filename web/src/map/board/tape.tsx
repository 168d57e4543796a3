import type { TapeLine } from '@which-way/core/sense';
import type { EventId, ReadingId, Structure } from '@which-way/core/switch';
import { memo, useMemo, useState } from 'react';
import { ReadingLine } from '../../shared/facts/inspector.js';
import { STANDING_WORDS } from '@which-way/words/facts';
import { evidenceWords } from '@which-way/words/quantity';
import { shortSettingName, terminalList, terminalName } from '@which-way/words/terminals';

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
  if (acts.length === 0) return <p className="text-quiet">No reading yet.</p>;
  return (
    <>
      <ol className="grid" aria-label="Readings, newest first">
        {acts.slice(0, all ? undefined : SHOWN).map((lines) => {
          const id = (lines[0] as TapeLine).event.id;
          return (
            <Act key={id} {...{ lines, structure, onReadAgain }} expanded={open === id} onOpen={setOpen} />
          );
        })}
      </ol>
      {!all && acts.length > SHOWN && (
        <button type="button" className="mt-2 underline" onClick={() => setAll(true)}>
          Show all {acts.length}
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
            {placesOf(lines, structure)}
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

/** Whether the leads stayed and the handle was turned. */
const isHeldAct = ([first]: readonly TapeLine[]): boolean => {
  const what = first?.event.what;
  return what?.kind === 'answered' && (what.act === 'turn' || what.act === 'bundle');
};

/** In which position, or from which to which, an act was done. */
function placesOf(lines: readonly TapeLine[], structure: Structure): string {
  const names = [...new Set(lines.map(({ reading }) => shortSettingName(structure, reading.setting)))];
  return names.length < 3 ? names.join(', ') : `${names[0]} … ${names.at(-1)}`;
}

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
  const [first] = lines as [TapeLine];
  const red = first.reading.red.map((id) => terminalName(structure, id)).join('+');
  const told = lines.filter(({ evidence }) => evidence.says !== 'parts');
  const amber = lines.some(({ evidence }) => evidence.says === 'nothing');
  const held = isHeldAct(lines);
  const blacks = (some: TapeLine[]) =>
    terminalList(
      structure,
      some.flatMap(({ reading }) => reading.black),
    );
  const standing = STANDING_WORDS[first.standing];
  const result =
    lines.length === 1
      ? evidenceWords(first.evidence)
      : told.length === 0
        ? 'none'
        : `${told.map((line) => `${held ? shortSettingName(structure, line.reading.setting) : blacks([line])} ${evidenceWords(line.evidence)}`).join('; ')}${told.length < lines.length ? '; rest open' : ''}`;
  return (
    <>
      <span>
        {red} to {blacks(held ? lines.slice(0, 1) : lines)}
      </span>
      <span
        className={`ml-auto text-right font-semibold ${amber ? 'bg-amber-wash text-amber-ink' : told.length > 0 ? 'text-teal' : ''}`}
      >
        {result}
        {standing && <span className="font-normal"> ({standing})</span>}
      </span>
    </>
  );
}
