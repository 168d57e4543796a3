export { proposalsFor, type Proposal } from './proposals.js';
