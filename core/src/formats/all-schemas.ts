import type { Schema } from './schema-builders.js';
import { deedSchema, eventSchema } from './schema-parts.js';
import {
  jobHeadSchema,
  knownSwitchSchema,
  projectFileSchema,
  shopSchema,
  simulatedSwitchSchema,
} from './schema.js';

/** Every schema that a checker is made of at build, by the name of its checker. */
export const CHECKED: Readonly<Record<string, Schema>> = {
  Deed: deedSchema,
  Event: eventSchema,
  File: projectFileSchema,
  JobHead: jobHeadSchema,
  KnownSwitch: knownSwitchSchema,
  Shop: shopSchema,
  SimulatedSwitch: simulatedSwitchSchema,
};
