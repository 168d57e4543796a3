import type { SwitchMap } from '@which-way/core/continuity';
import type { ExpectedTable } from '@which-way/core/log';
import type { Comparison } from '@which-way/core/verify';
import { LINE_OUTCOME_WORDS } from '@which-way/words/judge/verdict';
import { LINE_NAMES } from '@which-way/words/judge/line-names';
import { reasonWords } from '@which-way/words/verdict';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { ResultLine } from '../../../controls/result-line.js';
import { LayOtherwise } from '../expected/lay-otherwise.js';
import { judged } from '../judged.js';
import { TableDifferences } from '../likely/differences.js';
import type { Diagnosed } from '../likely/use-diagnosis.js';

interface PatternLineProps {
  map: SwitchMap;
  expected: ExpectedTable | null;
  comparison: Comparison | null;
  diagnosed: Diagnosed | null;
  onSet: (table: ExpectedTable) => void;
}

/** The pattern: how many cells differ, one by one, and whether the numbers of the diagram are others. */
export function PatternLine({ map, expected, comparison, diagnosed, onSet }: PatternLineProps) {
  const { lines } = judged(map);
  const { outcome } = lines.pattern;
  const differs = comparison ? comparison.count.missing + comparison.count.extra : 0;
  return (
    <ResultLine
      id="differences"
      name={LINE_NAMES.pattern}
      look={outcome}
      mark={LINE_OUTCOME_WORDS[outcome]}
      result={differs > 0 ? RESULT_LINES_TEXT.differences(differs) : reasonWords(lines, 'pattern')}
      act={differs > 0 ? RESULT_LINES_TEXT.oneByOne : RESULT_LINES_TEXT.see}
    >
      {comparison ? (
        <TableDifferences map={map} comparison={comparison} />
      ) : (
        <p>{RESULT_LINES_TEXT.nothingToCompare}</p>
      )}
      {expected && comparison?.outcome === 'differs' && diagnosed && (
        <LayOtherwise table={expected} question={diagnosed.question} comparison={comparison} onSet={onSet} />
      )}
    </ResultLine>
  );
}
