import { mustShow } from '@which-way/core/path';
import { recordsOf } from '@which-way/core/log';
import { shownOf, type Shown } from '@which-way/core/verify';
import type { SwitchMap } from '@which-way/core/continuity';
import { MUST_SHOW_WORDS, SYMPTOM_WORDS } from '@which-way/words/before/symptom';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { ResultLine } from '../../../controls/result-line.js';
import { TO_BE_SHOWN_TEXT } from '@which-way/words/screens/pages/verify/lines/to-be-shown';

const LOOKS: Record<Shown, string> = {
  shown: 'border-ink bg-sheet',
  fails: 'border-ink bg-ink text-sheet',
  'not-yet': 'not-known border-line',
};

const SHOWN_WORDS: Record<Shown, string> = { shown: '✓ shown', fails: 'fails', 'not-yet': 'not yet' };

/** What the complaint asks to be shown before it is called mended, and how far it is. */
export function ToBeShown({ map }: { map: SwitchMap }) {
  const symptoms = recordsOf(map.log, 'symptoms-said') ?? [];
  if (symptoms.length === 0) return null;
  const shows = mustShow(symptoms);
  return (
    <ResultLine
      id="to-be-shown"
      name={TO_BE_SHOWN_TEXT.toBeShown}
      result={RESULT_LINES_TEXT.shown(
        shows.filter((show) => shownOf(map, show) === 'shown').length,
        shows.length,
      )}
      act={RESULT_LINES_TEXT.see}
    >
      <p>
        {TO_BE_SHOWN_TEXT.toBeShownSinceThe}{' '}
        {symptoms.map((symptom) => SYMPTOM_WORDS[symptom].toLowerCase()).join(', ')}
      </p>
      <ul className="mt-1 grid gap-1">
        {shows.map((show) => (
          <li key={show} className="flex gap-3">
            <span
              className={`min-w-16 shrink-0 self-start rounded-part border px-2 text-center text-small ${LOOKS[shownOf(map, show)]}`}
            >
              {SHOWN_WORDS[shownOf(map, show)]}
            </span>
            {MUST_SHOW_WORDS[show]}
          </li>
        ))}
      </ul>
    </ResultLine>
  );
}
