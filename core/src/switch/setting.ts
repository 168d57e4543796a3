import type { ActuatorId, PositionId, SettingId } from './id.js';

/**
 * One position for every actuator, and where it matters a condition (held in, hot, coil energised).
 * Settings are an explicit list, not the product of the actuators.
 */
export interface Setting {
  id: SettingId;
  at: Record<ActuatorId, PositionId>;
  condition: string | null;
  /** Only required settings count for completeness; impossible ones are never asked. */
  need: 'required' | 'optional' | 'impossible';
}
