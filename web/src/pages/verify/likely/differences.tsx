import type { SwitchMap } from '@which-way/core/continuity';
import type { ComparedCell, Comparison } from '@which-way/core/verify';
import { differenceWords } from '@which-way/words/match/difference';
import { settingName } from '@which-way/words/terminals';
import { DIFFERENCES_TEXT } from '@which-way/words/screens/pages/verify/likely/differences';

/** More differences than this are folded: what explains them stands above. */
const MOST_SHOWN = 6;

function Sentences({ map, differing }: { map: SwitchMap; differing: readonly ComparedCell[] }) {
  return (
    <ul className="grid gap-1.5 text-large" aria-label={DIFFERENCES_TEXT.differences}>
      {differing.map((cell) => (
        <li key={`${cell.setting} ${cell.terminals.join()}`} className="border-b border-line pb-1.5">
          {differenceWords(map, cell)}
        </li>
      ))}
    </ul>
  );
}

/** The differences in words, and how much of the comparison was tested at all. */
export function TableDifferences({ map, comparison }: { map: SwitchMap; comparison: Comparison }) {
  const { cells, count, unsaid, outcome, notCompared } = comparison;
  const differing = cells.filter(({ verdict }) => verdict === 'missing' || verdict === 'extra');
  const silent = cells.length === 0;
  const title = {
    agrees:
      unsaid > 0 ? DIFFERENCES_TEXT.patternAgreesWhereSomethingIs : DIFFERENCES_TEXT.patternAgreesInEveryPair,
    differs: DIFFERENCES_TEXT.patternDiffersMissingAndExtra(count.missing, count.extra),
    'not-all-tested': silent
      ? DIFFERENCES_TEXT.patternNothingIsSaidYet
      : DIFFERENCES_TEXT.patternNoDifferenceFoundNot,
  }[outcome];
  return (
    <>
      <div data-testid="outcome" className="grid gap-1">
        <p className="font-semibold">{title}</p>
        <p>
          {count.agree}
          {DIFFERENCES_TEXT.pairsAgree}
          {count.missing}
          {DIFFERENCES_TEXT.missing}
          {count.extra}
          {DIFFERENCES_TEXT.extra}
          {count['not-tested']}
          {DIFFERENCES_TEXT.notTested}
        </p>
        {outcome === 'not-all-tested' && !silent && <p>{DIFFERENCES_TEXT.thisIsNotAPass}</p>}
        {notCompared.length > 0 && (
          <p>
            {DIFFERENCES_TEXT.notSpokenOfByThe}{' '}
            {notCompared.map((id) => settingName(map.structure, id)).join(', ')}.
          </p>
        )}
      </div>
      {differing.length > MOST_SHOWN ? (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            {DIFFERENCES_TEXT.all}
            {differing.length}
            {DIFFERENCES_TEXT.differencesOneByOne}
          </summary>
          <Sentences map={map} differing={differing} />
        </details>
      ) : (
        differing.length > 0 && <Sentences map={map} differing={differing} />
      )}
    </>
  );
}
