import { settingSchema } from '../setting.js';
import { defineChange } from './define-change.js';
import { appendNew } from './edits.js';

export const settingAdded = defineChange('setting-added', {
  says: 'one more setting: a combination, or a condition',
  fields: { setting: settingSchema },
  apply: (structure, { setting }) => ({ ...structure, settings: appendNew(structure.settings, [setting]) }),
  check: () => [],
});
