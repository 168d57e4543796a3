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
  firstCauseWords,
  lesserCauseWords,
  ODD_JOIN_WORDS,
  tieWords,
  WORK_IT_WORDS,
} from '@which-way/words/judge/diagnosis';
import { explanationWords } from '@which-way/words/judge/explanations';
import { settingName, terminalName } from '@which-way/words/terminals';
import { useReadAgain } from '../../../parts/asking/use-read-again.js';
import { useAskOnMap } from '../../../parts/asking/use-ask-on-map.js';
import { PlainButton } from '../../../controls/plain-button.js';
import type { Diagnosed } from './use-diagnosis.js';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { ResultLine } from '../../../controls/result-line.js';
import { LIKELIEST_TEXT } from '@which-way/words/screens/pages/verify/likely/likeliest';

/** Explanations told of one class before the rest is only counted. */
const MOST_TOLD = 4;
/** Classes told. */
const MOST_CLASSES = 3;

interface LikeliestProps {
  map: SwitchMap;
  diagnosed: Diagnosed;
}

/** What is likeliest wrong, with its ties and what it leaves; and the reading that would tell most. */
export function Likeliest({ map, diagnosed }: LikeliestProps) {
  const { question, diagnosis } = diagnosed;
  const readAgain = useReadAgain();
  const repeat = useMemo(() => oddReading(map, question), [map, question]);
  if (!diagnosis)
    return (
      <p role="status" className="text-quiet">
        {LIKELIEST_TEXT.lookingForWhatWouldExplain}
      </p>
    );
  const [first] = diagnosis.classes;
  if (!first) return null;
  return (
    <div role="group" aria-label={LIKELIEST_TEXT.likeliest} className="grid gap-1">
      <ClassOf map={map} question={question} one={first} repeat={repeat} />
      <div className="flex flex-wrap gap-2">
        {repeat && !repeat.repeated && (
          <PlainButton look="strong" onClick={() => readAgain(repeat.reading)}>
            {LIKELIEST_TEXT.repeatIt}
          </PlainButton>
        )}
        <Telling map={map} diagnosed={diagnosed} />
      </div>
    </div>
  );
}

/** Less likely causes, and what to check before a contact is condemned; nothing if there are neither. */
export function OtherCauses({ map, diagnosed }: LikeliestProps) {
  const { question, diagnosis } = diagnosed;
  const repeat = useMemo(() => oddReading(map, question), [map, question]);
  const [first, ...more] = diagnosis?.classes ?? [];
  if (!first) return null;
  const causes = first.explanations.flat().map(({ cause }) => cause);
  const advice = [
    ...(repeat?.repeated && causes[0] === 'joined-at' ? [ODD_JOIN_WORDS] : []),
    ...(causes.some((cause) => cause === 'never-closes' || cause === 'opens-also') ? [WORK_IT_WORDS] : []),
    ...(mechanicalSignsOf(map.log).get('returns') === 'at-fault' ? [LIKELIEST_TEXT.seenItDoesNotSpring] : []),
  ];
  const others = more.slice(0, MOST_CLASSES - 1);
  if (advice.length + others.length === 0) return null;
  return (
    <ResultLine
      name={RESULT_LINES_TEXT.otherCauses}
      result={others.length > 0 ? RESULT_LINES_TEXT.lessLikely(others.length) : RESULT_LINES_TEXT.checkFirst}
      act={RESULT_LINES_TEXT.see}
    >
      {advice.map((text) => (
        <p key={text}>{text}</p>
      ))}
      <ul className="mt-1 grid gap-2">
        {others.map((one) => (
          <li key={JSON.stringify(one.explanations[0])}>
            <ClassOf map={map} question={question} one={one} />
          </li>
        ))}
      </ul>
    </ResultLine>
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
  const words = explanationWords(structure, question, explanations);
  const [first = '', ...ties] = words;
  const left = leaves.slice(0, MOST_TOLD).map(([setting, a, b]) => {
    const place = question.settings[setting];
    const pair = [a, b].map((at) => terminalName(structure, question.terminals[at] as never)).join('–');
    return `${pair} at ${place ? settingName(structure, place) : '?'}`;
  });
  return (
    <div className="grid gap-1">
      <p className={repeat === undefined ? 'font-semibold' : 'text-large leading-tight font-bold'}>
        {repeat === undefined ? lesserCauseWords(first) : firstCauseWords(structure, repeat, first)}
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
