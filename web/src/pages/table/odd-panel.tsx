import { askedOdd, isOddOpen, type AskedOdd } from '@which-way/core/verify';
import type { OddAnswer } from '@which-way/core/log';
import { oddWords } from '@which-way/words/table/identity';
import { useJobState, useSession } from '../../job/job-context.js';
import { useAskOnMap } from '../../parts/asking/use-ask-on-map.js';
import { PlainButton } from '../../controls/plain-button.js';
import { useCameFor } from '../../controls/use-came-for.js';
import { ODD_PANEL_TEXT } from '@which-way/words/screens/pages/table/odd-panel';

const ANSWERED: Record<OddAnswer, string> = { meant: 'is meant', fault: 'is the fault' };

/** What is odd about the pattern by itself, asked once and calmly; all normal in one tap, what was answered folded away. */
export function OddPanel() {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const came = useCameFor('odd');
  const questions = groupedOf(askedOdd(map));
  if (questions.length === 0) return null;
  const open = questions.filter(([one]) => isOddOpen(one));
  const answered = questions.filter(([one]) => !isOddOpen(one));
  const say = (about: readonly AskedOdd[], answer: OddAnswer | null) =>
    session.emit({
      kind: 'odd-answered',
      answers: about.map((question) => ({ about: question.about, answer })),
    });
  return (
    <section
      id="odd"
      ref={came}
      aria-label={ODD_PANEL_TEXT.isThatMeant}
      className="no-print rounded-part border-2 border-line bg-sheet px-3 py-1"
    >
      {open.length > 1 && (
        <div className="flex flex-wrap items-center gap-3">
          <h2 className="grow text-large font-bold">{ODD_PANEL_TEXT.isThatMeant}</h2>
          <PlainButton onClick={() => say(open.flat(), 'meant')}>
            {ODD_PANEL_TEXT.all}
            {open.length}
            {ODD_PANEL_TEXT.areMeant}
          </PlainButton>
        </div>
      )}
      <ul>
        {open.map((group) => (
          <li
            key={JSON.stringify(group[0].about)}
            className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1"
          >
            <span className="min-w-0 grow basis-60">
              {open.length === 1 && <strong>{ODD_PANEL_TEXT.isThatMeant2}</strong>}
              {oddWords(map.structure, group)}
            </span>
            <span className="flex flex-wrap gap-1.5">
              <PlainButton onClick={() => say(group, 'meant')}>{ODD_PANEL_TEXT.itIsMeant}</PlainButton>
              {group[0].odd.code !== 'joins-nothing' && <ReadAgain question={group[0]} />}
              <PlainButton onClick={() => say(group, 'fault')}>{ODD_PANEL_TEXT.itIsTheFault}</PlainButton>
            </span>
          </li>
        ))}
      </ul>
      {answered.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2">
            {answered.length === 1
              ? ODD_PANEL_TEXT.oneOddThingWasAnswered
              : ODD_PANEL_TEXT.oddThingsWereAnswered(answered.length)}
          </summary>
          <ul>
            {answered.map((group) => (
              <li key={JSON.stringify(group[0].about)} className="flex flex-wrap items-center gap-2">
                <span className="grow">{oddWords(map.structure, group)}</span>
                <strong>
                  {group[0].byTable ? ODD_PANEL_TEXT.theTableSaysSo : ANSWERED[group[0].answer ?? 'meant']}
                </strong>
                {!group[0].byTable && (
                  <PlainButton look="quiet" className="!px-2" onClick={() => say(group, null)}>
                    {ODD_PANEL_TEXT.answerAgain}
                  </PlainButton>
                )}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

/** Questions that are one: terminals that join nothing, answered alike. */
function groupedOf(questions: readonly AskedOdd[]): [AskedOdd, ...AskedOdd[]][] {
  const groups: [AskedOdd, ...AskedOdd[]][] = [];
  for (const question of questions) {
    const same =
      question.odd.code === 'joins-nothing' &&
      groups.find(
        ([first]) => first.odd.code === 'joins-nothing' && isOddOpen(first) === isOddOpen(question),
      );
    if (same) same.push(question);
    else groups.push([question]);
  }
  return groups;
}

/** Puts the pair that would tell on the Map's prompt. */
function ReadAgain({ question: { about } }: { question: AskedOdd }) {
  const map = useJobState((state) => state.map);
  const [red, black] = about.terminals;
  const setting = about.settings[0] ?? map.structure.settings[0]?.id;
  const askOnMap = useAskOnMap();
  if (!red || !black || !setting) return null;
  return (
    <PlainButton onClick={() => askOnMap(setting, red, black)}>{ODD_PANEL_TEXT.readItAgain}</PlainButton>
  );
}
