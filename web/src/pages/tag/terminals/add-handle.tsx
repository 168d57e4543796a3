import { Pick } from '../../../controls/fields/pick.js';
import { ACTUATOR_FORMS, addedHandle, type ActuatorForm } from '@which-way/core/switch';
import { MOST_SETTINGS, POSITION_NAME_LETTERS } from '@which-way/core/schema';
import { useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { newId } from '../../../job/new-id.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { FORM_WORDS } from '@which-way/words/tag/layouts';
import { CheckLine } from '../../../controls/fields/check-line.js';
import { ADD_HANDLE_TEXT } from '@which-way/words/screens/pages/tag/terminals/add-handle';
import { Field } from '../../../controls/fields/field.js';

/** One more handle on the same switch: a pull on a knob, a key beside a lever. */
export function AddHandle() {
  const structure = useJobState((state) => state.map.structure);
  const { settings, actuators } = structure;
  const session = useSession();
  const [open, setOpen] = useState(false);
  const [form, setForm] = useState<ActuatorForm>('unsaid');
  const [names, setNames] = useState('1, 2');
  const [every, setEvery] = useState(true);
  const list = names.split(',').map((name) => name.trim());
  const extra = (list.length - 1) * (every ? settings.length : 1);
  const tooMany = settings.length + extra > MOST_SETTINGS;
  const wrong =
    list.length < 2 ||
    list.length > 24 ||
    list.some((name) => name === '' || [...name].length > POSITION_NAME_LETTERS) ||
    tooMany;
  const add = () => {
    const [first, ...more] = list;
    if (first === undefined) return;
    const handle = {
      // Nobody has said what it is: it is a handle, and no more.
      name: form === 'unsaid' ? ADD_HANDLE_TEXT.handle(actuators.length + 1) : FORM_WORDS[form],
      form,
      positionNames: [first, ...more],
      everyCombination: every,
    } as const;
    session.restructure(addedHandle(structure, handle, newId));
    setOpen(false);
  };
  if (!open) {
    return (
      <PlainButton className="justify-self-start" onClick={() => setOpen(true)}>
        {ADD_HANDLE_TEXT.thereIsOneMoreHandle}
      </PlainButton>
    );
  }
  return (
    <form
      className="grid gap-3 rounded-part border-2 border-line bg-sheet p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (!wrong) add();
      }}
    >
      <Pick
        label={ADD_HANDLE_TEXT.whatItIs}
        value={form}
        options={ACTUATOR_FORMS.map((one) => ({ value: one, text: FORM_WORDS[one] }))}
        onPick={(value) => setForm(ACTUATOR_FORMS.find((one) => one === value) ?? 'rotary')}
      />
      <Field label={ADD_HANDLE_TEXT.itsPositionsWithCommasBetween} value={names} onType={setNames} />
      <CheckLine checked={every} onChange={setEvery}>
        {ADD_HANDLE_TEXT.everyCombinationMatters}
      </CheckLine>
      <p className="text-small text-quiet">
        {tooMany
          ? ADD_HANDLE_TEXT.thatIsMoreThanSettings
          : ADD_HANDLE_TEXT.moreToMap(extra, extra === 1 ? 'setting' : 'settings')}
      </p>
      <div className="flex gap-2">
        <PlainButton type="submit" disabled={wrong}>
          {ADD_HANDLE_TEXT.addIt}
        </PlainButton>
        <PlainButton look="quiet" onClick={() => setOpen(false)}>
          {ADD_HANDLE_TEXT.close}
        </PlainButton>
      </div>
    </form>
  );
}
