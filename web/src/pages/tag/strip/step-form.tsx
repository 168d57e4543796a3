import { Pick } from '../../../controls/fields/pick.js';
import { FASTENERS, type Fastener, type StripStep } from '@which-way/core/log';
import { FASTENER_PLACE_LETTERS, LOOSE_LETTERS, MOST_FASTENERS, STEP_LETTERS } from '@which-way/core/schema';
import type { PhotoId, StepId } from '@which-way/core/switch';
import { FASTENER_WORDS } from '@which-way/words/tag/wires';
import { lengthTyped, millimetresOf, UNIT_OF_LENGTH, type Units } from '@which-way/words/units';
import { useState } from 'react';
import {
  Controller,
  useFieldArray,
  useForm,
  useWatch,
  type Control,
  type UseFormRegister,
} from 'react-hook-form';
import { newId } from '../../../job/new-id.js';
import { PhotoAdder } from '../../../parts/photos/photo-adder.js';
import { thumbUrl } from '../../../parts/photos/photo-url.js';
import { usePhotos } from '../../../parts/photos/use-photos.js';
import { useUnits } from '../../../parts/units/units.js';
import { readAmount } from '../../../controls/fields/amount.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { STEP_FORM_TEXT } from '@which-way/words/screens/pages/tag/strip/step-form';
import { TextInput } from '../../../controls/fields/text-input.js';
import { Field } from '../../../controls/fields/field.js';

/** What is typed of a step: counts and lengths as text, until the step is kept. */
interface TypedStep {
  text: string;
  loose: string;
  photo: PhotoId | '';
  fasteners: { count: string; kind: Fastener['kind']; length: string; place: string }[];
}

const typed = (step: StripStep | null, units: Units): TypedStep => ({
  text: step?.text ?? '',
  loose: step?.loose ?? '',
  photo: step?.photo ?? '',
  fasteners: (step?.fasteners ?? []).map(({ count, kind, length, place }) => ({
    count: String(count),
    kind,
    length: length === null ? '' : lengthTyped(length, units),
    place,
  })),
});

/** The fasteners that were typed, or what is wrong with one of them. */
function readFasteners(rows: TypedStep['fasteners'], units: Units): Fastener[] | string {
  const fasteners: Fastener[] = [];
  for (const { count, kind, length, place } of rows) {
    const pieces = Number(count);
    const read = readAmount(length, 1000);
    const long = typeof read === 'number' ? millimetresOf(read, units) : read;
    if (!Number.isInteger(pieces) || pieces < 1 || pieces > 99) return STEP_FORM_TEXT.isNotACountFrom(count);
    if (long === undefined || long === 0 || (long !== null && long > 1000))
      return STEP_FORM_TEXT.isNotALengthIn(length, units);
    fasteners.push({ count: pieces, kind, length: long, place: place.trim() });
  }
  return fasteners;
}

interface StepFormProps {
  step: StripStep | null;
  onKeep: (step: StripStep) => void;
  onClose: () => void;
}

