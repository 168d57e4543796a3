import { rankSuspects } from '@which-way/core/planner';
import type { TapeLine } from '@which-way/core/sense';
import type { ReadingId } from '@which-way/core/switch';
import { Notice } from '../../shared/controls/notice.js';
import { ReadingLine } from '../../shared/facts/inspector.js';
import { SUSPICION_WORDS } from '@which-way/words/map/facts';
import { settingName } from '@which-way/words/terminals';
import type { Probing } from '../probing/use-probing.js';

/** Readings that cannot all hold, those whose removal alone settles it first. Calm, beside the plan. */
export function Contradictions({
  probing,
  onReadAgain,
}: {
  probing: Probing;
  onReadAgain: (id: ReadingId) => void;
}) {
  const { map } = probing;
  const lines = (ids: readonly ReadingId[]) =>
    ids.flatMap((id): TapeLine[] => map.tape.filter(({ reading }) => reading.id === id));
  return [...map.settings.values()].flatMap(({ settled }) => [
    settled.tangled && (
      <Notice
        key={`tangled ${settled.setting}`}
        look="amber"
        title={`Too tangled at ${settingName(map.structure, settled.setting)}`}
      >
        So many of its readings contradict one another that they cannot be sorted out here. Nothing is claimed
        of it. Take bundles back, the last ones first, or read pairs instead.
      </Notice>
    ),
    ...settled.contradictions.map((contradiction) => {
      const { opens, enough, everySuspect, maybePartsInSeries } = contradiction;
      const suspects = rankSuspects(map, settled.setting, contradiction);
      return (
        <Notice
          key={opens.join()}
          look="amber"
          title={`Contradiction at ${settingName(map.structure, settled.setting)}`}
        >
          <p>
            These readings cannot all be right.{' '}
            {enough.length > 0
              ? 'If any one of the first is wrong, the rest agree:'
              : 'No single slip explains them:'}
          </p>
          <ul className="my-1">
            {suspects.flatMap(({ reading, because }) =>
              lines([reading]).map((line) => (
                <ReadingLine key={reading} line={line} onReadAgain={onReadAgain}>
                  {because.map((one) => SUSPICION_WORDS[one]).join(', ')}
                </ReadingLine>
              )),
            )}
          </ul>
          {!everySuspect && (
            <p>
              Bundles are among them: this is one set of readings that cannot all hold, and there may be
              others.
            </p>
          )}
          {maybePartsInSeries && (
            <p>It may also be parts in series, each below the beeper’s threshold: read ohms.</p>
          )}
        </Notice>
      );
    }),
  ]);
}
