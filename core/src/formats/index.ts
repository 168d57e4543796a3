export { deedSchema } from '../log/index.js';
export { eventSchema, FILE_VERSION, jobHeadSchema, projectFileSchema, shopSchema } from './schema.js';
export * from './project-file.js';
export { fieldTables } from './field-tables.js';
export { rowsOfTableFile, tableFile, type TableFile } from './table-file.js';
export { type CsvTrouble } from './csv-cells.js';
export { CSV_COLUMNS, guessedMapping, type CsvColumn, type CsvMapping } from './csv-columns.js';
export { entryOfRow, FACT_COLUMNS, readFact, rowOfEntry, type CsvRow } from './library-csv.js';
export { spiceDeck, switchDeck } from './spice-deck.js';
