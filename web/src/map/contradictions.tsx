import type { TapeLine } from '@which-way/core/sense';
import type { ReadingId } from '@which-way/core/switch';
import { Notice } from '../shared/notice.js';
import { ReadingLine } from '../shared/inspector.js';
import { settingName } from '../words/terminals.js';
import type { Probing } from './use-probing.js';

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
  return [...map.settings.values()].flatMap(({ settled }) =>
    settled.contradictions.map(({ opens, joins, enough, everySuspect, maybePartsInSeries }) => {
      const rest = [...opens, ...joins].filter((id) => !enough.includes(id));
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
            {[...lines(enough), ...lines(rest)].map((line) => (
              <ReadingLine key={line.reading.id} line={line} onReadAgain={onReadAgain} />
            ))}
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
  );
}
