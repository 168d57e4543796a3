import { id } from '../../schema/index.js';
import { positionNameSchema } from '../actuator.js';
import type { PositionId } from '../id.js';
import { missingPosition } from './checks.js';
import { defineChange } from './define-change.js';
import { editPosition } from './edits.js';

export const positionRenamed = defineChange('position-renamed', {
  says: 'another name of a position',
  fields: { position: id<PositionId>(), name: positionNameSchema },
  apply: (structure, { position, name }) => editPosition(structure, position, { name }),
  check: (structure, { position }) => missingPosition(structure, position),
});
