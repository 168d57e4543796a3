export { deedSchema } from '../log/index.js';
export { eventSchema, FILE_VERSION, jobHeadSchema, projectFileSchema, shopSchema } from './schema.js';
export * from './project-file.js';
export { fieldTables } from './field-tables.js';
export { rowsOfTableFile, tableFile, type TableFile } from './table-file.js';
export {
  CSV_COLUMNS,
  entryOfRow,
  guessedMapping,
  rowOfEntry,
  type CsvColumn,
  type CsvMapping,
  type CsvRow,
  type CsvTrouble,
} from './library-csv.js';
