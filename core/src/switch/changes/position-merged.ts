import { id } from '../../schema/index.js';
import type { PositionId } from '../id.js';
import type { Actuator } from '../actuator.js';
import type { Setting } from '../setting.js';
import type { Structure } from '../structure.js';
import { missingPosition, problem } from './checks.js';
import { defineChange } from './define-change.js';
import { withoutPosition } from './edits.js';

/** The handle that has both positions; two of different handles cannot be one and the same. */
function handleOfBoth({ actuators }: Structure, ...both: PositionId[]): Actuator | undefined {
  return actuators.find(({ positions }) =>
    both.every((id) => positions.some((position) => position.id === id)),
  );
}

export const positionMerged = defineChange('position-merged', {
  says: 'two positions found to be one and the same: what was read in the one counts for the other',
  fields: { position: id<PositionId>(), into: id<PositionId>() },
  apply: (structure, { position, into }) => {
    const actuator = handleOfBoth(structure, position, into);
    if (!actuator || position === into) return structure;
    const merged = { ...structure.merged };
    for (const gone of structure.settings) {
      if (gone.at[actuator.id] !== position) continue;
      const at: Setting['at'] = { ...gone.at, [actuator.id]: into };
      const same = structure.settings.find(
        (other) =>
          other.condition === gone.condition &&
          structure.actuators.every(({ id }) => other.at[id] === at[id]),
      );
      if (same) merged[gone.id] = same.id;
    }
    return { ...withoutPosition(structure, position), merged };
  },
  check: (structure, { position, into }) => {
    const gone = [...missingPosition(structure, position), ...missingPosition(structure, into)];
    if (gone.length > 0) return gone;
    if (position === into) return [problem('merged-with-itself', 'change.into')];
    return handleOfBoth(structure, position, into) ? [] : [problem('other-handle', 'change.into')];
  },
});
