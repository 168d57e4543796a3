import { liveEvents, type Marking, type MarkingId, type NoteField } from '@which-way/core/switch';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useJobState, useSession } from '../job/job-context.js';
import { newId } from '../job/new-id.js';
import { PlainButton } from '../shared/plain-button.js';
import { MarkingCard } from './marking-card.js';

const FIELDS: { field: NoteField; label: string; hint: string; lines: number }[] = [
  { field: 'machine', label: 'What it came from', hint: 'The machine, in a few words.', lines: 1 },
  {
    field: 'complaint',
    label: 'The complaint, in the owner’s words',
    hint: 'As it was said, before anybody explains it.',
    lines: 3,
  },
  {
    field: 'tried',
    label: 'What was tried, and what was seen',
    hint: 'In which position it works, buzzes, smells, does nothing.',
    lines: 3,
  },
  {
    field: 'prior-work',
    label: 'Prior work suspected',
    hint: 'What looks disturbed: odd screws, fresh solder, a missing spring.',
    lines: 2,
  },
  {
    field: 'sisters',
    label: 'Other switches that control the same',
    hint: 'Any of them may be the bad one.',
    lines: 2,
  },
];

/** What is written down before anything is touched, and what the markings say. */
export function IntakePage() {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const notes = useMemo(() => {
    const newest = new Map<NoteField, string>();
    for (const { what } of liveEvents(map.log, 'noted')) newest.set(what.field, what.text);
    return newest;
  }, [map.log]);
  const markings = useMemo(() => {
    const newest = new Map<MarkingId, Marking>();
    for (const { what } of liveEvents(map.log, 'transcribed')) newest.set(what.marking.id, what.marking);
    return [...newest.values()].filter(({ runs }) => runs.length > 0);
  }, [map.log]);
  const [fresh, setFresh] = useState<Marking | null>(null);
  const shown = fresh && !markings.some(({ id }) => id === fresh.id) ? [...markings, fresh] : markings;
  return (
    <main className="grid grow content-start gap-x-10 gap-y-8 p-6 lg:grid-cols-2">
      <section aria-label="Notes">
        <h1 className="text-title font-bold">Intake</h1>
        <div className="mt-4 grid gap-5">
          {FIELDS.map((field) => (
            <Note
              key={field.field}
              {...field}
              text={notes.get(field.field) ?? ''}
              onKeep={(text) => session.emit({ kind: 'noted', field: field.field, text })}
            />
          ))}
        </div>
      </section>
      <section aria-label="Markings">
        <h2 className="text-title font-bold">Markings</h2>
        <p className="mt-1 text-quiet">
          Type what is stamped on it, as it stands: 16(4)A 250V~ T85 5E4, A600, AC-15, 3x18AWG. What it does
          not state stays unknown.
        </p>
        <ul className="mt-4 grid gap-5">
          {shown.map((marking) => (
            <MarkingCard
              key={marking.id}
              marking={marking}
              onChange={(changed) => {
                setFresh(null);
                if (changed.runs.length > 0 || marking.runs.length > 0)
                  session.emit({ kind: 'transcribed', marking: changed });
              }}
            />
          ))}
        </ul>
        <PlainButton
          className="mt-4"
          disabled={fresh !== null}
          onClick={() => setFresh({ id: newId<MarkingId>(), runs: [] })}
        >
          {shown.length === 0 ? 'Read a marking' : 'One more marking'}
        </PlainButton>
      </section>
    </main>
  );
}

/** A note is kept when the hands rest this long, so that a reload or a crash loses a word at most. */
const KEEP_AFTER_MS = 700;

interface NoteProps {
  label: string;
  hint: string;
  lines: number;
  text: string;
  onKeep: (text: string) => void;
}

function Note({ label, hint, lines, text, onKeep }: NoteProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const latest = useRef(onKeep);
  useEffect(() => {
    latest.current = onKeep;
  });
  useEffect(() => {
    if (typed === null || typed === text) return undefined;
    const timer = setTimeout(() => latest.current(typed), KEEP_AFTER_MS);
    return () => clearTimeout(timer);
  }, [typed, text]);
  const keep = () => {
    if (typed !== null && typed !== text) onKeep(typed);
    setTyped(null);
  };
  return (
    <label>
      <span className="font-semibold">{label}</span>
      <textarea
        rows={lines}
        maxLength={4000}
        value={typed ?? text}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={keep}
        className="mt-1 w-full rounded-part border-2 border-line bg-sheet px-3 py-2"
      />
      <span className="block text-small text-quiet">{hint}</span>
    </label>
  );
}
