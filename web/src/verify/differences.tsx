import type { SwitchMap } from '@which-way/core/continuity';
import type { ComparedCell, Comparison } from '@which-way/core/verify';
import { settingName, terminalName } from '@which-way/words/terminals';
import { Notice } from '../shared/controls/notice.js';

/** The differences in words, and how much of the comparison was tested at all. */
export function Differences({ map, comparison }: { map: SwitchMap; comparison: Comparison }) {
  const { cells, count, outcome, notCompared } = comparison;
  const differing = cells.filter(({ verdict }) => verdict === 'missing' || verdict === 'extra');
  const title = {
    agrees: 'Pattern: agrees in every pair and position',
    differs: `Pattern: differs, ${count.missing} missing and ${count.extra} extra`,
    'not-all-tested': 'Pattern: no difference found, not all tested',
  }[outcome];
  return (
    <>
      <div data-testid="outcome">
        <Notice look={outcome === 'differs' ? 'amber' : 'plain'} title={title}>
          <p>
            {count.agree} pairs agree, {count.missing} missing, {count.extra} extra, {count['not-tested']} not
            tested.
          </p>
          {outcome === 'not-all-tested' && <p>This is not a pass: finish the map first.</p>}
          {notCompared.length > 0 && (
            <p>
              Not spoken of by the expected table:{' '}
              {notCompared.map((id) => settingName(map.structure, id)).join(', ')}.
            </p>
          )}
        </Notice>
      </div>
      {differing.length > 0 && (
        <ul className="grid gap-1.5 text-large" aria-label="Differences">
          {differing.map((cell) => (
            <li key={`${cell.setting} ${cell.terminals.join()}`} className="border-b border-line pb-1.5">
              {differenceWords(map, cell)}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** One difference as a sentence. */
export function differenceWords(
  { structure }: SwitchMap,
  { setting, terminals, verdict, fact }: ComparedCell,
): string {
  const [a, b] = terminals.map((id) => terminalName(structure, id));
  const where = `At ${settingName(structure, setting)}`;
  const how = fact.byTone ? (fact.joined ? ', by tone' : ', by a silent beeper') : '';
  return verdict === 'missing'
    ? `${where}, ${a} and ${b} should join and are apart (${fact.state}${how}).`
    : `${where}, ${a} and ${b} should be apart and join (${fact.state}${how}).`;
}
