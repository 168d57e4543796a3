export { netsIn, polesWithContacts, type Contact } from './contacts.js';
export { isomorphism } from './isomorphism.js';
export { identify, requiredPattern, type SamePoles, type SwitchIdentity } from './identity.js';
export type { PoleKind, WholeKind } from './kind.js';
export { oddQuestions, type OddQuestion } from './questions.js';
export { asKnownSwitch } from './as-known.js';
export { knownPattern } from './known-pattern.js';
export {
  ohmsByCell,
  settledCount,
  truthTable,
  type Cell,
  type Row,
  type TablePole,
  type TruthTable,
} from './truth-table.js';
