import { isDoubtfulNumber } from '../schema/index.js';
import type { Problem } from '../switch/index.js';
import type { CsvColumn, CsvMapping } from './csv-columns.js';

/** Something in a row that is not right: the column, what stands there, and what is wrong with it. */
export interface CsvTrouble {
  column: CsvColumn;
  code:
    | 'missing'
    | 'not-a-number'
    | 'doubtful-number'
    | 'not-a-choice'
    | 'not-yes-or-no'
    | 'not-a-position'
    | 'not-positions'
    | 'not-a-rating'
    | 'open-quote'
    | 'stands-alone'
    | 'more-cells'
    | 'not-allowed';
  text: string;
  /** What a check of the whole entry found. */
  problem?: Problem;
}

/** Reads the cells of one row, and keeps what is not right in them. */
export class CellReader {
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

  /** A number with a point or a comma. 10,000 may be ten thousand or ten: it is asked, not guessed. */
  number(column: CsvColumn): number | undefined {
    const typed = this.cell(column);
    if (typed === '') return undefined;
    if (isDoubtfulNumber(typed)) return this.wrong(column, 'doubtful-number');
    const plain = typed.replace(',', '.');
    return /^-?\d+(\.\d+)?(e[-+]?\d+)?$/i.test(plain) ? Number(plain) : this.wrong(column, 'not-a-number');
  }

  /** A whole number; a mark between its digits may stand for thousands or not, and is asked. */
  whole(column: CsvColumn): number | undefined {
    return /[.,]/.test(this.cell(column)) ? this.wrong(column, 'doubtful-number') : this.number(column);
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
