import { deedSchema, loadSchema } from '../log/index.js';
import type { Schema } from '../schema/index.js';
import { simulatedSwitchSchema } from '../simulated/index.js';
import { spokenDriverSchema } from '../sense/meter/index.js';
import { knownSwitchSchema, partFactsSchema } from '../switch/index.js';
import {
  eventSchema,
  idSchema,
  placeSchema,
  titleSchema,
  jobHeadSchema,
  projectFileSchema,
  shopSchema,
} from './schema.js';

/** Every schema that a checker is made of at build, by the name of its checker. */
export const CHECKED: Readonly<Record<string, Schema>> = {
  Deed: deedSchema,
  Event: eventSchema,
  Id: idSchema,
  Place: placeSchema,
  Title: titleSchema,
  File: projectFileSchema,
  JobHead: jobHeadSchema,
  KnownSwitch: knownSwitchSchema,
  Load: loadSchema,
  PartFacts: partFactsSchema,
  SpokenDriver: spokenDriverSchema,
  Shop: shopSchema,
  SimulatedSwitch: simulatedSwitchSchema,
};
