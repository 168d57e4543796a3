import {
  ACTUATOR_FORMS,
  RATED_FOR,
  type EntryId,
  type KnownSwitch,
  type PartFacts,
  type Problem,
} from '../switch/index.js';
import { knownSwitchProblems } from './project-file.js';

/** What a column of a catalogue may hold. */
export const CSV_COLUMNS = [
  'name',
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
  'minimum-volts',
  'minimum-milliamps',
  'operations',
  'disconnection',
  'protection',
  'makes-before-breaks',
  'wires-per-terminal',
  'terminations',
  'mounting',
  'bushing',
  'depth',
  'price',
  'in-stock',
  'source',
  'source-date',
] as const;
export type CsvColumn = (typeof CSV_COLUMNS)[number];

/** Which column of the file holds what; a column of the file that is not in it is passed over. */
export type CsvMapping = Partial<Record<CsvColumn, number>>;

/** Something in a row that is not right: the column, what stands there, and what is wrong with it. */
export interface CsvTrouble {
  column: CsvColumn;
  code: 'missing' | 'not-a-number' | 'not-a-choice' | 'not-yes-or-no' | 'not-a-position' | 'not-allowed';
  text: string;
  /** What a check of the whole entry found. */
  problem?: Problem;
}

export type CsvRow = { ok: true; entry: KnownSwitch } | { ok: false; troubles: CsvTrouble[] };

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

/**
 * One row as an entry of the library. Terminals stand apart by spaces; positions by semicolons, each with a name, a colon and what
 * joins: `OFF: ; LOW: L-A N-C`. A star behind the name: it springs back. An empty cell is unknown.
 */
export function entryOfRow(row: readonly string[], mapping: CsvMapping, id: EntryId): CsvRow {
  const read = new CellReader(row, mapping);
  for (const column of ['name', 'terminals', 'positions'] as const)
    if (read.cell(column) === '') read.wrong(column, 'missing');
  const facts = factsOf(read);
  const entry: KnownSwitch = {
    id,
    kind: 'part',
    name: read.cell('name'),
    maker: read.text('maker') ?? null,
    family: read.cell('family'),
    form: read.choice('form', ACTUATOR_FORMS) ?? 'unsaid',
    terminals: read.cell('terminals').split(/\s+/).filter(Boolean),
    positions: positionsOf(read.cell('positions'), () => read.wrong('positions', 'not-a-position')),
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

/** What is stated in a row besides the wiring. */
function factsOf(read: CellReader): PartFacts {
  const volts = read.number('volts');
  const supply = read.choice('supply', ['ac', 'dc', 'ac-dc'] as const);
  const ratings = RATED_FOR.flatMap((load) => {
    const amps = load === 'inductive' ? undefined : read.number(`${load}-amps`);
    return amps === undefined ? [] : [{ load, amps, ...(volts && { volts }), ...(supply && { supply }) }];
  });
  const [minimumVolts, milliamps] = [read.number('minimum-volts'), read.number('minimum-milliamps')];
  return defined({
    number: read.text('number'),
    marking: read.text('marking'),
    ratings: ratings.length > 0 ? ratings : undefined,
    minimum: minimumVolts && milliamps ? { volts: minimumVolts, milliamps } : undefined,
    operations: read.number('operations'),
    disconnection: read.choice('disconnection', ['full', 'mini', 'micro', 'electronic'] as const),
    protection: read.text('protection'),
    makesBeforeBreaks: read.yesNo('makes-before-breaks'),
    wiresPerTerminal: read.number('wires-per-terminal'),
    terminations: read.text('terminations'),
    mounting: read.text('mounting'),
    bushing: read.number('bushing'),
    depth: read.number('depth'),
    price: read.number('price'),
    inStock: read.yesNo('in-stock'),
    source: read.text('source'),
    sourceDate: read.text('source-date'),
  });
}

/** Reads the cells of one row, and keeps what is not right in them. */
class CellReader {
  readonly troubles: CsvTrouble[] = [];

  constructor(
    readonly row: readonly string[],
    readonly mapping: CsvMapping,
  ) {}

  cell(column: CsvColumn): string {
    const at = this.mapping[column];
    return at === undefined ? '' : (this.row[at] ?? '').trim();
  }

  wrong(column: CsvColumn, code: CsvTrouble['code']): undefined {
    this.troubles.push({ column, code, text: this.cell(column) });
  }

  text(column: CsvColumn): string | undefined {
    return this.cell(column) || undefined;
  }

  number(column: CsvColumn): number | undefined {
    const typed = this.cell(column).replace(',', '.');
    if (typed === '') return undefined;
    return /^\d+(\.\d+)?$/.test(typed) ? Number(typed) : this.wrong(column, 'not-a-number');
  }

  yesNo(column: CsvColumn): boolean | undefined {
    const typed = this.cell(column).toLowerCase();
    if (typed === '') return undefined;
    if (['yes', 'y', 'true', '1'].includes(typed)) return true;
    return ['no', 'n', 'false', '0'].includes(typed) ? false : this.wrong(column, 'not-yes-or-no');
  }

  choice<Value extends string>(column: CsvColumn, values: readonly Value[]): Value | undefined {
    const typed = this.cell(column).toLowerCase();
    if (typed === '') return undefined;
    return values.find((value) => value === typed) ?? this.wrong(column, 'not-a-choice');
  }
}

function positionsOf(text: string, wrong: () => undefined): KnownSwitch['positions'] {
  return text.split(';').flatMap((part) => {
    if (part.trim() === '') return [];
    const colon = part.lastIndexOf(':');
    if (colon < 0) {
      wrong();
      return [];
    }
    const name = part.slice(0, colon).trim();
    const sprung = name.endsWith('*');
    const called = sprung ? name.slice(0, -1).trim() : name;
    return [
      {
        name: called === '' ? null : called,
        rests: sprung ? ('momentary' as const) : ('maintained' as const),
        joined: part
          .slice(colon + 1)
          .split(/[\s,]+/)
          .filter((net) => net !== '' && net !== '-')
          .map((net) => net.split('-')),
      },
    ];
  });
}

/** The same without what is undefined: in a file an absent field is an unknown one. */
const defined = (facts: { [Key in keyof PartFacts]: PartFacts[Key] | undefined }): PartFacts =>
  Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined));

