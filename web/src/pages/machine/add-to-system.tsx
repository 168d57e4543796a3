import { TITLE_LETTERS } from '@which-way/core/schema';
import type { JobSummary } from '@which-way/contract';
import { DEVICE_CONTACTS, DEVICE_KINDS, type DeviceContact, type DeviceKind } from '@which-way/core/log';
import type { PinnedDeviceId } from '@which-way/core/switch';
import { contactWords, DEVICE_WORDS } from '@which-way/words/machine/handles';
import { useState, type FormEvent } from 'react';
import { useSession } from '../../job/job-context.js';
import { newId } from '../../job/new-id.js';
import { Pick } from '../../controls/fields/pick.js';
import { PlainButton } from '../../controls/plain-button.js';
import { ADD_TO_SYSTEM_TEXT } from '@which-way/words/screens/pages/machine/add-to-system';
import { Field } from '../../controls/fields/field.js';

/** Puts another switch of the bench, or a device, into the system. */
export function AddToSystem({ others }: { others: readonly JobSummary[] }) {
  const session = useSession();
  const [adding, setAdding] = useState(false);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Pick
        label={ADD_TO_SYSTEM_TEXT.aSwitchOfTheBench}
        value=""
        placeholder={others.length > 0 ? ADD_TO_SYSTEM_TEXT.chooseAJob : ADD_TO_SYSTEM_TEXT.noOtherSwitchIsOn}
        options={others.map(({ id, number, title }) => ({ value: id, text: `${number} ${title}` }))}
        onPick={(id) => {
          const chosen = others.find((one) => one.id === id);
          if (chosen) session.emit({ kind: 'system-member', job: chosen.id, belongs: true });
        }}
        className="min-w-64"
      />
      {adding ? (
        <DeviceForm onDone={() => setAdding(false)} />
      ) : (
        <PlainButton onClick={() => setAdding(true)}>{ADD_TO_SYSTEM_TEXT.aFloatThermostatDoorOr}</PlainButton>
      )}
    </div>
  );
}

function DeviceForm({ onDone }: { onDone: () => void }) {
  const session = useSession();
  const [kind, setKind] = useState<DeviceKind>('float');
  const [contact, setContact] = useState<DeviceContact>('makes');
  const [name, setName] = useState('');
  const add = (event: FormEvent) => {
    event.preventDefault();
    const called = name.trim() || DEVICE_WORDS[kind].replace(/^./, (letter) => letter.toUpperCase());
    session.emit({
      kind: 'system-device',
      device: { id: newId<PinnedDeviceId>(), name: called, kind, contact, removed: false },
    });
    onDone();
  };
  return (
    <form onSubmit={add} className="flex flex-wrap items-end gap-3" aria-label={ADD_TO_SYSTEM_TEXT.aDevice}>
      <Pick
        label={ADD_TO_SYSTEM_TEXT.whatItIs}
        value={kind}
        options={DEVICE_KINDS.map((one) => ({ value: one, text: DEVICE_WORDS[one] }))}
        onPick={(value) => setKind(DEVICE_KINDS.find((one) => one === value) ?? 'float')}
      />
      <Pick
        label={ADD_TO_SYSTEM_TEXT.itsContact}
        value={contact}
        options={DEVICE_CONTACTS.map((one) => ({ value: one, text: contactWords(kind, one) }))}
        onPick={(value) => setContact(DEVICE_CONTACTS.find((one) => one === value) ?? 'makes')}
      />
      <Field
        label={ADD_TO_SYSTEM_TEXT.itsName}
        value={name}
        maxLength={TITLE_LETTERS}
        onType={setName}
        placeholder={DEVICE_WORDS[kind]}
      />
      <PlainButton type="submit" look="strong">
        {ADD_TO_SYSTEM_TEXT.addIt}
      </PlainButton>
      <PlainButton type="button" onClick={onDone}>
        {ADD_TO_SYSTEM_TEXT.leaveIt}
      </PlainButton>
    </form>
  );
}
