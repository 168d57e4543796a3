import type { TapeLine } from '@which-way/core/sense';
import type { ReadingId, Structure } from '@which-way/core/switch';
import { useMemo, useState } from 'react';
import { ReadingLine } from '../shared/inspector.js';
import { STANDING_WORDS } from '../words/facts.js';
import { evidenceWords } from '../words/quantity.js';
import { shortSettingName, terminalList, terminalName } from '../words/terminals.js';
import type { Probing } from './use-probing.js';

/** How many acts the tape shows before it asks. */
const SHOWN = 40;

/** Every act, newest first; an act opens into its readings, each of which can be read again or taken out. */
export function Tape({ probing, onReadAgain }: { probing: Probing; onReadAgain: (id: ReadingId) => void }) {
  const { tape } = probing.map;
  const [open, setOpen] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const acts = useMemo(() => groupActs(tape), [tape]);
  if (acts.length === 0) return <p className="text-quiet">No reading yet.</p>;
  return (
    <>
      <ol className="grid" aria-label="Readings, newest first">
        {acts.slice(0, all ? undefined : SHOWN).map((lines) => {
          const [first] = lines as [TapeLine];
          const live = lines.some(({ standing }) => standing === 'counts');
          const expanded = open === first.event.id;
          return (
            <li key={first.event.id} className="border-b border-line">
              <button
                type="button"
                aria-expanded={expanded}
                onClick={() => setOpen(expanded ? null : first.event.id)}
                className={`flex min-h-9 w-full items-baseline gap-2 py-1 text-left font-mono text-base hover:bg-sheet ${live ? '' : 'text-quiet line-through'}`}
              >
                <span className="max-w-20 shrink-0 truncate text-small text-quiet">
                  {placesOf(lines, probing.map.structure)}
                </span>
                <Summary lines={lines} probing={probing} />
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
        })}
      </ol>
      {!all && acts.length > SHOWN && (
        <button type="button" className="mt-2 underline" onClick={() => setAll(true)}>
          Show all {acts.length}
        </button>
      )}
    </>
  );
}

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

function Summary({ lines, probing: { map } }: { lines: TapeLine[]; probing: Probing }) {
  const [first] = lines as [TapeLine];
  const red = first.reading.red.map((id) => terminalName(map.structure, id)).join('+');
  const told = lines.filter(({ evidence }) => evidence.says !== 'parts');
  const amber = lines.some(({ evidence }) => evidence.says === 'nothing');
  const held = isHeldAct(lines);
  const blacks = (some: TapeLine[]) =>
    terminalList(
      map.structure,
      some.flatMap(({ reading }) => reading.black),
    );
  const standing = STANDING_WORDS[first.standing];
  const result =
    lines.length === 1
      ? evidenceWords(first.evidence)
      : told.length === 0
        ? 'none'
        : `${told.map((line) => `${held ? shortSettingName(map.structure, line.reading.setting) : blacks([line])} ${evidenceWords(line.evidence)}`).join('; ')}${told.length < lines.length ? '; rest open' : ''}`;
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
