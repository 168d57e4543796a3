import { id } from '../../schema/index.js';
import type { SettingId } from '../id.js';
import { needSchema } from '../setting.js';
import { missing } from './checks.js';
import { defineChange } from './define-change.js';

export const settingNeeded = defineChange('setting-needed', {
  says: 'whether a setting is required, optional or impossible',
  fields: { setting: id<SettingId>(), need: needSchema },
  apply: (structure, { setting, need }) => ({
    ...structure,
    settings: structure.settings.map((other) => (other.id === setting ? { ...other, need } : other)),
  }),
  check: (structure, { setting }) => missing(structure.settings, setting),
});