/** The column that a place in an entry comes from. */
function columnOf(path: string): CsvColumn {
  const [first = '', second = ''] = path.split('.');
  const name = first === 'facts' ? second : first;
  const plain = name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
  return CSV_COLUMNS.find((column) => column === plain) ?? 'name';
}

/** An entry as a row for a catalogue, by every column there is. */
export function rowOfEntry({
  name,
  maker,
  family,
  form,
  terminals,
  positions,
  note,
  facts = {},
}: KnownSwitch): string[] {
  const amps = (load: string) => facts.ratings?.find((rating) => rating.load === load)?.amps;
  const first = facts.ratings?.[0];
  const cells: Record<CsvColumn, string | number | boolean | null | undefined> = {
    ...{ name, maker, family, form, note },
    number: facts.number,
    terminals: terminals.join(' '),
    positions: positions
      .map(
        (one) =>
          `${one.name ?? ''}${one.rests === 'momentary' ? '*' : ''}: ${one.joined.map((net) => net.join('-')).join(' ')}`,
      )
      .join('; '),
    marking: facts.marking,
    ...{ 'motor-amps': amps('motor'), 'resistive-amps': amps('resistive') },
    ...{ 'lamp-amps': amps('lamp'), 'peak-amps': amps('peak') },
    ...{ volts: first?.volts, supply: first?.supply },
    ...{ 'minimum-volts': facts.minimum?.volts, 'minimum-milliamps': facts.minimum?.milliamps },
    ...{ operations: facts.operations, disconnection: facts.disconnection, protection: facts.protection },
    ...{ 'makes-before-breaks': facts.makesBeforeBreaks, 'wires-per-terminal': facts.wiresPerTerminal },
    ...{
      terminations: facts.terminations,
      mounting: facts.mounting,
      bushing: facts.bushing,
      depth: facts.depth,
    },
    ...{
      price: facts.price,
      'in-stock': facts.inStock,
      source: facts.source,
      'source-date': facts.sourceDate,
    },
  };
  return CSV_COLUMNS.map((column) => {
    const value = cells[column];
    if (value === true) return 'yes';
    return value === false ? 'no' : String(value ?? '');
  });
}
