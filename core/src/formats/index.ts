export * from './schema.js';
export type { Schema } from './schema-builders.js';
export { deedSchema, eventSchema } from './schema-parts.js';
export * from './project-file.js';
