import { layoutSchema } from '../layout.js';
import { defineChange } from './define-change.js';

export const laidOut = defineChange('laid-out', {
  says: 'how the terminals lie on the part',
  fields: { layout: layoutSchema },
  apply: (structure, { layout }) => ({ ...structure, layout }),
  check: () => [],
});
