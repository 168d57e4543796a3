/** What a column of a catalogue may hold. */
export const CSV_COLUMNS = [
  'name',
  'kind',
  'maker',
  'number',
  'family',
  'form',
  'terminals',
  'positions',
  'note',
  'marking',
  'motor-amps',
  'resistive-amps',
  'lamp-amps',
  'peak-amps',
  'volts',
  'supply',
  'ratings',
  'minimum-volts',
  'minimum-milliamps',
  'contacts',
  'operations',
  'hottest',
  'disconnection',
  'protection',
  'makes-before-breaks',
  'wraps',
  'direct-opening',
  'no-volt-release',
  'key-out',
  'earth-terminal',
  'insulated-shaft',
  'wires-per-terminal',
  'terminations',
  'mounting',
  'connector',
  'cut-out',
  'bolt-spacing',
  'bushing',
  'shaft-diameter',
  'shaft-length',
  'depth',
  'price',
  'in-stock',
  'source',
  'source-date',
  'photos',
] as const;
export type CsvColumn = (typeof CSV_COLUMNS)[number];

/** Which column of the file holds what; a column of the file that is not in it is passed over. */
export type CsvMapping = Partial<Record<CsvColumn, number>>;

/** The mapping that the head of a file suggests: columns of the same name, whatever their case, spaces or dashes. */
export function guessedMapping(head: readonly string[]): CsvMapping {
  const plain = (text: string) =>
    text
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '');
  const mapping: CsvMapping = {};
  head.forEach((cell, at) => {
    const column = CSV_COLUMNS.find((one) => one === plain(cell));
    if (column && mapping[column] === undefined) mapping[column] = at;
  });
  return mapping;
}
