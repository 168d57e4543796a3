import {
  ACTUATOR_FORMS,
  RATED_FOR,
  type EntryId,
  type KnownSwitch,
  type PartFacts,
  type PhotoId,
} from '../switch/index.js';
import { CellReader, type CsvTrouble } from './csv-cells.js';
import { CSV_COLUMNS, type CsvColumn, type CsvMapping } from './csv-columns.js';
import { ratingsText, readRatings } from './csv-ratings.js';
import { positionsText, quotesClose, readPositions, readTerminals, terminalsText } from './csv-wiring.js';
import { knownSwitchProblems } from './checks/entry-problems.js';
import { partFactsProblems } from './checks/field-problems.js';

export type CsvRow = { ok: true; entry: KnownSwitch } | { ok: false; troubles: CsvTrouble[] };

/** The kinds of load that have a column of their own; the others stand in `ratings`. */
const OWN_COLUMN = RATED_FOR.filter((load) => load !== 'inductive');
const SUPPLIES = ['ac', 'dc', 'ac-dc'] as const;

/** One row as an entry of the library: an empty cell is unknown. What a cell cannot mean is said, and nothing of the row is taken. */
export function entryOfRow(row: readonly string[], mapping: CsvMapping, id: EntryId): CsvRow {
  const read = new CellReader(row, mapping);
  for (const column of ['name', 'terminals', 'positions'] as const)
    if (read.cell(column) === '') read.wrong(column, 'missing');
    else if (column !== 'name' && !quotesClose(read.cell(column))) read.wrong(column, 'open-quote');
  const positions = readPositions(read.cell('positions'));
  if (!positions) read.wrong('positions', 'not-a-position');
  const facts = factsOf(read);
  const entry: KnownSwitch = {
    id,
    kind: read.choice('kind', ['switch', 'part'] as const) ?? 'part',
    name: read.cell('name'),
    maker: read.text('maker') ?? null,
    family: read.cell('family'),
    form: read.choice('form', ACTUATOR_FORMS) ?? 'unsaid',
    terminals: readTerminals(read.cell('terminals')),
    positions: positions ?? [],
    note: read.text('note') ?? null,
    ...(Object.keys(facts).length > 0 && { facts }),
  };
  if (read.troubles.length > 0) return { ok: false, troubles: read.troubles };
  const problems = knownSwitchProblems(entry);
  if (problems.length === 0) return { ok: true, entry };
  return {
    ok: false,
    troubles: problems.map((problem) => ({
      column: columnOf(problem.path),
      code: 'not-allowed',
      text: read.cell(columnOf(problem.path)),
      problem,
    })),
  };
}

/** Columns that state a fact by themselves, besides the wiring. */
export const FACT_COLUMNS = CSV_COLUMNS.filter(
  (column) =>
    ![
      'name',
      'kind',
      'maker',
      'family',
      'form',
      'terminals',
      'positions',
      'note',
      'volts',
      'supply',
      'key-out',
      'photos',
    ].includes(column) &&
    !column.endsWith('-amps') &&
    !column.startsWith('minimum-'),
);

/** One fact as it is typed, read as its column of a catalogue is. */
export function readFact(
  column: CsvColumn,
  text: string,
): { ok: true; facts: PartFacts } | { ok: false; trouble: CsvTrouble } {
  const read = new CellReader([text], { [column]: 0 });
  const facts = factsOf(read);
  const [trouble] = read.troubles;
  if (trouble) return { ok: false, trouble };
  const [problem] = partFactsProblems(facts);
  return problem
    ? { ok: false, trouble: { column, code: 'not-allowed', text, problem } }
    : { ok: true, facts };
}

/** What is stated in a row besides the wiring. */
function factsOf(read: CellReader): PartFacts {
  return defined({
    number: read.text('number'),
    marking: read.text('marking'),
    ratings: ratingsOf(read),
    minimum: minimumOf(read),
    contacts: read.choice('contacts', ['gold', 'silver'] as const),
    operations: read.whole('operations'),
    hottest: read.number('hottest'),
    disconnection: read.choice('disconnection', ['full', 'mini', 'micro', 'electronic'] as const),
    protection: read.text('protection'),
    makesBeforeBreaks: read.yesNo('makes-before-breaks'),
    wraps: read.yesNo('wraps'),
    directOpening: read.yesNo('direct-opening'),
    noVoltRelease: read.yesNo('no-volt-release'),
    keyOut: keyOutOf(read),
    earthTerminal: read.yesNo('earth-terminal'),
    insulatedShaft: read.yesNo('insulated-shaft'),
    wiresPerTerminal: read.whole('wires-per-terminal'),
    terminations: read.text('terminations'),
    mounting: read.text('mounting'),
    connector: read.text('connector'),
    cutOut: read.text('cut-out'),
    boltSpacing: read.number('bolt-spacing'),
    bushing: read.number('bushing'),
    shaftDiameter: read.number('shaft-diameter'),
    shaftLength: read.number('shaft-length'),
    depth: read.number('depth'),
    price: read.number('price'),
    inStock: read.yesNo('in-stock'),
    source: read.text('source'),
    sourceDate: read.text('source-date'),
    photos: read.text('photos')?.split(/\s+/) as PhotoId[] | undefined,
  });
}

