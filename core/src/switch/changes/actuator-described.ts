import { id, oneOf } from '../../schema/index.js';
import { ACTUATOR_FORMS, handleNameSchema } from '../actuator.js';
import type { ActuatorId } from '../id.js';
import { missing } from './checks.js';
import { defineChange } from './define-change.js';
import { editActuator } from './edits.js';

export const actuatorDescribed = defineChange('actuator-described', {
  says: 'what a handle is and is called',
  fields: { actuator: id<ActuatorId>(), name: handleNameSchema, form: oneOf(ACTUATOR_FORMS) },
  apply: (structure, { actuator, name, form }) => editActuator(structure, actuator, { name, form }),
  check: (structure, { actuator }) => missing(structure.actuators, actuator),
});
