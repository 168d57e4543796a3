export { netsIn, polesWithContacts, type Contact } from './contacts.js';
export { type Trade } from './trade.js';
export { identify, requiredPattern, type SamePoles, type SwitchIdentity } from './identity.js';
export { oddQuestions, type OddQuestion } from './questions.js';
export { oddities } from './odd.js';
export { asKnownSwitch } from './as-known.js';
export { movingContacts } from './moving-contacts.js';
export { betweenThrows, type BetweenThrows } from './between.js';
export { pairTable } from './pair-table.js';
export {
  compareSettings,
  equalSettings,
  equalSideBySide,
  type SettingsCompared,
} from './settings-compared.js';
export { settingsInTurn, sprungSettings, type SettingTold } from './in-turn.js';
export { knownPattern } from './known-pattern.js';
export {
  ohmsByCell,
  settledCount,
  spreadOf,
  truthTable,
  type Cell,
  type Row,
  type TablePole,
  type TruthTable,
} from './truth-table.js';
