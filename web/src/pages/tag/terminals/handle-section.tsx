import { Pick } from '../../../controls/fields/pick.js';
import {
  ACTUATOR_FORMS,
  addedPosition,
  type Actuator,
  type ActuatorForm,
  type PositionId,
} from '@which-way/core/switch';
import { HANDLE_NAME_LETTERS } from '@which-way/core/schema';
import { useState } from 'react';
import { ResultLine } from '../../../controls/result-line.js';
import { AddHandle } from './add-handle.js';
import { PositionRow } from './position-row.js';
import { useJobState, useSession } from '../../../job/job-context.js';
import { newId } from '../../../job/new-id.js';
import { turnWords } from '@which-way/words/tag/handles';
import { ActuatorDrawing } from '../../../parts/drawings/actuator-drawing.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { useViewSide } from '../../../parts/drawings/view-side.js';
import { FORM_WORDS } from '@which-way/words/tag/layouts';
import { HANDLE_SECTION_TEXT } from '@which-way/words/screens/pages/tag/terminals/handle-section';
import { Field } from '../../../controls/fields/field.js';

/** What the hand moves: drawn as what it is, with what the front says and where it points. */
export function HandleSection() {
  const { actuators } = useJobState((state) => state.map.structure);
  return (
    <>
      {actuators.map((actuator) => (
        <ResultLine
          key={actuator.id}
          group="terminals"
          name={actuators.length > 1 ? actuator.name : HANDLE_SECTION_TEXT.handle}
          result={HANDLE_SECTION_TEXT.inShort(FORM_WORDS[actuator.form], actuator.positions.length)}
          act={HANDLE_SECTION_TEXT.edit}
        >
          <OneHandle actuator={actuator} />
        </ResultLine>
      ))}
      <div className="border-b border-line py-2">
        <AddHandle />
      </div>
    </>
  );
}

function OneHandle({ actuator }: { actuator: Actuator }) {
  const session = useSession();
  const structure = useJobState((state) => state.map.structure);
  const { side } = useViewSide();
  const [at, setAt] = useState<PositionId | null>(actuator.positions[0]?.id ?? null);
  const describe = (part: { name?: string; form?: ActuatorForm }) =>
    session.restructure({
      change: 'actuator-described',
      actuator: actuator.id,
      name: part.name ?? actuator.name,
      form: part.form ?? actuator.form,
    });
  const addPosition = () =>
    session.restructure(addedPosition(structure, actuator, 'every-combination', newId));
  return (
    <div className="grid gap-3">
      <div className="grid gap-3 sm:grid-cols-2">
        <div>
          <ActuatorDrawing actuator={actuator} at={at} side={side} />
          <p className="text-center text-small text-quiet">{turnWords(actuator, side)}</p>
        </div>
        <div className="grid content-start gap-3">
          <Pick
            label={HANDLE_SECTION_TEXT.whatItIs}
            value={actuator.form}
            options={ACTUATOR_FORMS.map((form) => ({ value: form, text: FORM_WORDS[form] }))}
            onPick={(form) => describe({ form: formOf(form) })}
          />
          <Field
            label={HANDLE_SECTION_TEXT.name}
            key={actuator.name}
            defaultValue={actuator.name}
            maxLength={HANDLE_NAME_LETTERS}
            onBlur={({ target }) =>
              target.value.trim() !== '' &&
              target.value.trim() !== actuator.name &&
              describe({ name: target.value.trim() })
            }
          />
          <EndsChoice actuator={actuator} />
        </div>
      </div>
      <ol className="grid gap-2" aria-label={HANDLE_SECTION_TEXT.positionsOf(actuator.name)}>
        {actuator.positions.map((position, index) => (
          <PositionRow
            key={position.id}
            {...{ actuator, position, index }}
            here={position.id === at}
            onLook={() => setAt(position.id)}
          />
        ))}
      </ol>
      {actuator.form === 'key-bank' && (
        <p className="text-small text-quiet">{HANDLE_SECTION_TEXT.keysThatAreDownOr}</p>
      )}
      <PlainButton className="justify-self-start" onClick={addPosition}>
        {HANDLE_SECTION_TEXT.oneMorePosition}
      </PlainButton>
    </div>
  );
}

const formOf = (value: string): ActuatorForm => ACTUATOR_FORMS.find((form) => form === value) ?? 'rotary';

/** Stops at both ends, or turns for ever. */
function EndsChoice({ actuator }: { actuator: Actuator }) {
  const session = useSession();
  if (actuator.form !== 'rotary' && actuator.form !== 'pot-switch') return null;
  const close = (by: 'stop' | 'round') =>
    session.restructure({ change: 'positions-closed', actuator: actuator.id, by });
  return (
    <div className="flex flex-wrap gap-2">
      <PlainButton
        aria-pressed={actuator.closed === 'stop'}
        className="aria-pressed:border-ink"
        onClick={() => close('stop')}
      >
        {HANDLE_SECTION_TEXT.hasStops}
      </PlainButton>
      <PlainButton
        aria-pressed={actuator.closed === 'round'}
        className="aria-pressed:border-ink"
        onClick={() => close('round')}
      >
        {HANDLE_SECTION_TEXT.endless}
      </PlainButton>
    </div>
  );
}
