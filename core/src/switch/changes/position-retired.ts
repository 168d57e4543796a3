import { id } from '../../schema/index.js';
import type { PositionId } from '../id.js';
import { missingPosition } from './checks.js';
import { defineChange } from './define-change.js';
import { withoutPosition } from './edits.js';

export const positionRetired = defineChange('position-retired', {
  says: 'a position that is not there after all; what was read in it is parked',
  fields: { position: id<PositionId>() },
  apply: (structure, { position }) => withoutPosition(structure, position),
  check: (structure, { position }) => missingPosition(structure, position),
});
