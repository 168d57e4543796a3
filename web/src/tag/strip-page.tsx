import {
  FASTENERS,
  stripStepsOf,
  type Fastener,
  type FastenerKind,
  type StripStep,
} from '@which-way/core/log';
import { type PhotoId, type StepId } from '@which-way/core/switch';
import { STEP_LETTERS, FASTENER_PLACE_LETTERS, LOOSE_LETTERS, MOST_FASTENERS } from '@which-way/core/schema';
import { Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useJobState, useSession } from '../job/job-context.js';
import { newId } from '../job/new-id.js';
import { PhotoAdder } from '../photos/photo-adder.js';
import { photoUrl, thumbUrl } from '../photos/photo-url.js';
import { usePhotos } from '../photos/use-photos.js';
import { readAmount } from '../shared/amount.js';
import { Choice } from '../shared/choice.js';
import { PlainButton } from '../shared/plain-button.js';
import { FASTENER_WORDS, fastenerWords } from '@which-way/words/wires';

type Direction = 'apart' | 'together';

/** Taking it apart, step by step; read backwards it is the assembly list. */
export function StripPage() {
  const log = useJobState((state) => state.map.log);
  const steps = useMemo(() => stripStepsOf(log), [log]);
  const [direction, setDirection] = useState<Direction>('apart');
  const [editing, setEditing] = useState<StepId | 'new' | null>(null);
  const session = useSession();
  const keep = (step: StripStep) => {
    session.emit({ kind: 'stripped', step });
    setEditing(null);
  };
  const shown = direction === 'apart' ? steps : steps.toReversed();
  return (
    <main className="mx-auto grid w-full max-w-4xl grow content-start gap-5 p-4 sm:p-6">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="grow text-title font-bold">{direction === 'apart' ? 'Strip log' : 'Assembly list'}</h1>
        <div className="no-print flex flex-wrap gap-2">
          <Choice
            label="Which way round"
            value={direction}
            options={[
              { value: 'apart', text: 'Apart' },
              { value: 'together', text: 'Back together' },
            ]}
            onChoose={setDirection}
          />
          <PlainButton onClick={() => window.print()}>
            <Printer size={18} className="mr-2 inline" aria-hidden="true" />
            Print
          </PlainButton>
        </div>
      </div>
      {steps.length === 0 && editing !== 'new' && (
        <p className="text-quiet">
          One line for each thing that comes off, with a photo before it moves. Backwards, it is how it goes
          together.
        </p>
      )}
      <ol className="grid" aria-label={direction === 'apart' ? 'Steps' : 'Steps, last first'}>
        {shown.map((step, index) => (
          <li key={step.id} className="border-b border-line py-3">
            {editing === step.id ? (
              <StepForm step={step} onKeep={keep} onClose={() => setEditing(null)} />
            ) : (
              <StepView
                step={step}
                number={index + 1}
                direction={direction}
                onEdit={() => setEditing(step.id)}
              />
            )}
          </li>
        ))}
      </ol>
      {direction === 'apart' &&
        (editing === 'new' ? (
          <StepForm step={null} onKeep={keep} onClose={() => setEditing(null)} />
        ) : (
          <PlainButton
            look="strong"
            className="no-print min-h-14 justify-self-start text-large"
            onClick={() => setEditing('new')}
          >
            {steps.length === 0 ? 'Write down the first step' : 'Next step'}
          </PlainButton>
        ))}
    </main>
  );
}

interface StepViewProps {
  step: StripStep;
  number: number;
  direction: Direction;
  onEdit: () => void;
}

function StepView({ step, number, direction, onEdit }: StepViewProps) {
  const { photo, text, fasteners, loose } = step;
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-2">
      <span className="font-mono text-large font-bold">{number}</span>
      {photo && (
        <a href={photoUrl(photo)} target="_blank" rel="noreferrer" className="shrink-0">
          <img
            src={thumbUrl(photo)}
            alt={`Photo of: ${text}`}
            className="h-24 w-32 rounded-part bg-sheet object-cover"
          />
        </a>
      )}
      <div className="min-w-0 grow basis-52">
        <p className="text-large font-semibold">
          {direction === 'together' && <span className="font-normal text-quiet">Undo this: </span>}
          {text}
        </p>
        <ul>
          {fasteners.map((one, index) => (
            <li key={index} className="font-mono">
              {fastenerWords(one)}
            </li>
          ))}
        </ul>
        {loose && (
          <p className="font-semibold">
            {direction === 'apart' ? 'Comes loose' : 'Goes in here'}: {loose}
          </p>
        )}
      </div>
      <PlainButton look="quiet" className="no-print self-start" onClick={onEdit}>
        Change
      </PlainButton>
    </div>
  );
}

const BARE_FASTENER = { count: '1', kind: 'screw' as FastenerKind, length: '', place: '' };
type TypedFastener = typeof BARE_FASTENER;
const INPUT = 'min-h-12 min-w-0 rounded-part border-2 border-line bg-sheet px-2';

interface StepFormProps {
  step: StripStep | null;
  onKeep: (step: StripStep) => void;
  onClose: () => void;
}

