import type { SwitchMap } from '@which-way/core/continuity';
import { judge, type Open } from '@which-way/core/verdict';
import { contactLimitOf, judgedContacts, type LineOutcome } from '@which-way/core/verify';
import { limitWords, LINE_NAMES, LINE_OUTCOME_WORDS } from '@which-way/words/judge/verdict';
import {
  faultWords,
  notTestedWords,
  reasonWords,
  settlesWords,
  verdictHeadline,
} from '@which-way/words/verdict';
import { VERDICT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/verdict-lines';
import { Link, useNavigate } from 'react-router';
import { PlainButton } from '../../../controls/plain-button.js';
import { useSession } from '../../../job/job-context.js';

const LOOKS: Record<LineOutcome, string> = {
  pass: 'bg-sheet border-ink',
  fail: 'bg-ink text-sheet border-ink',
  'not-yet': 'not-known border-line',
  'cannot-tell': 'bg-sheet border-ink border-dashed',
};

const LINES = ['pattern', 'contacts', 'insulation', 'mechanics'] as const;

/** The verdict: the whole, the act that comes next, the four lines, and what was not tested. */
export function VerdictLines({ map }: { map: SwitchMap }) {
  const judgement = judge(map);
  const { lines, open, notTested } = judgement;
  const [first] = open;
  return (
    <section aria-label={VERDICT_LINES_TEXT.verdict} className="grid gap-2">
      <h2 className="text-title leading-tight font-bold" data-testid="verdict">
        {verdictHeadline(judgement)}
      </h2>
      {first && <Settles map={map} open={first} />}
      <dl className="grid grid-cols-[auto_auto_minmax(0,1fr)] items-baseline gap-x-3 gap-y-1">
        {LINES.map((name) => {
          const { outcome } = lines[name];
          return (
            <div key={name} className="contents">
              <dt className="font-semibold">{LINE_NAMES[name]}</dt>
              <dd>
                <span
                  className={`inline-block min-w-24 rounded-part border px-2 text-center text-small font-semibold ${LOOKS[outcome]}`}
                >
                  {outcome === 'pass' && '✓ '}
                  {LINE_OUTCOME_WORDS[outcome]}
                </span>
              </dd>
              <dd>
                {reasonWords(lines, name)}
                {name === 'contacts' && VERDICT_LINES_TEXT.limit(limitWords(contactLimitOf(map)))}
              </dd>
            </div>
          );
        })}
      </dl>
      {faultWords(map).map((text) => (
        <p key={text}>{text}</p>
      ))}
      {notTested.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            {VERDICT_LINES_TEXT.notTested(notTested.length)}
          </summary>
          <ul className="list-disc pl-6">
            {notTestedWords(map, notTested).map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

const ACT = 'inline-flex min-h-11 items-center justify-self-start font-semibold underline';

/** The act that settles what is open first, with the way to it. */
function Settles({ map, open }: { map: SwitchMap; open: Open }) {
  const session = useSession();
  const navigate = useNavigate();
  const text = settlesWords(open);
  if (open.code === 'not-in-ohms') {
    const contacts = judgedContacts(map).flatMap(({ verdict, setting, terminals }) =>
      verdict === 'no-ohms' ? [{ setting, terminals }] : [],
    );
    return (
      <PlainButton
        look="strong"
        className="justify-self-start"
        onClick={() => {
          session.emit({ kind: 'ohms-asked', contacts });
          void navigate('../map', { relative: 'path' });
        }}
      >
        {text}
      </PlainButton>
    );
  }
  switch (open.where) {
    case 'map':
      return (
        <Link className={ACT} to="../map" relative="path">
          {text}
        </Link>
      );
    case 'questions':
      return (
        <Link className={ACT} to="../table#odd" relative="path">
          {text}
        </Link>
      );
    default:
      return (
        <a className={ACT} href={`#${open.where}`} onClick={() => unfold(open.where)}>
          {text}
        </a>
      );
  }
}

/** Opens the part of the page that a way leads to. */
function unfold(id: string): void {
  const part = document.getElementById(id);
  if (part instanceof HTMLDetailsElement) part.open = true;
}