/** One step of taking it apart: what comes off, with its photo, its fasteners and what is loose. */
export function StepForm({ step, onKeep, onClose }: StepFormProps) {
  const { photos } = usePhotos();
  const units = useUnits();
  const { register, control, handleSubmit, setError, setValue, formState } = useForm({
    defaultValues: typed(step, units),
  });
  const [known] = useState(() => new Set(photos.map(({ id }) => id)));
  // A photo that came in while this was open is of this step.
  const fresh = photos.findLast(({ id, purpose }) => purpose === 'strip' && !known.has(id))?.id ?? null;
  const photo = useWatch({ control, name: 'photo' });
  const chosen = photo || fresh;
  const keep = ({ text, loose, fasteners: rows }: TypedStep) => {
    if (text.trim() === '' && chosen === null) return setError('root', { message: STEP_FORM_TEXT.sayWhat });
    const fasteners = readFasteners(rows, units);
    if (typeof fasteners === 'string') return setError('root', { message: fasteners });
    return onKeep({
      id: step?.id ?? newId<StepId>(),
      text: text.trim() || STEP_FORM_TEXT.seePhoto,
      photo: chosen,
      fasteners,
      loose: loose.trim(),
      removed: false,
    });
  };
  return (
    <form
      className="grid gap-3 rounded-part border-2 border-brass bg-sheet p-4"
      onSubmit={(event) => void handleSubmit(keep)(event)}
    >
      <Field
        label={<strong>{STEP_FORM_TEXT.whatComesOff}</strong>}
        autoFocus
        maxLength={STEP_LETTERS}
        {...register('text')}
      />
      <div className="flex flex-wrap items-center gap-3">
        {chosen && (
          <img
            src={thumbUrl(chosen)}
            alt={STEP_FORM_TEXT.photoOfThisStep}
            className="h-20 w-28 rounded-part object-cover"
          />
        )}
        <PhotoAdder purpose="strip" />
        {photos.length > 0 && (
          <Pick
            quiet
            label={STEP_FORM_TEXT.photoOfThisStep}
            value={chosen ?? ''}
            options={[
              { value: '', text: STEP_FORM_TEXT.noPhoto },
              ...photos.map(({ id }, index) => ({ value: id, text: STEP_FORM_TEXT.photoNumber(index + 1) })),
            ]}
            onPick={(id) => setValue('photo', id as PhotoId | '')}
          />
        )}
      </div>
      <FastenerRows control={control} register={register} />
      <Field
        label={<strong>{STEP_FORM_TEXT.looseParts}</strong>}
        maxLength={LOOSE_LETTERS}
        placeholder={STEP_FORM_TEXT.springsDetentBallsSpacers}
        {...register('loose')}
      />
      {formState.errors.root && (
        <p role="alert" className="text-brick">
          {formState.errors.root.message}
        </p>
      )}
      <div className="flex gap-2">
        <PlainButton type="submit" look="strong">
          {STEP_FORM_TEXT.keepTheStep}
        </PlainButton>
        <PlainButton look="quiet" onClick={onClose}>
          {STEP_FORM_TEXT.leaveIt}
        </PlainButton>
        {step && (
          <PlainButton look="quiet" className="ml-auto" onClick={() => onKeep({ ...step, removed: true })}>
            {STEP_FORM_TEXT.removeTheStep}
          </PlainButton>
        )}
      </div>
    </form>
  );
}

/** Fasteners by kind and length: how many, how long, from where. */
function FastenerRows({
  control,
  register,
}: {
  control: Control<TypedStep>;
  register: UseFormRegister<TypedStep>;
}) {
  const units = useUnits();
  const { fields, append, remove } = useFieldArray({ control, name: 'fasteners' });
  return (
    <fieldset className="grid gap-2">
      <legend className="font-semibold">{STEP_FORM_TEXT.fasteners}</legend>
      {fields.map(({ id }, index) => (
        <div
          key={id}
          className="grid grid-cols-[3.5rem_1fr_5.5rem] gap-2 sm:grid-cols-[3.5rem_9rem_5.5rem_1fr_auto]"
        >
          <TextInput aria-label={STEP_FORM_TEXT.howMany} {...register(`fasteners.${index}.count`)} mono />
          <Controller
            control={control}
            name={`fasteners.${index}.kind`}
            render={({ field: { value, onChange } }) => (
              <Pick
                quiet
                label={STEP_FORM_TEXT.kind}
                value={value}
                options={FASTENERS.map((kind) => ({ value: kind, text: FASTENER_WORDS[kind][0] }))}
                onPick={onChange}
              />
            )}
          />
          <TextInput
            aria-label={STEP_FORM_TEXT.length(units)}
            placeholder={UNIT_OF_LENGTH[units]}
            {...register(`fasteners.${index}.length`)}
            mono
          />
          <TextInput
            aria-label={STEP_FORM_TEXT.place}
            placeholder={STEP_FORM_TEXT.where}
            maxLength={FASTENER_PLACE_LETTERS}
            {...register(`fasteners.${index}.place`)}
            className="col-span-2 sm:col-span-1"
          />
          <PlainButton look="quiet" className="!px-2" onClick={() => remove(index)}>
            {STEP_FORM_TEXT.remove}
          </PlainButton>
        </div>
      ))}
      {fields.length < MOST_FASTENERS ? (
        <PlainButton
          className="justify-self-start"
          onClick={() => append({ count: '1', kind: 'screw', length: '', place: '' })}
        >
          {STEP_FORM_TEXT.addFasteners}
        </PlainButton>
      ) : (
        <p className="text-quiet">
          {MOST_FASTENERS}
          {STEP_FORM_TEXT.kindsAreAsManyAs}
        </p>
      )}
    </fieldset>
  );
}
