import type { Actuator, ActuatorForm, ActuatorId, PositionId } from '@which-way/core/switch';
import { FORM_WORDS } from '@which-way/words/tag/layouts';
import { ActuatorDrawing } from './actuator-drawing.js';
import { FORM_PICTURES_TEXT } from '@which-way/words/screens/parts/drawings/form-pictures';

/** What a hand usually finds, the most usual first. */
const SHOWN: readonly ActuatorForm[] = [
  'rotary',
  'toggle',
  'rocker',
  'slide',
  'trigger',
  'lever',
  'push',
  'push-pull',
  'key',
  'key-bank',
];

/** A handle of each form, with two places, to be recognised by its picture. */
function example(form: ActuatorForm): Actuator {
  const position = (place: string) => ({
    id: place as PositionId,
    name: '',
    rests: 'maintained' as const,
    returnsTo: null,
    pose: null,
  });
  return {
    id: form as unknown as ActuatorId,
    name: FORM_WORDS[form],
    form,
    positions: [position('a'), position('b')],
    closed: 'declared',
  };
}

interface FormPicturesProps {
  chosen: ActuatorForm | null;
  onChoose: (form: ActuatorForm) => void;
}

/** What the hand moves: one tap on its picture, or none. */
export function FormPictures({ chosen, onChoose }: FormPicturesProps) {
  return (
    <fieldset>
      <legend>
        {FORM_PICTURES_TEXT.whatDoesTheHandMove}
        <span className="text-quiet">{FORM_PICTURES_TEXT.canWait}</span>
      </legend>
      <div className="mt-1 grid grid-cols-4 gap-1 sm:grid-cols-5">
        {SHOWN.map((form) => (
          <button
            key={form}
            type="button"
            aria-pressed={form === chosen}
            aria-label={FORM_WORDS[form]}
            onClick={() => onChoose(form)}
            className={`min-w-0 rounded-part border-2 bg-sheet px-1 pb-1 ${form === chosen ? 'border-ink outline-2 outline-ink' : 'border-edge hover:border-ink'}`}
          >
            <span aria-hidden="true" className="block [&_svg]:h-12">
              <ActuatorDrawing actuator={example(form)} at={'a' as PositionId} side="front" wordless />
            </span>
            <span className="block text-small leading-tight">{FORM_WORDS[form]}</span>
          </button>
        ))}
      </div>
    </fieldset>
  );
}
