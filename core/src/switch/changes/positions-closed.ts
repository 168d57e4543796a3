import { id } from '../../schema/index.js';
import { closedBySchema } from '../actuator.js';
import type { ActuatorId } from '../id.js';
import { missing } from './checks.js';
import { defineChange } from './define-change.js';
import { editActuator } from './edits.js';

export const positionsClosed = defineChange('positions-closed', {
  says: "the list of a handle's positions has come to its end",
  fields: { actuator: id<ActuatorId>(), by: closedBySchema },
  apply: (structure, { actuator, by }) => editActuator(structure, actuator, { closed: by }),
  check: (structure, { actuator }) => missing(structure.actuators, actuator),
});
