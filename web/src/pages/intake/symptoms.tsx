import { firstTestsOf, guessedSymptoms, mustShow } from '@which-way/core/path';
import { notesOf, recordsOf, type Symptom, SYMPTOMS } from '@which-way/core/log';
import { FIRST_TEST_WORDS, MUST_SHOW_WORDS, SYMPTOM_WORDS } from '@which-way/words/before/symptom';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useJobState, useSession } from '../../job/job-context.js';
import { SYMPTOMS_TEXT } from '@which-way/words/screens/pages/intake/symptoms';

/** What kind of complaint it is: it says what is tried first, and what has to be shown at the end. */
export function Symptoms() {
  const log = useJobState(({ map }) => map.log);
  const session = useSession();
  const said = useMemo(() => recordsOf(log, 'symptoms-said') ?? [], [log]);
  const offered = useMemo(() => {
    const notes = notesOf(log);
    return guessedSymptoms(`${notes.get('complaint') ?? ''} ${notes.get('tried') ?? ''}`);
  }, [log]);
  const turn = (symptom: Symptom) =>
    session.emit({
      kind: 'symptoms-said',
      symptoms: said.includes(symptom) ? said.filter((one) => one !== symptom) : [...said, symptom],
    });
  return (
    <section aria-label={SYMPTOMS_TEXT.kindOfComplaint} className="grid gap-2">
      <h2 className="text-title font-bold">{SYMPTOMS_TEXT.whatKindOfComplaint}</h2>
      <div className="flex flex-wrap gap-1.5">
        {SYMPTOMS.map((symptom) => {
          const on = said.includes(symptom);
          const hint = !on && offered.includes(symptom);
          return (
            <button
              key={symptom}
              type="button"
              aria-pressed={on}
              onClick={() => turn(symptom)}
              className={`min-h-12 rounded-part border-2 px-3 font-semibold ${on ? 'border-ink bg-ink text-sheet' : hint ? 'border-brass border-dashed bg-sheet' : 'border-edge bg-sheet hover:border-ink'}`}
            >
              {SYMPTOM_WORDS[symptom]}
              {hint && <span className="block text-small font-normal">{SYMPTOMS_TEXT.asItWasTold}</span>}
            </button>
          );
        })}
      </div>
      {said.length > 0 && (
        <div className="grid gap-1">
          <p className="font-semibold">{SYMPTOMS_TEXT.tryFirst}</p>
          <ul className="list-disc pl-5">
            {firstTestsOf(said).map((test) => (
              <li key={test}>{FIRST_TEST_WORDS[test]}</li>
            ))}
          </ul>
          <p>
            <strong>{SYMPTOMS_TEXT.toBeShownAtThe}</strong>{' '}
            {mustShow(said)
              .map((show) => MUST_SHOW_WORDS[show])
              .join('; ')}
            .{' '}
            <Link to="../verify#to-be-shown" relative="path" className="underline">
              {SYMPTOMS_TEXT.verify}
            </Link>
          </p>
        </div>
      )}
    </section>
  );
}
