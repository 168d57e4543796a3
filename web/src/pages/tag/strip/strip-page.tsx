import { recordsOf, type StripStep } from '@which-way/core/log';
import { type StepId } from '@which-way/core/switch';
import { Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { StepForm } from './step-form.js';
import { photoUrl, thumbUrl } from '../../../parts/photos/photo-url.js';
import { Choice } from '../../../controls/fields/choice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { fastenerWords } from '@which-way/words/tag/wires';
import { STRIP_PAGE_TEXT } from '@which-way/words/screens/pages/tag/strip/strip-page';
import { useUnits } from '../../../parts/units/units.js';

type Direction = 'apart' | 'together';

/** Taking it apart, step by step; read backwards it is the assembly list. */
export function StripPage() {
  const log = useJobState((state) => state.map.log);
  const steps = useMemo(() => recordsOf(log, 'stripped'), [log]);
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
        <h1 className="grow text-title font-bold">
          {direction === 'apart' ? STRIP_PAGE_TEXT.stripLog : STRIP_PAGE_TEXT.assemblyList}
        </h1>
        <div className="no-print flex flex-wrap gap-2">
          <Choice
            label={STRIP_PAGE_TEXT.whichWayRound}
            value={direction}
            options={[
              { value: 'apart', text: 'Apart' },
              { value: 'together', text: STRIP_PAGE_TEXT.backTogether },
            ]}
            onChoose={setDirection}
          />
          <PlainButton onClick={() => window.print()}>
            <Printer size={18} className="mr-2 inline" aria-hidden="true" />
            {STRIP_PAGE_TEXT.print}
          </PlainButton>
        </div>
      </div>
      {steps.length === 0 && editing !== 'new' && (
        <p className="text-quiet">{STRIP_PAGE_TEXT.oneLineForEachThing}</p>
      )}
      <ol
        className="grid"
        aria-label={direction === 'apart' ? STRIP_PAGE_TEXT.steps : STRIP_PAGE_TEXT.stepsLastFirst}
      >
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
            {steps.length === 0 ? STRIP_PAGE_TEXT.writeDownTheFirstStep : STRIP_PAGE_TEXT.nextStep}
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
  const units = useUnits();
  const { photo, text, fasteners, loose } = step;
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-2">
      <span className="font-mono text-large font-bold">{number}</span>
      {photo && (
        <a href={photoUrl(photo)} target="_blank" rel="noreferrer" className="shrink-0">
          <img
            src={thumbUrl(photo)}
            alt={STRIP_PAGE_TEXT.photoOf(text)}
            className="h-24 w-32 rounded-part bg-sheet object-cover"
          />
        </a>
      )}
      <div className="min-w-0 grow basis-52">
        <p className="text-large font-semibold">
          {direction === 'together' && (
            <span className="font-normal text-quiet">{STRIP_PAGE_TEXT.undoThis}</span>
          )}
          {text}
        </p>
        <ul>
          {fasteners.map((one, index) => (
            <li key={index} className="font-mono">
              {fastenerWords(one, units)}
            </li>
          ))}
        </ul>
        {loose && (
          <p className="font-semibold">
            {direction === 'apart' ? STRIP_PAGE_TEXT.comesLoose : STRIP_PAGE_TEXT.goesInHere}: {loose}
          </p>
        )}
      </div>
      <PlainButton look="quiet" className="no-print self-start" onClick={onEdit}>
        {STRIP_PAGE_TEXT.change}
      </PlainButton>
    </div>
  );
}