/** Amps by kind of load, at the volts of the row; and whatever `ratings` says besides. */
function ratingsOf(read: CellReader): PartFacts['ratings'] {
  const volts = read.number('volts');
  const supply = read.choice('supply', SUPPLIES);
  const plain = OWN_COLUMN.flatMap((load) => {
    const amps = read.number(`${load}-amps` as CsvColumn);
    return amps === undefined
      ? []
      : [{ load, amps, ...(volts !== undefined && { volts }), ...(supply && { supply }) }];
  });
  const noAmps = OWN_COLUMN.every((load) => read.cell(`${load}-amps` as CsvColumn) === '');
  for (const column of ['volts', 'supply'] as const)
    if (noAmps && read.cell(column) !== '') read.wrong(column, 'stands-alone');
  const others = readRatings(read.cell('ratings')) ?? read.wrong('ratings', 'not-a-rating') ?? [];
  return plain.length + others.length > 0 ? [...plain, ...others] : undefined;
}

/** The least load is volts and milliamps; one of them alone says nothing. */
function minimumOf(read: CellReader): PartFacts['minimum'] {
  const volts = read.number('minimum-volts');
  const milliamps = read.number('minimum-milliamps');
  if (volts !== undefined && milliamps !== undefined) return { volts, milliamps };
  const [given, other] = [read.cell('minimum-volts'), read.cell('minimum-milliamps')];
  if (given !== '' && other === '') return read.wrong('minimum-volts', 'stands-alone');
  return other !== '' && given === '' ? read.wrong('minimum-milliamps', 'stands-alone') : undefined;
}

/** The positions at which a key comes out, counted from 1 as people do; `none`: it has no key. */
function keyOutOf(read: CellReader): PartFacts['keyOut'] {
  const typed = read.cell('key-out');
  if (typed === '') return undefined;
  if (typed.toLowerCase() === 'none') return [];
  const places = typed.split(/[\s,;]+/);
  if (!places.every((one) => /^[1-9]\d?$/.test(one))) return read.wrong('key-out', 'not-positions');
  return places.map((one) => Number(one) - 1);
}

/** The same without what is undefined: in a file an absent field is an unknown one. */
const defined = (facts: { [Key in keyof PartFacts]: PartFacts[Key] | undefined }): PartFacts =>
  Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined));

/** The column that a place in an entry comes from. */
function columnOf(path: string): CsvColumn {
  const [first = '', second = ''] = path.split('.');
  const name = first === 'facts' ? second : first;
  const plain = name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
  return CSV_COLUMNS.find((column) => column === plain || column.startsWith(`${plain}-`)) ?? 'name';
}

/** An entry as a row for a catalogue, by every column there is: read again it is the same entry. */
export function rowOfEntry(entry: KnownSwitch): string[] {
  const { facts = {}, terminals, positions, ...head } = entry;
  const plain: Partial<Record<CsvColumn, unknown>> = {
    ...head,
    ...Object.fromEntries(Object.entries(facts).map(([name, value]) => [columnOf(name), value])),
    terminals: terminalsText(terminals),
    positions: positionsText(positions),
    ratings: undefined,
    ...ratingCells(facts.ratings ?? []),
    'minimum-volts': facts.minimum?.volts,
    'minimum-milliamps': facts.minimum?.milliamps,
    photos: facts.photos?.join(' '),
    'key-out': facts.keyOut && (facts.keyOut.map((place) => place + 1).join(' ') || 'none'),
  };
  return CSV_COLUMNS.map((column) => {
    const value = plain[column];
    if (value === true) return 'yes';
    return value === false ? 'no' : String(value ?? '');
  });
}

/** Ratings by the columns of their loads where all are at one voltage and no load stands twice; else all in one cell. */
function ratingCells(ratings: NonNullable<PartFacts['ratings']>): Partial<Record<CsvColumn, unknown>> {
  const [first] = ratings;
  const order = ratings.map(({ load }) => OWN_COLUMN.indexOf(load as (typeof OWN_COLUMN)[number]));
  const alike = ratings.every(
    ({ volts, supply, timeConstant }) =>
      volts === first?.volts && supply === first?.supply && timeConstant === undefined,
  );
  const rising = order.every((place, at) => place >= 0 && (at === 0 || place > (order[at - 1] ?? -1)));
  if (!alike || !rising) return { ratings: ratingsText(ratings) };
  return {
    ...Object.fromEntries(ratings.map(({ load, amps }) => [`${load}-amps`, amps])),
    volts: first?.volts,
    supply: first?.supply,
  };
}
