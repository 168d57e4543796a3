import type { SwitchMap } from '@which-way/core/continuity';
import { contactLimitOf, verdictOf, type LineOutcome } from '@which-way/core/verify';
import { limitWords, LINE_NAMES, LINE_OUTCOME_WORDS, REASON_WORDS } from '@which-way/words/judge/verdict';
import { verdictHeadline } from '@which-way/words/judge/for-use';
import { VERDICT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/verdict-lines';

const LOOKS: Record<LineOutcome, string> = {
  pass: 'bg-sheet border-ink',
  fail: 'bg-ink text-sheet border-ink',
  'not-yet': 'not-known border-line',
  'cannot-tell': 'bg-sheet border-ink border-dashed',
};

const LINES = ['pattern', 'contacts', 'insulation', 'mechanics'] as const;

/** The four lines of the verdict, each by itself, and the whole; what is missing is said. */
export function VerdictLines({ map }: { map: SwitchMap }) {
  const verdict = verdictOf(map);
  return (
    <section aria-label={VERDICT_LINES_TEXT.verdict} className="grid gap-1">
      <h2 className="text-title leading-tight font-bold" data-testid="verdict">
        {verdictHeadline(map, verdict)}
      </h2>
      <dl className="grid grid-cols-[auto_auto_minmax(0,1fr)] items-baseline gap-x-3 gap-y-1">
        {LINES.map((name) => {
          const { outcome, reasons } = verdict[name];
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
                {reasons.map((reason) => REASON_WORDS[reason]).join('; ')}
                {name === 'contacts' && VERDICT_LINES_TEXT.limit(limitWords(contactLimitOf(map)))}
              </dd>
            </div>
          );
        })}
      </dl>
    </section>
  );
}
