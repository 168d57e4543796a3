import { CheckLine } from '../../../controls/fields/check-line.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PART_FORMS, parseValue, type Part, type PartForm } from '@which-way/core/log';
import { type PartId, type TerminalId } from '@which-way/core/switch';
import { PART_NOTE_LETTERS, NUMBER_LETTERS } from '@which-way/core/schema';
import { useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { newId } from '../../../job/new-id.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { ohms } from '@which-way/words/quantity';
import { terminalName } from '@which-way/words/terminals';
import { PART_WORDS } from '@which-way/words/tag/wires';
import { PARTS_SECTION_TEXT } from '@which-way/words/screens/pages/tag/wires/parts-section';
import { Field } from '../../../controls/fields/field.js';

interface PartsSectionProps {
  parts: readonly Part[];
  /** Terminals tapped in the drawing. */
  ends: readonly TerminalId[];
  onEnds: (ends: TerminalId[]) => void;
}

/** External jumpers, before they come off, and whatever else conducts without being a contact. */
export function PartsSection({ parts, ends, onEnds }: PartsSectionProps) {
  const { structure } = useJobState((state) => state.map);
  const session = useSession();
  const declare = (part: Part) => session.emit({ kind: 'part-declared', part });
  return (
    <section
      aria-label={PARTS_SECTION_TEXT.jumpersAndParts}
      className="grid gap-3 border-t-2 border-line pt-3"
    >
      <h2 className="text-large font-bold">{PARTS_SECTION_TEXT.jumpersAndPartsAcrossIt}</h2>
      <p className="text-quiet">{PARTS_SECTION_TEXT.jumpersBeforeTheyComeOff}</p>
      <ul>
        {parts.map((part) => (
          <li key={part.id} className="flex flex-wrap items-center gap-x-3 border-b border-line py-1">
            <strong className="font-mono">
              {terminalName(structure, part.terminals[0])}–{terminalName(structure, part.terminals[1])}
            </strong>
            <span>
              {PART_WORDS[part.form]}
              {part.ohms !== null && `, ${ohms(part.ohms)}`}
              {part.note && `, ${part.note}`}
            </span>
            <CheckLine
              tight
              className="ml-auto"
              checked={part.on}
              onChange={(on) => declare({ ...part, on })}
            >
              {PARTS_SECTION_TEXT.stillOn}
            </CheckLine>
            <PlainButton look="quiet" className="!px-2" onClick={() => declare({ ...part, removed: true })}>
              {PARTS_SECTION_TEXT.remove}
            </PlainButton>
          </li>
        ))}
      </ul>
      <NewPart
        key={ends.join()}
        ends={ends}
        onDeclare={(part) => {
          declare(part);
          onEnds([]);
        }}
      />
    </section>
  );
}

function NewPart({ ends, onDeclare }: { ends: readonly TerminalId[]; onDeclare: (part: Part) => void }) {
  const { terminals } = useJobState((state) => state.map.structure);
  const [form, setForm] = useState<PartForm>('jumper');
  const [a, setA] = useState<string>(ends[0] ?? '');
  const [b, setB] = useState<string>(ends[1] ?? '');
  const [value, setValue] = useState('');
  const [note, setNote] = useState('');
  const [message, setMessage] = useState('');
  const add = () => {
    if (a === '' || b === '') return setMessage(PARTS_SECTION_TEXT.tapOrChooseTheTwo);
    if (a === b) return setMessage(PARTS_SECTION_TEXT.itBridgesTwoTerminalsNot);
    const read = value.trim() === '' ? null : parseValue(value);
    if (read && !(read.ok && read.value.kind === 'ohms'))
      return setMessage(PARTS_SECTION_TEXT.isNotOhmsGiveK(value));
    const known = read?.ok && read.value.kind === 'ohms' ? read.value.ohms : null;
    return onDeclare({
      id: newId<PartId>(),
      form,
      terminals: [a as TerminalId, b as TerminalId],
      ohms: known,
      note: note.trim(),
      on: form !== 'jumper',
      removed: false,
    });
  };
  const end = (label: string, chosen: string, choose: (id: string) => void) => (
    <Pick
      label={label}
      value={chosen}
      placeholder={PARTS_SECTION_TEXT.which}
      options={terminals.map(({ id, label: name }) => ({ value: id, text: name }))}
      onPick={choose}
    />
  );
  return (
    <form
      className="grid grid-cols-2 items-end gap-2 sm:grid-cols-3"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <div className="col-span-2 sm:col-span-1">
        <Pick
          label={PARTS_SECTION_TEXT.what}
          value={form}
          options={PART_FORMS.map((one) => ({ value: one, text: PART_WORDS[one] }))}
          onPick={(value) => setForm(PART_FORMS.find((one) => one === value) ?? 'jumper')}
        />
      </div>
      {end('From', a, setA)}
      {end('To', b, setB)}
      <Field
        label={PARTS_SECTION_TEXT.ohms}
        value={value}
        maxLength={NUMBER_LETTERS}
        placeholder={PARTS_SECTION_TEXT.ifKnown}
        onType={setValue}
      />
      <PlainButton type="submit" className="sm:col-span-2">
        {PARTS_SECTION_TEXT.declare}
      </PlainButton>
      <Field
        label={PARTS_SECTION_TEXT.note}
        className="col-span-2 sm:col-span-3"
        value={note}
        maxLength={PART_NOTE_LETTERS}
        onType={setNote}
      />
      {message && (
        <p role="alert" className="col-span-2 text-brick sm:col-span-3">
          {message}
        </p>
      )}
    </form>
  );
}
