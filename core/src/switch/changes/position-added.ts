import { id, list, MOST_SETTINGS, orNull } from '../../schema/index.js';
import { positionSchema } from '../actuator.js';
import type { ActuatorId, PositionId } from '../id.js';
import { settingSchema } from '../setting.js';
import { missing } from './checks.js';
import { defineChange } from './define-change.js';
import { appendNew, mapPositions } from './edits.js';

export const positionAdded = defineChange('position-added', {
  says: 'one more position of a handle, with the settings that it makes',
  fields: {
    actuator: id<ActuatorId>(),
    position: positionSchema,
    after: orNull(id<PositionId>()),
    settings: list(settingSchema, { maxItems: MOST_SETTINGS }),
  },
  apply: (structure, { actuator, position, after, settings }) => {
    if (!structure.actuators.some(({ id }) => id === actuator)) return structure;
    const placed = mapPositions(structure, (positions, of) => {
      if (of.id !== actuator || positions.some(({ id }) => id === position.id)) return positions;
      const before = positions.findIndex(({ id }) => id === after);
      const place = after === null ? 0 : before < 0 ? positions.length : before + 1;
      return [...positions.slice(0, place), position, ...positions.slice(place)];
    });
    return { ...placed, settings: appendNew(placed.settings, settings) };
  },
  check: (structure, { actuator }) => missing(structure.actuators, actuator),
});
