import { ACTS_OF, notesOf, type NoteField } from '@which-way/core/log';
import { NOTE_LETTERS } from '@which-way/core/schema';
import { useMemo } from 'react';
import { useJobState, useSession } from '../../job/job-context.js';
import { PhotoAdder } from '../../parts/photos/photo-adder.js';
import { PhotoStrip } from '../../parts/photos/photo-strip.js';
import { KeptField } from '../../controls/fields/kept-field.js';
import { SubNav } from '../../parts/frame/sub-nav.js';
import { DiagramAdder } from '../../parts/diagram/diagram-adder.js';
import { KeptNotes, type NamedNote } from './kept-notes.js';
import { Symptoms } from './symptoms.js';
import { Sisters } from './sisters.js';
import { INTAKE_PAGE_TEXT } from '@which-way/words/screens/pages/intake/intake-page';

const PAGES = [
  { to: '.', text: INTAKE_PAGE_TEXT.theStory },
  { to: 'markings', text: 'Markings' },
  { to: 'worth', text: INTAKE_PAGE_TEXT.repairOrReplace },
];

/** What is written down before anything is touched. */
export const IntakePage = () => (
  <SubNav label={INTAKE_PAGE_TEXT.partsOfTheIntake} pages={PAGES} acts={ACTS_OF.intake} />
);

const FIELDS: { field: NoteField; label: string; hint: string; lines: number }[] = [
  {
    field: 'machine',
    label: INTAKE_PAGE_TEXT.whatItCameFrom,
    hint: INTAKE_PAGE_TEXT.theMachineInAFew,
    lines: 1,
  },
  {
    field: 'complaint',
    label: INTAKE_PAGE_TEXT.theComplaintInTheOwners,
    hint: INTAKE_PAGE_TEXT.asItWasSaidBefore,
    lines: 3,
  },
  {
    field: 'tried',
    label: INTAKE_PAGE_TEXT.whatWasTriedAndWhat,
    hint: INTAKE_PAGE_TEXT.inWhichPositionItWorks,
    lines: 3,
  },
  {
    field: 'prior-work',
    label: INTAKE_PAGE_TEXT.priorWorkSuspected,
    hint: INTAKE_PAGE_TEXT.whatLooksDisturbedOddScrews,
    lines: 2,
  },
  {
    field: 'money-limit',
    label: INTAKE_PAGE_TEXT.moneyLimit,
    hint: INTAKE_PAGE_TEXT.whatTheOwnerWillSpend,
    lines: 1,
  },
];

const IDENTITY: readonly NamedNote[] = [
  { field: 'machine-maker', label: INTAKE_PAGE_TEXT.makerOfTheMachine },
  { field: 'machine-model', label: 'Model' },
  { field: 'machine-serial', label: INTAKE_PAGE_TEXT.serialNumber },
];

/** The owner's story, the first photos, and the other switches that may be the bad one. */
export function StoryPage() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const notes = useMemo(() => notesOf(log), [log]);
  return (
    <main className="grid grow content-start gap-x-10 gap-y-8 p-4 sm:p-6 lg:grid-cols-2">
      <section aria-label={INTAKE_PAGE_TEXT.notes}>
        <h1 className="text-title font-bold">{INTAKE_PAGE_TEXT.intake}</h1>
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
        <section aria-label={INTAKE_PAGE_TEXT.firstPhotos}>
          <h2 className="text-title font-bold">{INTAKE_PAGE_TEXT.photos}</h2>
          <p className="mt-1 mb-3 text-quiet">{INTAKE_PAGE_TEXT.asItCameInBefore}</p>
          <PhotoAdder purpose="before" />
          <div className="mt-3" />
          <PhotoStrip
            picked={null}
            onPick={(photo) => window.open(`/api/photos/${photo.id}`, '_blank', 'noopener')}
          />
        </section>
        <section aria-label={INTAKE_PAGE_TEXT.diagram}>
          <h2 className="text-title font-bold">{INTAKE_PAGE_TEXT.theMakersDiagram}</h2>
          <p className="mt-1 mb-3 text-quiet">{INTAKE_PAGE_TEXT.itStaysBesideTheMap}</p>
          <DiagramAdder />
        </section>
        <Sisters />
      </div>
    </main>
  );
}
