import { changeSchema } from '../../switch/index.js';
import { defineKind } from './define-kind.js';
import { basedOnSchema, countedChanges } from './undo.js';

export const restructured = defineKind('restructured', {
  says: 'what the switch is made of was changed: see the changes below',
  fields: { change: changeSchema, basedOn: basedOnSchema },
  undo: ['map', 'tag'],
  reading: 'looks back',
  // Version 3 knows ends of coils.
  upgrades: { 1: countedChanges, 2: (what) => what },
});
