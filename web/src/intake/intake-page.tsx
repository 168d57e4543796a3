import { ACTS_OF, notesOf, type NoteField } from '@which-way/core/log';
import { NOTE_LETTERS } from '@which-way/core/schema';
import { useMemo } from 'react';
import { useJobState, useSession } from '../job/job-context.js';
import { PhotoAdder } from '../photos/photo-adder.js';
import { PhotoStrip } from '../photos/photo-strip.js';
import { KeptField } from '../shared/controls/kept-field.js';
import { SubNav } from '../shared/frame/sub-nav.js';
import { DiagramAdder } from '../diagram/diagram-adder.js';
import { KeptNotes, type NamedNote } from './kept-notes.js';
import { Symptoms } from './symptoms.js';
import { Sisters } from './sisters.js';

const PAGES = [
  { to: '.', text: 'The story' },
  { to: 'markings', text: 'Markings' },
  { to: 'worth', text: 'Repair or replace' },
];

/** What is written down before anything is touched. */
export const IntakePage = () => <SubNav label="Parts of the intake" pages={PAGES} acts={ACTS_OF.intake} />;

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
    field: 'money-limit',
    label: 'Money limit',
    hint: 'What the owner will spend without being asked again.',
    lines: 1,
  },
];

const IDENTITY: readonly NamedNote[] = [
  { field: 'machine-maker', label: 'Maker of the machine' },
  { field: 'machine-model', label: 'Model' },
  { field: 'machine-serial', label: 'Serial number' },
];

/** The owner's story, the first photos, and the other switches that may be the bad one. */
export function StoryPage() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const notes = useMemo(() => notesOf(log), [log]);
  return (
    <main className="grid grow content-start gap-x-10 gap-y-8 p-4 sm:p-6 lg:grid-cols-2">
      <section aria-label="Notes">
        <h1 className="text-title font-bold">Intake</h1>
        <div className="mt-4 grid gap-5">
          {FIELDS.map(({ field, ...words }) => (
            <KeptField
              key={field}
              {...words}
              maxLength={NOTE_LETTERS}
              text={notes.get(field) ?? ''}
              onKeep={(text) => session.emit({ kind: 'noted', field, text })}
            />
          ))}
        </div>
        <div className="mt-5 grid gap-4 sm:grid-cols-3">
          <KeptNotes fields={IDENTITY} />
        </div>
      </section>
      <div className="grid content-start gap-8">
        <Symptoms />
        <section aria-label="First photos">
          <h2 className="text-title font-bold">Photos</h2>
          <p className="mt-1 mb-3 text-quiet">
            As it came in, before anything is moved: wires, knob positions, anything odd.
          </p>
          <PhotoAdder purpose="before" />
          <div className="mt-3" />
          <PhotoStrip
            picked={null}
            onPick={(photo) => window.open(`/api/photos/${photo.id}`, '_blank', 'noopener')}
          />
        </section>
        <section aria-label="Diagram">
          <h2 className="text-title font-bold">The maker’s diagram</h2>
          <p className="mt-1 mb-3 text-quiet">
            It stays beside the Map and Verify. Of a PDF one page is kept, as a picture.
          </p>
          <DiagramAdder />
        </section>
        <Sisters />
      </div>
    </main>
  );
}
