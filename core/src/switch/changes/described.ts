import { list, MOST_HANDLES, MOST_SETTINGS, MOST_TERMINALS } from '../../schema/index.js';
import { actuatorSchema } from '../actuator.js';
import { layoutSchema } from '../layout.js';
import { settingSchema } from '../setting.js';
import { inPattern, terminalSchema } from '../terminal.js';
import { labelProblems, problem } from './checks.js';
import { defineChange } from './define-change.js';

export const described = defineChange('described', {
  says: 'the whole switch, once: terminals, handles, settings, layout',
  fields: {
    terminals: list(terminalSchema, { maxItems: MOST_TERMINALS }),
    actuators: list(actuatorSchema, { maxItems: MOST_HANDLES }),
    settings: list(settingSchema, { maxItems: MOST_SETTINGS }),
    layout: layoutSchema,
  },
  apply: (_, { terminals, actuators, settings, layout }) => ({
    terminals,
    actuators,
    settings,
    layout,
    merged: {},
    placed: [],
  }),
  check: (structure, { terminals, settings }) => [
    ...(structure.terminals.length > 0 ? [problem('already-described', 'change')] : []),
    ...labelProblems(terminals.map(({ label }) => label)),
    ...(terminals.filter(inPattern).length < 2 ? [problem('too-few-terminals', 'change.terminals')] : []),
    ...(settings.length === 0 ? [problem('no-setting', 'change.settings')] : []),
  ],
});
