import { notesOf, type NoteField } from '@which-way/core/log';
import { NOTE_LETTERS } from '@which-way/core/schema';
import { useMemo } from 'react';
import { useJobState, useSession } from '../job/job-context.js';
import { KeptField } from '../shared/controls/kept-field.js';
import { Pick } from '../shared/controls/pick.js';

/** What a marking may say of who made what. */
const FIELDS: readonly { field: NoteField; label: string }[] = [
  { field: 'part-maker', label: 'Maker of the part' },
  { field: 'part-number', label: 'Its number' },
  { field: 'date-code', label: 'Date code' },
];
const OF_THE_MACHINE: readonly { field: NoteField; label: string }[] = [
  { field: 'machine-maker', label: 'Maker of the machine' },
  { field: 'machine-model', label: 'Model of the machine' },
  { field: 'machine-serial', label: 'Serial number of the machine' },
];

/** Who made the part, which number it has, when. */
export function PartIdentity() {
  const log = useJobState(({ map }) => map.log);
  const session = useSession();
  const notes = useMemo(() => notesOf(log), [log]);
  return (
    <section aria-label="The part" className="mb-4 grid gap-3 sm:grid-cols-3">
      {FIELDS.map(({ field, label }) => (
        <KeptField
          key={field}
          label={label}
          hint=""
          lines={1}
          maxLength={NOTE_LETTERS}
          text={notes.get(field) ?? ''}
          onKeep={(text) => session.emit({ kind: 'noted', field, text })}
        />
      ))}
    </section>
  );
}

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
