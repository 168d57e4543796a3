import type { NoteField } from '@which-way/core/log';
import { useSession } from '../../job/job-context.js';
import { Pick } from '../../controls/fields/pick.js';
import { KeptNotes, type NamedNote } from './kept-notes.js';
import { PART_IDENTITY_TEXT } from '@which-way/words/screens/pages/intake/part-identity';

/** What a marking may say of who made what. */
const FIELDS: readonly NamedNote[] = [
  { field: 'part-maker', label: PART_IDENTITY_TEXT.makerOfThePart },
  { field: 'part-number', label: PART_IDENTITY_TEXT.itsNumber },
  { field: 'date-code', label: PART_IDENTITY_TEXT.dateCode },
];
const OF_THE_MACHINE: readonly NamedNote[] = [
  { field: 'machine-maker', label: PART_IDENTITY_TEXT.makerOfTheMachine },
  { field: 'machine-model', label: PART_IDENTITY_TEXT.modelOfTheMachine },
  { field: 'machine-serial', label: PART_IDENTITY_TEXT.serialNumberOfTheMachine },
];

/** Who made the part, which number it has, when. */
export const PartIdentity = () => (
  <section aria-label={PART_IDENTITY_TEXT.thePart} className="mb-4 grid gap-3 sm:grid-cols-3">
    <KeptNotes fields={FIELDS} />
  </section>
);

/** Says which of these a marking is: its text becomes that field. */
export function MarkingIs({ text }: { text: string }) {
  const session = useSession();
  return (
    <Pick
      quiet
      label={PART_IDENTITY_TEXT.thisMarkingIs}
      placeholder={PART_IDENTITY_TEXT.thisIs}
      value=""
      options={[...FIELDS, ...OF_THE_MACHINE].map(({ field, label }) => ({ value: field, text: label }))}
      onPick={(field) => session.emit({ kind: 'noted', field: field as NoteField, text })}
    />
  );
}
