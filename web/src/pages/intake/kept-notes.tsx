import { notesOf, type NoteField } from '@which-way/core/log';
import { NOTE_LETTERS } from '@which-way/core/schema';
import { useMemo } from 'react';
import { useJobState, useSession } from '../../job/job-context.js';
import { KeptField } from '../../controls/fields/kept-field.js';

export interface NamedNote {
  field: NoteField;
  label: string;
}

/** One-line notes side by side, each kept by itself. */
export function KeptNotes({ fields }: { fields: readonly NamedNote[] }) {
  const log = useJobState(({ map }) => map.log);
  const session = useSession();
  const notes = useMemo(() => notesOf(log), [log]);
  return fields.map(({ field, label }) => (
    <KeptField
      key={field}
      label={label}
      lines={1}
      maxLength={NOTE_LETTERS}
      text={notes.get(field) ?? ''}
      onKeep={(text) => session.emit({ kind: 'noted', field, text })}
    />
  ));
}
