import type { NoteField } from '@which-way/core/log';
import { useSession } from '../job/job-context.js';
import { Pick } from '../shared/controls/pick.js';
import { KeptNotes, type NamedNote } from './kept-notes.js';

/** What a marking may say of who made what. */
const FIELDS: readonly NamedNote[] = [
  { field: 'part-maker', label: 'Maker of the part' },
  { field: 'part-number', label: 'Its number' },
  { field: 'date-code', label: 'Date code' },
];
const OF_THE_MACHINE: readonly NamedNote[] = [
  { field: 'machine-maker', label: 'Maker of the machine' },
  { field: 'machine-model', label: 'Model of the machine' },
  { field: 'machine-serial', label: 'Serial number of the machine' },
];

/** Who made the part, which number it has, when. */
export const PartIdentity = () => (
  <section aria-label="The part" className="mb-4 grid gap-3 sm:grid-cols-3">
    <KeptNotes fields={FIELDS} />
  </section>
);

/** Says which of these a marking is: its text becomes that field. */
export function MarkingIs({ text }: { text: string }) {
  const session = useSession();
  return (
    <Pick
      quiet
      label="This marking is"
      placeholder="This is …"
      value=""
      options={[...FIELDS, ...OF_THE_MACHINE].map(({ field, label }) => ({ value: field, text: label }))}
      onPick={(field) => session.emit({ kind: 'noted', field: field as NoteField, text })}
    />
  );
}
