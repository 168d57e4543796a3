import type { SwitchMap } from '@which-way/core/continuity';
import { notTestedWords } from '@which-way/words/verdict';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { ResultLine } from '../../../controls/result-line.js';
import { judged } from '../judged.js';

/** What was not tested, in one list for verdict, signature and report. */
export function NotTestedLine({ map }: { map: SwitchMap }) {
  const { notTested } = judged(map);
  if (notTested.length === 0) return null;
  return (
    <ResultLine
      name={RESULT_LINES_TEXT.notTested}
      result={RESULT_LINES_TEXT.things(notTested.length)}
      act={RESULT_LINES_TEXT.see}
    >
      <ul className="list-disc pl-6">
        {notTestedWords(map, notTested).map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </ResultLine>
  );
}
