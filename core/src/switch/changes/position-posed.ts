import { id, orNull } from '../../schema/index.js';
import { poseSchema, restsSchema } from '../actuator.js';
import type { PositionId } from '../id.js';
import { missingPosition } from './checks.js';
import { defineChange } from './define-change.js';
import { editPosition } from './edits.js';

export const positionPosed = defineChange('position-posed', {
  says: 'whether a position is held or rests, where it springs back to, and where the handle is seen in it',
  fields: {
    position: id<PositionId>(),
    rests: restsSchema,
    returnsTo: orNull(id<PositionId>()),
    pose: orNull(poseSchema),
  },
  apply: (structure, { position, rests, returnsTo, pose }) =>
    editPosition(structure, position, { rests, returnsTo, pose }),
  check: (structure, { position }) => missingPosition(structure, position),
});
