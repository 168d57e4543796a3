import type { SwitchMap } from '@which-way/core/continuity';
import type { ComparedCell, Comparison } from '@which-way/core/verify';
import { differenceWords } from '@which-way/words/match/difference';
import { settingName } from '@which-way/words/terminals';
import { Notice } from '../../shared/controls/notice.js';

/** More differences than this are folded: what explains them stands above. */
const MOST_SHOWN = 6;

function Sentences({ map, differing }: { map: SwitchMap; differing: readonly ComparedCell[] }) {
  return (
    <ul className="grid gap-1.5 text-large" aria-label="Differences">
      {differing.map((cell) => (
        <li key={`${cell.setting} ${cell.terminals.join()}`} className="border-b border-line pb-1.5">
          {differenceWords(map, cell)}
        </li>
      ))}
    </ul>
  );
}

/** The differences in words, and how much of the comparison was tested at all. */
export function Differences({ map, comparison }: { map: SwitchMap; comparison: Comparison }) {
  const { cells, count, unsaid, outcome, notCompared } = comparison;
  const differing = cells.filter(({ verdict }) => verdict === 'missing' || verdict === 'extra');
  const silent = cells.length === 0;
  const title = {
    agrees:
      unsaid > 0 ? 'Pattern: agrees where something is said' : 'Pattern: agrees in every pair and position',
    differs: `Pattern: differs, ${count.missing} missing and ${count.extra} extra`,
    'not-all-tested': silent
      ? 'Pattern: nothing is said yet, so nothing differs'
      : 'Pattern: no difference found, not all tested',
  }[outcome];
  return (
    <>
      <div data-testid="outcome">
        <Notice look={outcome === 'differs' ? 'amber' : 'plain'} title={title}>
          <p>
            {count.agree} pairs agree, {count.missing} missing, {count.extra} extra, {count['not-tested']} not
            tested.
          </p>
          {outcome === 'not-all-tested' && !silent && <p>This is not a pass: finish the map first.</p>}
          {notCompared.length > 0 && (
            <p>
              Not spoken of by the expected table:{' '}
              {notCompared.map((id) => settingName(map.structure, id)).join(', ')}.
            </p>
          )}
        </Notice>
      </div>
      {differing.length > MOST_SHOWN ? (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            All {differing.length} differences, one by one
          </summary>
          <Sentences map={map} differing={differing} />
        </details>
      ) : (
        differing.length > 0 && <Sentences map={map} differing={differing} />
      )}
    </>
  );
}
