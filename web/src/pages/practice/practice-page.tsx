import { RadioLines } from '../../controls/fields/radio-lines.js';
import { questions } from '../../api/questions.js';
import { Pick } from '../../controls/fields/pick.js';
import { kindsOf } from '@which-way/core/kinds';
import {
  simulatePattern,
  withFault,
  withSurprises,
  type SimulatedSwitch,
  type SurpriseKind,
} from '@which-way/core/simulated';
import { seededRandom } from '@which-way/core/switch';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { toldOf } from '../../api/client.js';
import { Notice } from '../../controls/notice.js';
import { LibrarySelect } from '../../controls/fields/library-select.js';
import { PlainButton } from '../../controls/plain-button.js';
import { TopBar } from '../../controls/frame/top-bar.js';
import { kindWords } from '@which-way/words/kinds';
import {
  CONTACT_FAULT_WORDS,
  METER_FAULT_WORDS,
  MISASSEMBLY_WORDS,
  SIMULATED_PART_WORDS,
} from '@which-way/words/map/practice';
import { DrawingUp } from './drawing-up.js';
import { readDrawn, type DrawnSwitch } from './drawn-pattern.js';
import { makePractice, ORDINARY, switchFor } from './make-practice.js';
import { LESSON_NAME } from '../../parts/lessons/first-lesson.js';
import { LISTENS_AT_ONCE } from '../../parts/ear/listens-at-once.js';
import { PRACTICE_PAGE_TEXT } from '@which-way/words/screens/pages/practice/practice-page';

const DRAWN_NAME = 'a switch of one’s own';

const FAULTS: readonly [count: number, words: string][] = [
  [0, PRACTICE_PAGE_TEXT.noneTheSwitchAndThe],
  [1, PRACTICE_PAGE_TEXT.oneSurprise],
  [3, PRACTICE_PAGE_TEXT.threeSurprises],
];

/** A switch that exists only in the computer, a meter that answers, and what was wrong told afterwards. */
export function PracticePage() {
  const navigate = useNavigate();
  const library = useQuery(questions.library('', 100));
  const [choice, setChoice] = useState('surprise');
  const [drawn, setDrawn] = useState<DrawnSwitch>({ terminals: '6', positions: ['', ''] });
  const [faults, setFaults] = useState(0);
  const [kind, setKind] = useState<SurpriseKind | ''>('');
  const [trouble, setTrouble] = useState<{ message: string; hint: string } | null>(null);
  const [busy, setBusy] = useState(false);

  const begin = async (hidden: SimulatedSwitch, title: string, heard = false) => {
    setBusy(true);
    setTrouble(null);
    try {
      navigate(await makePractice(hidden, title, heard), { state: heard ? LISTENS_AT_ONCE : null });
    } catch (error) {
      setTrouble(toldOf(error));
      setBusy(false);
    }
  };
  const start = async (event: FormEvent) => {
    event.preventDefault();
    const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
    const own = choice === 'drawn' ? readDrawn(drawn) : null;
    if (own?.kind === 'wrong')
      return setTrouble({ message: PRACTICE_PAGE_TEXT.thatSwitchCannotBeDrawn, hint: own.message });
    let chosen: { hidden: SimulatedSwitch; title: string } | null = null;
    try {
      chosen = own
        ? { hidden: simulatePattern(own.pattern, DRAWN_NAME, seed, true), title: `Practice: ${DRAWN_NAME}` }
        : await switchFor(choice, library.data?.entries.map(({ id }) => id) ?? [], seed);
    } catch (error) {
      return setTrouble(toldOf(error));
    }
    if (!chosen)
      return setTrouble({
        message: PRACTICE_PAGE_TEXT.noSwitchIsChosen,
        hint: PRACTICE_PAGE_TEXT.chooseOneOfTheList,
      });
    const surprised = withSurprises(chosen.hidden, seed, faults);
    void begin(kind === '' ? surprised : withFault(surprised, kind, seededRandom(seed)), chosen.title);
  };
  const lesson = (heard: boolean) => {
    const [changeover] = kindsOf(3, 2).filter(({ kind }) => kind === 'changeover');
    if (changeover) void begin(simulatePattern(changeover.pattern, LESSON_NAME, 3, true), LESSON_NAME, heard);
  };

  return (
    <div className="flex min-h-full flex-col">
      <TopBar title={PRACTICE_PAGE_TEXT.practice} />
      <main className="mx-auto w-full max-w-3xl grow px-4 pb-10 sm:px-8">
        <h1 className="py-5 text-title font-bold">{PRACTICE_PAGE_TEXT.practice}</h1>
        <FirstLesson busy={busy} onBegin={lesson} />
        <form className="border-t-2 border-line py-5" onSubmit={(event) => void start(event)}>
          <h2 className="text-large font-bold">{PRACTICE_PAGE_TEXT.aSwitchToMap}</h2>
          <div className="mt-2">
            <LibrarySelect
              label={PRACTICE_PAGE_TEXT.which}
              value={choice}
              onChange={setChoice}
              group={PRACTICE_PAGE_TEXT.fromLibrary}
              large
              before={[
                { value: 'surprise', text: PRACTICE_PAGE_TEXT.surpriseMe },
                { value: 'drawn', text: PRACTICE_PAGE_TEXT.drawOneUp },
                {
                  heading: PRACTICE_PAGE_TEXT.ordinary,
                  options: ORDINARY.map((one) => ({
                    value: one.key,
                    text: kindWords(one.kind, one.poles, one.ways),
                  })),
                },
              ]}
            />
          </div>
          {choice === 'drawn' && <DrawingUp drawn={drawn} onChange={setDrawn} />}
          <Surprises count={faults} onChoose={setFaults} />
          <ForCertain kind={kind} onChoose={setKind} />
          <p className="my-2 text-quiet">{PRACTICE_PAGE_TEXT.contactsDirtyBurntWeldedBroken}</p>
          {trouble && (
            <Notice look="amber" title={trouble.message}>
              {trouble.hint}
            </Notice>
          )}
          <PlainButton look="strong" type="submit" className="mt-2 min-h-14" disabled={busy}>
            {PRACTICE_PAGE_TEXT.putItOnTheBench}
          </PlainButton>
        </form>
      </main>
    </div>
  );
}

