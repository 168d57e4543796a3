import { oddQuestions, type OddQuestion } from '@which-way/core/table';
import type { OddAnswer } from '@which-way/core/log';
import { oddWords } from '@which-way/words/identity';
import type { PromptId } from '@which-way/core/switch';
import { useNavigate } from 'react-router';
import { newId } from '../job/new-id.js';
import { useJobState, useSession } from '../job/job-context.js';
import { PlainButton } from '../shared/controls/plain-button.js';

const ANSWERED: Record<OddAnswer, string> = { meant: 'is meant', fault: 'is the fault' };

/** What is odd about the pattern by itself, asked once and calmly; all normal in one tap. */
export function OddPanel() {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const questions = oddQuestions(map);
  if (questions.length === 0) return null;
  const open = questions.filter(({ answer }) => answer === null);
  const say = (about: readonly OddQuestion[], answer: OddAnswer | null) =>
    session.emit({
      kind: 'odd-answered',
      answers: about.map((question) => ({ about: question.about, answer })),
    });
  return (
    <section
      aria-label="Is that meant?"
      className="no-print my-3 grid gap-2 rounded-part border-2 border-line bg-sheet px-4 py-3"
    >
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="grow text-large font-bold">Is that meant?</h2>
        {open.length > 1 && (
          <PlainButton onClick={() => say(open, 'meant')}>All {open.length} are meant</PlainButton>
        )}
      </div>
      <ul className="grid gap-2">
        {questions.map((question) => (
          <li
            key={JSON.stringify(question.about)}
            className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-line pt-2"
          >
            <span className="min-w-0 grow basis-60">{oddWords(map.structure, question)}</span>
            {question.answer === null ? (
              <span className="flex flex-wrap gap-1.5">
                <PlainButton onClick={() => say([question], 'meant')}>It is meant</PlainButton>
                <ReadAgain question={question} />
                <PlainButton onClick={() => say([question], 'fault')}>It is the fault</PlainButton>
              </span>
            ) : (
              <span className="flex items-center gap-2">
                <strong>{ANSWERED[question.answer]}</strong>
                <PlainButton look="quiet" className="!px-2" onClick={() => say([question], null)}>
                  Answer again
                </PlainButton>
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Puts the pair that would tell on the Map's prompt. */
function ReadAgain({ question: { about } }: { question: OddQuestion }) {
  const map = useJobState((state) => state.map);
  const [red, black] = about.terminals;
  const setting = about.settings[0] ?? map.structure.settings[0]?.id;
  const session = useSession();
  const navigate = useNavigate();
  if (!red || !black || !setting) return null;
  return (
    <PlainButton
      onClick={() => {
        const ask = { kind: 'pair' as const, setting, red, black };
        session.emit({ kind: 'prompt-shown', prompt: { id: newId<PromptId>(), ask } });
        navigate('../map', { relative: 'path' });
      }}
    >
      Read it again
    </PlainButton>
  );
}
