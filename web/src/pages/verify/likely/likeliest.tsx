import type { SwitchMap } from '@which-way/core/continuity';
import { mechanicalSignsOf } from '@which-way/core/log';
import {
  oddReading,
  type DiagnosisClass,
  type DiagnosisQuestion,
  type OddReading,
} from '@which-way/core/verify';
import { useMemo } from 'react';
import {
  causeWords,
  firstCauseWords,
  ODD_JOIN_WORDS,
  tieWords,
  WORK_IT_WORDS,
} from '@which-way/words/judge/diagnosis';
import { settingName, terminalName } from '@which-way/words/terminals';
import { useReadAgain } from '../../../parts/asking/use-read-again.js';
import { useAskOnMap } from '../../../parts/asking/use-ask-on-map.js';
import { PlainButton } from '../../../controls/plain-button.js';
import type { Diagnosed } from './use-diagnosis.js';
import { LIKELIEST_TEXT } from '@which-way/words/screens/pages/verify/likely/likeliest';

/** Explanations told of one class before the rest is only counted. */
const MOST_TOLD = 4;
/** Classes told. */
const MOST_CLASSES = 3;

/** What is likeliest wrong, with its ties and what each leaves; and the reading that would tell most. */
export function Likeliest({ map, diagnosed }: { map: SwitchMap; diagnosed: Diagnosed }) {
  const { question, diagnosis } = diagnosed;
  const readAgain = useReadAgain();
  const repeat = useMemo(() => oddReading(map, question), [map, question]);
  if (!diagnosis)
    return (
      <p role="status" className="text-quiet">
        {LIKELIEST_TEXT.lookingForWhatWouldExplain}
      </p>
    );
  const [first, ...more] = diagnosis.classes;
  if (!first) return null;
  return (
    <section
      aria-label={LIKELIEST_TEXT.likeliest}
      className="grid gap-2 rounded-part border-2 border-ink bg-sheet px-4 py-3"
    >
      <h2 className="text-quiet">{LIKELIEST_TEXT.likeliestNotProved}</h2>
      <ClassOf map={map} question={question} one={first} repeat={repeat} />
      {repeat && !repeat.repeated && (
        <PlainButton className="justify-self-start" onClick={() => readAgain(repeat.reading)}>
          {LIKELIEST_TEXT.repeatIt}
        </PlainButton>
      )}
      {repeat?.repeated && first.explanations[0]?.[0]?.cause === 'joined-at' && <p>{ODD_JOIN_WORDS}</p>}
      <Telling map={map} diagnosed={diagnosed} />
      {first.explanations.flat().some(({ cause }) => cause === 'never-closes' || cause === 'opens-also') && (
        <p>{WORK_IT_WORDS}</p>
      )}
      {mechanicalSignsOf(map.log).get('returns') === 'at-fault' && (
        <p>{LIKELIEST_TEXT.seenItDoesNotSpring}</p>
      )}
      {more.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            {LIKELIEST_TEXT.lessLikely}
          </summary>
          <ul className="grid gap-2">
            {more.slice(0, MOST_CLASSES - 1).map((one) => (
              <li key={JSON.stringify(one.explanations[0])}>
                <ClassOf map={map} question={question} one={one} />
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

interface ClassOfProps {
  map: SwitchMap;
  question: DiagnosisQuestion;
  one: DiagnosisClass;
  /** Of the likeliest, which is told large: the reading that may be the slip. */
  repeat?: OddReading | null;
}

function ClassOf({ map: { structure }, question, one, repeat }: ClassOfProps) {
  const { explanations, leaves } = one;
  const words = explanations.map((causes) =>
    causes.map((cause) => causeWords(structure, question, cause)).join(', and '),
  );
  const [first = '', ...ties] = words;
  const left = leaves.slice(0, MOST_TOLD).map(([setting, a, b]) => {
    const place = question.settings[setting];
    const pair = [a, b].map((at) => terminalName(structure, question.terminals[at] as never)).join('–');
    return `${pair} at ${place ? settingName(structure, place) : '?'}`;
  });
  return (
    <div className="grid gap-1">
      <p className={repeat === undefined ? 'font-semibold' : 'text-title leading-tight font-bold'}>
        {firstCauseWords(structure, repeat ?? null, first)}
      </p>
      {ties.slice(0, MOST_TOLD).map((tie) => (
        <p key={tie}>
          {LIKELIEST_TEXT.or}
          <strong>{tie}</strong>
        </p>
      ))}
      {ties.length > MOST_TOLD && (
        <p>
          {LIKELIEST_TEXT.orOneOf}
          {ties.length - MOST_TOLD}
          {LIKELIEST_TEXT.moreThatShowTheSame}
        </p>
      )}
      {ties.length > 0 && <p className="text-quiet">{tieWords(explanations)}</p>}
      <p>
        {leaves.length === 0
          ? LIKELIEST_TEXT.itExplainsEveryDifference
          : LIKELIEST_TEXT.itLeaves(
              leaves.length === 1 ? 'one pair' : `${leaves.length} pairs`,
              left.join(', '),
              leaves.length > MOST_TOLD ? ' …' : '',
            )}
      </p>
    </div>
  );
}

/** The reading that would tell most, as a button that puts it on the Map's prompt. */
function Telling({
  map: { structure },
  diagnosed: { question, diagnosis },
}: {
  map: SwitchMap;
  diagnosed: Diagnosed;
}) {
  const askOnMap = useAskOnMap();
  const telling = diagnosis?.telling;
  if (!telling) return null;
  const [red, black] = [question.terminals[telling.a], question.terminals[telling.b]];
  const setting = question.settings[telling.setting];
  if (!red || !black || !setting) return null;
  return (
    <PlainButton className="justify-self-start" onClick={() => askOnMap(setting, red, black)}>
      {LIKELIEST_TEXT.read}
      {terminalName(structure, red)}–{terminalName(structure, black)}
      {LIKELIEST_TEXT.at} {settingName(structure, setting)}
      {LIKELIEST_TEXT.itTellsMost}
    </PlainButton>
  );
}
