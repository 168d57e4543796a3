export * from './contacts.js';
export * from './truth-table.js';
