import type { SwitchMap } from '@which-way/core/continuity';
import { leaksOf } from '@which-way/core/verify';
import { leakWords } from '@which-way/words/judge/verdict';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { ResultLine } from '../../../controls/result-line.js';
import { LEAKS_TEXT } from '@which-way/words/screens/pages/verify/lines/leaks';

/** What lets a little through though it is open for the pattern: each pair once, with the least that was read. */
export function Leaks({ map }: { map: SwitchMap }) {
  const leaks = leaksOf(map);
  if (leaks.length === 0) return null;
  return (
    <ResultLine
      name={RESULT_LINES_TEXT.leaks}
      result={RESULT_LINES_TEXT.noted(leaks.length)}
      act={RESULT_LINES_TEXT.see}
      open
    >
      <p className="text-quiet">{LEAKS_TEXT.openForThePatternAnd}</p>
      <ul className="mt-1">
        {leaks.map((leak) => (
          <li key={`${leak.red.join()} ${leak.black.join()}`}>{leakWords(map.structure, leak)}</li>
        ))}
      </ul>
    </ResultLine>
  );
}
