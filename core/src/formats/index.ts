export * from './schema.js';
export { deedSchema, eventSchema, type Schema } from './schema-parts.js';
export * from './project-file.js';
