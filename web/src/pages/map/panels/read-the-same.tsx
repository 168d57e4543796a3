import { readTheSame } from '@which-way/core/planner';
import type { PositionId, SettingId } from '@which-way/core/switch';
import { useState } from 'react';
import { useSession } from '../../../job/job-context.js';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { settingName } from '@which-way/words/terminals';
import type { Probing } from '../probing/use-probing.js';
import { READ_THE_SAME_TEXT } from '@which-way/words/screens/pages/map/panels/read-the-same';

/** Positions without names that read the same: perhaps one that was come to twice, perhaps two that do the same. */
export function ReadTheSame({ probing }: { probing: Probing }) {
  const { map } = probing;
  const { structure } = map;
  const session = useSession();
  const [two, setTwo] = useState<ReadonlySet<SettingId>>(new Set());
  const [actuator, ...more] = structure.actuators;
  if (!actuator || more.length > 0) return null;
  const positionOf = (id: SettingId): PositionId | undefined =>
    structure.settings.find((setting) => setting.id === id)?.at[actuator.id];
  const nameless = (id: SettingId) =>
    actuator.positions.find((position) => position.id === positionOf(id))?.name === null;
  const found = readTheSame(map).find(({ other }) => nameless(other) && !two.has(other));
  if (!found) return null;
  const [position, into] = [positionOf(found.other), positionOf(found.one)];
  const [first, again] = [settingName(structure, found.one), settingName(structure, found.other)];
  const merge = () => position && into && session.restructure({ change: 'position-merged', position, into });
  const last = position === actuator.positions.at(-1)?.id;
  const round = actuator.closed === null && last && into === actuator.positions[0]?.id;
  return (
    <Notice look="plain" title={READ_THE_SAME_TEXT.readsAsDoes(again, first)}>
      <p>{READ_THE_SAME_TEXT.everyPairIsTheSame}</p>
      <div className="mt-1 grid gap-2">
        {round && (
          <PlainButton
            onClick={() => {
              merge();
              session.restructure({ change: 'positions-closed', actuator: actuator.id, by: 'round' });
            }}
          >
            {READ_THE_SAME_TEXT.backAtTheStartThey}
          </PlainButton>
        )}
        <PlainButton onClick={merge}>{READ_THE_SAME_TEXT.theyAreOnePutThe}</PlainButton>
        <PlainButton onClick={() => setTwo(new Set([...two, found.other]))}>
          {READ_THE_SAME_TEXT.theyAreTwo}
        </PlainButton>
      </div>
    </Notice>
  );
}
