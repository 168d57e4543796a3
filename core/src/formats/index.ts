export { FILE_VERSION, projectFileSchema } from './schema.js';
export * from './project-file.js';
export { readEvent } from './checks/read-event.js';
export {
  idProblems,
  loadProblems,
  partFactsProblems,
  placeProblems,
  spokenDriverProblems,
  titleProblems,
} from './checks/field-problems.js';
export { knownSwitchProblems } from './checks/entry-problems.js';
export { levelsOf } from './checks/levels.js';
export { simulatedSwitchProblems } from './checks/simulated-problems.js';
export { JsonDepth } from './json-depth.js';
export { fieldTables } from './field-tables.js';
export { rowsOfTableFile, tableFile } from './table-file.js';
export { type CsvTrouble } from './csv-cells.js';
export { CSV_COLUMNS, guessedMapping, type CsvColumn, type CsvMapping } from './csv-columns.js';
export { entryOfRow, FACT_COLUMNS, readFact, rowOfEntry, type CsvRow } from './library-csv.js';
export { spiceDeck, switchDeck } from './spice-deck.js';
export { machineFile } from './machine-file.js';