function StepForm({ step, onKeep, onClose }: StepFormProps) {
  const { photos } = usePhotos();
  const [text, setText] = useState(step?.text ?? '');
  const [loose, setLoose] = useState(step?.loose ?? '');
  const [photo, setPhoto] = useState<PhotoId | null>(step?.photo ?? null);
  const [known] = useState(() => new Set(photos.map(({ id }) => id)));
  const [rows, setRows] = useState<TypedFastener[]>(
    () =>
      step?.fasteners.map(({ count, kind, length, place }) => ({
        count: String(count),
        kind,
        length: length?.toString() ?? '',
        place,
      })) ?? [],
  );
  const [message, setMessage] = useState('');
  // A photo that came in while this was open is of this step.
  const fresh = photos.findLast(({ id, purpose }) => purpose === 'strip' && !known.has(id))?.id ?? null;
  const chosen = photo ?? fresh;
  const keep = () => {
    if (text.trim() === '' && chosen === null)
      return setMessage('Say what comes off, or take a photo of it.');
    const fasteners: Fastener[] = [];
    for (const { count, kind, length, place } of rows) {
      const pieces = Number(count);
      const long = readAmount(length, 1000);
      if (!Number.isInteger(pieces) || pieces < 1 || pieces > 99)
        return setMessage(`“${count}” is not a count from 1 to 99.`);
      if (long === undefined || long === 0)
        return setMessage(`“${length}” is not a length in mm, such as 12 or 6,5.`);
      fasteners.push({ count: pieces, kind, length: long, place: place.trim() });
    }
    return onKeep({
      id: step?.id ?? newId<StepId>(),
      text: text.trim() || 'See the photo',
      photo: chosen,
      fasteners,
      loose: loose.trim(),
      removed: false,
    });
  };
  const setRow = (index: number, part: Partial<TypedFastener>) =>
    setRows(rows.map((row, at) => (at === index ? { ...row, ...part } : row)));
  return (
    <form
      className="grid gap-3 rounded-part border-2 border-brass bg-sheet p-4"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <label className="font-semibold">
        What comes off
        <input
          autoFocus
          value={text}
          maxLength={STEP_LETTERS}
          onChange={({ target }) => setText(target.value)}
          className={`${INPUT} mt-1 w-full font-normal`}
        />
      </label>
      <div className="flex flex-wrap items-center gap-3">
        {chosen && (
          <img
            src={thumbUrl(chosen)}
            alt="Photo of this step"
            className="h-20 w-28 rounded-part object-cover"
          />
        )}
        <PhotoAdder purpose="strip" />
        {photos.length > 0 && (
          <label>
            <span className="sr-only">Photo of this step</span>
            <select
              value={chosen ?? ''}
              onChange={({ target }) => setPhoto(photos.find(({ id }) => id === target.value)?.id ?? null)}
              className={INPUT}
            >
              <option value="">no photo</option>
              {photos.map(({ id }, index) => (
                <option key={id} value={id}>
                  photo {index + 1}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      <fieldset className="grid gap-2">
        <legend className="font-semibold">Fasteners</legend>
        {rows.map((row, index) => (
          <div
            key={index}
            className="grid grid-cols-[3.5rem_1fr_5.5rem] gap-2 sm:grid-cols-[3.5rem_9rem_5.5rem_1fr_auto]"
          >
            <input
              aria-label="How many"
              value={row.count}
              onChange={({ target }) => setRow(index, { count: target.value })}
              className={`${INPUT} font-mono`}
            />
            <select
              aria-label="Kind"
              value={row.kind}
              onChange={({ target }) =>
                setRow(index, { kind: FASTENERS.find((kind) => kind === target.value) ?? 'other' })
              }
              className={INPUT}
            >
              {FASTENERS.map((kind) => (
                <option key={kind} value={kind}>
                  {FASTENER_WORDS[kind][0]}
                </option>
              ))}
            </select>
            <input
              aria-label="Length in mm"
              placeholder="mm"
              value={row.length}
              onChange={({ target }) => setRow(index, { length: target.value })}
              className={`${INPUT} font-mono placeholder:text-quiet`}
            />
            <input
              aria-label="Place"
              placeholder="where"
              maxLength={FASTENER_PLACE_LETTERS}
              value={row.place}
              onChange={({ target }) => setRow(index, { place: target.value })}
              className={`${INPUT} col-span-2 placeholder:text-quiet sm:col-span-1`}
            />
            <PlainButton
              look="quiet"
              className="!px-2"
              onClick={() => setRows(rows.filter((_, at) => at !== index))}
            >
              Remove
            </PlainButton>
          </div>
        ))}
        {rows.length < MOST_FASTENERS ? (
          <PlainButton className="justify-self-start" onClick={() => setRows([...rows, BARE_FASTENER])}>
            Add fasteners
          </PlainButton>
        ) : (
          <p className="text-quiet">
            {MOST_FASTENERS} kinds are as many as one step holds: write the rest as a step of their own.
          </p>
        )}
      </fieldset>
      <label className="font-semibold">
        Loose parts
        <input
          value={loose}
          maxLength={LOOSE_LETTERS}
          placeholder="springs, detent balls, spacers"
          onChange={({ target }) => setLoose(target.value)}
          className={`${INPUT} mt-1 w-full font-normal placeholder:text-quiet`}
        />
      </label>
      {message && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
      <div className="flex gap-2">
        <PlainButton type="submit" look="strong">
          Keep the step
        </PlainButton>
        <PlainButton look="quiet" onClick={onClose}>
          Leave it
        </PlainButton>
        {step && (
          <PlainButton look="quiet" className="ml-auto" onClick={() => onKeep({ ...step, removed: true })}>
            Remove the step
          </PlainButton>
        )}
      </div>
    </form>
  );
}
