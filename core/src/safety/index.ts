export * from './standard-list.js';
export * from './standing.js';