/** The first lesson, at the keys or by ear. */
function FirstLesson({ busy, onBegin }: { busy: boolean; onBegin: (heard: boolean) => void }) {
  return (
    <section aria-label={PRACTICE_PAGE_TEXT.firstLesson} className="border-t-2 border-line py-5">
      <h2 className="text-large font-bold">{PRACTICE_PAGE_TEXT.firstLesson}</h2>
      <p className="my-2">{PRACTICE_PAGE_TEXT.threeLugsAHandleA}</p>
      <div className="flex flex-wrap gap-2">
        <PlainButton look="strong" className="min-h-14" disabled={busy} onClick={() => onBegin(false)}>
          {PRACTICE_PAGE_TEXT.beginTheLesson}
        </PlainButton>
        <PlainButton className="min-h-14" disabled={busy} onClick={() => onBegin(true)}>
          {PRACTICE_PAGE_TEXT.beginByEar}
        </PlainButton>
      </div>
    </section>
  );
}

/** How many surprises there are. */
function Surprises({ count, onChoose }: { count: number; onChoose: (count: number) => void }) {
  return (
    <RadioLines
      className="mt-4"
      label={PRACTICE_PAGE_TEXT.whatIsWrongWithIt}
      value={String(count)}
      options={FAULTS.map(([many, text]) => ({ value: String(many), text }))}
      onChoose={(many) => onChoose(Number(many))}
    />
  );
}

/** One fault that is there for certain. */
function ForCertain({
  kind,
  onChoose,
}: {
  kind: SurpriseKind | '';
  onChoose: (kind: SurpriseKind | '') => void;
}) {
  return (
    <div className="mt-1">
      <Pick
        label={PRACTICE_PAGE_TEXT.andForCertain}
        value={kind}
        className="min-h-14 px-4 text-large"
        options={[
          { value: '', text: 'Nothing' },
          ...Object.entries({
            'A contact': CONTACT_FAULT_WORDS,
            [PRACTICE_PAGE_TEXT.putTogether]: MISASSEMBLY_WORDS,
            [PRACTICE_PAGE_TEXT.partAcross]: SIMULATED_PART_WORDS,
            [PRACTICE_PAGE_TEXT.theMeter]: METER_FAULT_WORDS,
          }).map(([heading, words]) => ({
            heading,
            options: Object.entries(words).map(([value, text]) => ({ value, text })),
          })),
        ]}
        onPick={(value) => onChoose(value as SurpriseKind | '')}
      />
    </div>
  );
}
