import { isLeak } from '@which-way/core/sense';
import type { SwitchMap } from '@which-way/core/continuity';
import { quantity } from '@which-way/words/quantity';
import { pairWords, settingName } from '@which-way/words/terminals';
import { LEAKS_TEXT } from '@which-way/words/screens/pages/verify/lines/leaks';

/** Readings that are open for the pattern and noted under insulation: a few megohms are a leak. */
export function Leaks({ map }: { map: SwitchMap }) {
  const leaks = map.tape.filter(({ standing, evidence }) => standing === 'counts' && isLeak(evidence));
  if (leaks.length === 0) return null;
  return (
    <section aria-label={LEAKS_TEXT.notedUnderInsulation} className="border-t border-line pt-3">
      <h2 className="font-bold">{LEAKS_TEXT.notedUnderInsulation}</h2>
      <p className="text-quiet">{LEAKS_TEXT.openForThePatternAnd}</p>
      <ul className="mt-1">
        {leaks.map(({ reading, evidence }) => (
          <li key={reading.id}>
            {pairWords(map.structure, reading)}
            {LEAKS_TEXT.at}
            {settingName(map.structure, reading.setting)}:{' '}
            <strong>{evidence.quantity && quantity(evidence.quantity)}</strong>
          </li>
        ))}
      </ul>
    </section>
  );
}
