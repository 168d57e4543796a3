import { readLabels } from '@which-way/core/switch';
import { useState } from 'react';
import { PlainButton } from '../../controls/plain-button.js';
import { NEW_SWITCH_FORM_TEXT } from '@which-way/words/screens/pages/tag/new-switch-form';
import { TextInput } from '../../controls/fields/text-input.js';
import { Field } from '../../controls/fields/field.js';

interface NewSwitchFormProps {
  onDescribe: (terminals: number, positions: number | null, labels?: string[]) => void;
}

/** For a job without a switch yet: how many terminals, or their labels, and how many positions. */
export function NewSwitchForm({ onDescribe }: NewSwitchFormProps) {
  const [terminals, setTerminals] = useState('');
  const [positions, setPositions] = useState('?');
  const [message, setMessage] = useState('');
  const describe = () => {
    const count = /^\d{1,2}$/.test(terminals.trim()) ? Number(terminals) : null;
    const read = readLabels(terminals);
    const labels = count === null && read.ok ? read.labels : undefined;
    const size = count ?? labels?.length ?? 0;
    if (size < 2 || size > 48) return setMessage(NEW_SWITCH_FORM_TEXT.giveHowManyTerminalsThere);
    const unknown = ['', '?'].includes(positions.trim());
    const places = unknown ? null : Number(positions);
    if (places !== null && !(Number.isInteger(places) && places >= 1 && places <= 24))
      return setMessage(NEW_SWITCH_FORM_TEXT.giveHowManyPositionsThere);
    return onDescribe(size, places, labels);
  };
  return (
    <form
      className="grid max-w-xl gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        describe();
      }}
    >
      <h1 className="text-title font-bold">{NEW_SWITCH_FORM_TEXT.terminalsAndHandle}</h1>
      <Field
        label={NEW_SWITCH_FORM_TEXT.howManyTerminalsOrTheir}
        box="text-large"
        value={terminals}
        placeholder={NEW_SWITCH_FORM_TEXT.or}
        onType={setTerminals}
      />
      <label>
        {NEW_SWITCH_FORM_TEXT.howManyPositions}
        <TextInput
          value={positions}
          onChange={({ target }) => setPositions(target.value)}
          className="mt-1 w-full text-large"
        />
        <span className="text-small text-quiet">{NEW_SWITCH_FORM_TEXT.isAnAnswerTheyAre}</span>
      </label>
      {message && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
      <PlainButton type="submit" look="strong" className="min-h-14 justify-self-start text-large">
        {NEW_SWITCH_FORM_TEXT.layThemOut}
      </PlainButton>
    </form>
  );
}
