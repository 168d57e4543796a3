import { returnSweep, returnWanted } from '@which-way/core/planner';
import { Notice } from '../../shared/controls/notice.js';
import { settingName } from '@which-way/words/terminals';
import type { Probing } from '../probing/use-probing.js';

/** What going back through the positions has shown so far. */
export function WayBackSoFar({ probing: { map } }: { probing: Probing }) {
  if (!returnWanted(map)) return null;
  const { same, otherwise, left } = returnSweep(map);
  const all = same.length + otherwise.length + left.length;
  const names = otherwise.map((id) => settingName(map.structure, id)).join(', ');
  if (otherwise.length === 0)
    return (
      <Notice look="plain" title={`Way back: ${same.length} of ${all} read the same`}>
        {left.length === 0
          ? 'Each by one pair: no position was counted wrong, and no detent makes those from one side only.'
          : 'One pair for each position that tells it from the others.'}
      </Notice>
    );
  return (
    <Notice look="amber" title={`Way back: otherwise at ${names}`}>
      {same.length} of {all} read the same. A worn detent or contact makes from one side only, or a position
      was counted wrong: come to it from both sides again.
    </Notice>
  );
}
