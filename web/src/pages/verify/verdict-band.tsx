import type { SwitchMap } from '@which-way/core/continuity';
import type { Open } from '@which-way/core/verdict';
import { judgedContacts } from '@which-way/core/verify';
import { faultWords, settlesWords } from '@which-way/words/verdict';
import { verdictHeadline } from '@which-way/words/judge/headline';
import { VERDICT_BAND_TEXT } from '@which-way/words/screens/pages/verify/verdict-band';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { PlainButton } from '../../controls/plain-button.js';
import { useSession } from '../../job/job-context.js';
import { judged } from './judged.js';

/** The answer, across the top of the page: the verdict, what is likeliest, and the one act that comes next. */
export function VerdictBand({ map, children }: { map: SwitchMap; children: ReactNode }) {
  const { whole, open } = judged(map);
  const [first] = open;
  return (
    <section
      aria-label={VERDICT_BAND_TEXT.verdict}
      className="grid shrink-0 items-end gap-x-6 gap-y-2 border-b-2 border-line px-6 py-3 lg:grid-cols-[minmax(0,1fr)_auto]"
    >
      <div className="grid min-w-0 gap-1">
        <h2
          className="text-title leading-tight font-extrabold sm:text-[2rem] lg:text-[2.25rem]"
          data-testid="verdict"
        >
          {verdictHeadline({ whole, open })}
        </h2>
        {faultWords(map).map((text) => (
          <p key={text}>{text}</p>
        ))}
        {children}
      </div>
      {first && <Settles map={map} open={first} />}
    </section>
  );
}

const ACT =
  'inline-flex min-h-12 items-center justify-self-start rounded-part border-2 border-edge bg-sheet px-4 py-1.5 font-semibold hover:border-ink';

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
