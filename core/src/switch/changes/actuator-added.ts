import { id, list, MOST_SETTINGS } from '../../schema/index.js';
import { actuatorSchema } from '../actuator.js';
import type { PositionId } from '../id.js';
import { settingSchema } from '../setting.js';
import { problem } from './checks.js';
import { defineChange } from './define-change.js';
import { appendNew } from './edits.js';

export const actuatorAdded = defineChange('actuator-added', {
  says: 'one more handle on the same switch: the settings so far were with it at `home`; further settings are listed',
  fields: {
    actuator: actuatorSchema,
    home: id<PositionId>(),
    settings: list(settingSchema, { maxItems: MOST_SETTINGS }),
  },
  apply: (structure, { actuator, home, settings }) => {
    if (structure.actuators.some(({ id }) => id === actuator.id)) return structure;
    const before = structure.settings.map((setting) => ({
      ...setting,
      at: { ...setting.at, [actuator.id]: home },
    }));
    return {
      ...structure,
      actuators: [...structure.actuators, actuator],
      settings: appendNew(before, settings),
    };
  },
  check: (_, { actuator, home }) =>
    actuator.positions.some(({ id }) => id === home)
      ? []
      : [problem('not-there', 'change.home', { id: home })],
});
