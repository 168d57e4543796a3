import { returnSweep, returnWanted } from '@which-way/core/planner';
import { Notice } from '../../../controls/notice.js';
import { settingName } from '@which-way/words/terminals';
import type { Probing } from '../probing/use-probing.js';
import { WAY_BACK_TEXT } from '@which-way/words/screens/pages/map/panels/way-back';

/** What going back through the positions has shown so far. */
export function WayBackSoFar({ probing: { map } }: { probing: Probing }) {
  if (!returnWanted(map)) return null;
  const { same, otherwise, left } = returnSweep(map);
  const all = same.length + otherwise.length + left.length;
  const names = otherwise.map((id) => settingName(map.structure, id)).join(', ');
  if (otherwise.length === 0)
    return (
      <Notice look="plain" title={WAY_BACK_TEXT.wayBackOfReadThe(same.length, all)}>
        {left.length === 0 ? WAY_BACK_TEXT.eachByOnePairNo : WAY_BACK_TEXT.onePairForEachPosition}
      </Notice>
    );
  return (
    <Notice look="amber" title={WAY_BACK_TEXT.wayBackOtherwiseAt(names)}>
      {same.length}
      {WAY_BACK_TEXT.ofText}
      {all}
      {WAY_BACK_TEXT.readTheSameAWorn}
    </Notice>
  );
}
