export { netsIn, polesWithContacts, type Contact } from './contacts.js';
export { knownPattern } from './known-pattern.js';
export {
  settledCount,
  truthTable,
  type Cell,
  type Row,
  type TablePole,
  type TruthTable,
} from './truth-table.js';
