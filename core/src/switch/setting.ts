import {
  byId,
  CONDITION_LETTERS,
  id,
  object,
  oneOf,
  orNull,
  says,
  text,
  type TypeOf,
} from '../schema/index.js';
import type { ActuatorId, PositionId, SettingId } from './id.js';

export const needSchema = says(
  'Only required settings count for completeness; impossible ones are never asked.',
  oneOf(['required', 'optional', 'impossible']),
);

export const settingSchema = object({
  id: id<SettingId>(),
  at: says('One position for every actuator.', byId<ActuatorId, PositionId>()),
  condition: says('Where it matters: held in, hot, coil energised.', orNull(text(CONDITION_LETTERS))),
  need: needSchema,
});
/**
 * One position for every actuator, and where it matters a condition.
 * Settings are an explicit list, not the product of the actuators.
 */
export type Setting = TypeOf<typeof settingSchema>;
