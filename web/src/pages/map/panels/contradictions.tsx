import { rankSuspects, suspectClips } from '@which-way/core/planner';
import type { TapeLine } from '@which-way/core/sense';
import type { ReadingId } from '@which-way/core/switch';
import { PlainButton } from '../../../controls/plain-button.js';
import { Notice } from '../../../controls/notice.js';
import { ReadingLine } from '../../../parts/facts/inspector.js';
import { SUSPICION_WORDS } from '@which-way/words/map/facts';
import { settingName, terminalName } from '@which-way/words/terminals';
import type { Probing } from '../probing/use-probing.js';
import { CONTRADICTIONS_TEXT } from '@which-way/words/screens/pages/map/panels/contradictions';

/** Whether several terminals were tied together on a lead. */
const isBundle = ({ reading: { red, black } }: TapeLine): boolean => red.length + black.length > 2;

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
        title={CONTRADICTIONS_TEXT.tooTangledAt(settingName(map.structure, settled.setting))}
      >
        {CONTRADICTIONS_TEXT.soManyOfItsReadings}
      </Notice>
    ),
    ...settled.contradictions.map((contradiction) => {
      const { opens, joins, enough, everySuspect, maybePartsInSeries } = contradiction;
      const suspects = rankSuspects(map, settled.setting, contradiction);
      return (
        <Notice
          key={opens.join()}
          look="amber"
          title={CONTRADICTIONS_TEXT.contradictionAt(settingName(map.structure, settled.setting))}
        >
          {suspectClips(map, settled.setting, contradiction).map(({ terminal, uses }) => {
            const clip = terminalName(map.structure, terminal);
            return (
              <div key={terminal} className="my-2">
                <p>{CONTRADICTIONS_TEXT.checkTheClipOn(clip)}</p>
                <PlainButton onClick={() => probing.act({ do: 'doubt-clips', uses })}>
                  {CONTRADICTIONS_TEXT.theClipMadeNoContact(clip)}
                </PlainButton>
              </div>
            );
          })}
          <p>
            {CONTRADICTIONS_TEXT.theseReadingsCannotAllBe}{' '}
            {enough.length > 0
              ? CONTRADICTIONS_TEXT.ifAnyOneOfThe
              : CONTRADICTIONS_TEXT.noSingleSlipExplainsThem}
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
          {!everySuspect && <p>{CONTRADICTIONS_TEXT.bundlesAreAmongThemThis}</p>}
          {lines(joins).some(isBundle) && <p>{CONTRADICTIONS_TEXT.seeThatNoClipTouches}</p>}
          {maybePartsInSeries && <p>{CONTRADICTIONS_TEXT.itMayAlsoBeParts}</p>}
        </Notice>
      );
    }),
  ]);
}
