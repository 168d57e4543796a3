import { CSV_COLUMNS, type CsvColumn, type CsvMapping } from '@which-way/core/formats';
import { csvTroubleWords } from '@which-way/words/match/catalogue';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../../api/client.js';
import { useBegin } from '../../parts/begin/use-begin.js';
import { Notice } from '../../controls/notice.js';
import { Pick } from '../../controls/fields/pick.js';
import { PlainButton } from '../../controls/plain-button.js';
import { CSV_FILE_WORDS, SEPARATORS, type Separator } from '../../controls/files/read-csv.js';
import {
  asFile,
  catalogueOf,
  mappingFor,
  MOST_CATALOGUE_BYTES,
  readCatalogue,
  rememberMapping,
  type Catalogue,
} from './catalogue.js';
import { useLooked } from './use-looked.js';
import { CSV_IMPORT_TEXT } from '@which-way/words/screens/pages/library/csv-import';
import { TextInput } from '../../controls/fields/text-input.js';

const SEPARATOR_WORDS: Record<Separator, string> = {
  ',': CSV_IMPORT_TEXT.commas,
  ';': CSV_IMPORT_TEXT.semicolons,
  '\t': CSV_IMPORT_TEXT.tabs,
  '|': CSV_IMPORT_TEXT.bars,
};

/** Rows with a mistake that are shown at once; the next follow as these are mended. */
const MOST_WRONG = 20;
/** Takes a catalogue in: columns said once, rows with mistakes mended in place or set aside, the good ones all or none. */
export function CsvImport() {
  const input = useRef<HTMLInputElement>(null);
  const [catalogue, setCatalogue] = useState<Catalogue | null>(null);
  const [trouble, setTrouble] = useState('');
  const read = async (file: File) => {
    if (file.size > MOST_CATALOGUE_BYTES) return setTrouble(CSV_IMPORT_TEXT.isTooLargeAtMost(file.name));
    take(file.name, await readCatalogue(file));
  };
  const take = (name: string, found: Awaited<ReturnType<typeof readCatalogue>>) => {
    if (found === 'no-rows') return setTrouble(CSV_IMPORT_TEXT.hasNoRowsBelowIts(name));
    if (typeof found === 'string') return setTrouble(`${name} ${CSV_FILE_WORDS[found]}`);
    setTrouble('');
    setCatalogue(found);
  };
  return (
    <section aria-label={CSV_IMPORT_TEXT.takeInACatalogue} className="grid gap-3 border-t-2 border-line py-4">
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        aria-label={CSV_IMPORT_TEXT.aCatalogueAsACsv}
        className="hidden"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          target.value = '';
          if (file) void read(file);
        }}
      />
      {catalogue ? (
        <Looked
          key={`${catalogue.name} ${catalogue.separator}`}
          catalogue={catalogue}
          onChange={setCatalogue}
          onSeparator={(separator) =>
            void catalogueOf(catalogue.name, catalogue.text, separator).then((found) =>
              take(catalogue.name, found),
            )
          }
        />
      ) : (
        <PlainButton className="justify-self-start" onClick={() => input.current?.click()}>
          {CSV_IMPORT_TEXT.takeInACatalogueCsv}
        </PlainButton>
      )}
      {trouble && (
        <p role="alert" className="text-brick">
          {trouble}
        </p>
      )}
    </section>
  );
}

interface LookedProps {
  catalogue: Catalogue;
  onChange: (catalogue: Catalogue | null) => void;
  onSeparator: (separator: Separator) => void;
}

function Looked({ catalogue, onChange, onSeparator }: LookedProps) {
  const navigate = useNavigate();
  const begin = useBegin();
  const [mapping, setMapping] = useState<CsvMapping>(() => mappingFor(catalogue.head));
  const { looked, done, current } = useLooked(catalogue, mapping);
  const good = looked.flatMap(({ found }) => (found.ok ? [found.entry] : []));
  const wrong = looked.filter(({ found }) => !found.ok);
  const mend = (id: string, column: number, text: string) =>
    onChange({
      ...catalogue,
      rows: catalogue.rows.map((row) =>
        row.id === id
          ? { ...row, cells: catalogue.head.map((_, at) => (at === column ? text : (row.cells[at] ?? ''))) }
          : row,
      ),
    });
  const take = async () => {
    rememberMapping(catalogue.head, mapping);
    await begin(CSV_IMPORT_TEXT.wasNotSent(catalogue.name), () =>
      api.lookThrough(asFile(good, catalogue.name)),
    );
    navigate('/');
    // What is being taken in stands on top of the bench.
    window.scrollTo(0, 0);
  };
  return (
    <>
      <h2 className="text-large font-bold">{catalogue.name}</h2>
      <Pick
        quiet
        label={CSV_IMPORT_TEXT.separatedBy}
        value={catalogue.separator}
        options={SEPARATORS.map((one) => ({ value: one, text: SEPARATOR_WORDS[one] }))}
        onPick={(chosen) => {
          const separator = SEPARATORS.find((one) => one === chosen);
          if (separator) onSeparator(separator);
        }}
      />
      <Columns head={catalogue.head} mapping={mapping} onChange={setMapping} />
      {!current && (
        <label className="grid gap-1 text-quiet">
          {CSV_IMPORT_TEXT.lookingThrough}
          {catalogue.rows.length}
          {CSV_IMPORT_TEXT.rows}
          <progress max={catalogue.rows.length} value={done} className="h-2 w-full" />
        </label>
      )}
      <p className="font-semibold" role="status">
        {good.length === 1 ? CSV_IMPORT_TEXT.rowIsGood : CSV_IMPORT_TEXT.rowsAreGood(good.length)},{' '}
        {wrong.length} {wrong.length === 1 ? CSV_IMPORT_TEXT.has : CSV_IMPORT_TEXT.have}
        {CSV_IMPORT_TEXT.aMistake}
      </p>
      {wrong.length > 0 && (
        <Notice look="amber" title={CSV_IMPORT_TEXT.mendThemHereOrThey}>
          <ul className="grid gap-2">
            {wrong.slice(0, MOST_WRONG).map(({ row, found }) => (
              <li key={row.id} className="border-b border-line pb-2">
                {!found.ok &&
                  found.troubles.map((one) => {
                    const column = one.code === 'more-cells' ? undefined : mapping[one.column];
                    return (
                      <label key={one.column} className="grid gap-1">
                        {CSV_IMPORT_TEXT.row}
                        {row.at}: {csvTroubleWords(one)}
                        {column !== undefined && (
                          <TextInput
                            defaultValue={row.cells[column] ?? ''}
                            onBlur={({ target }) => mend(row.id, column, target.value)}
                            mono
                            className="w-full text-small"
                          />
                        )}
                      </label>
                    );
                  })}
              </li>
            ))}
          </ul>
          {wrong.length > MOST_WRONG && (
            <p>
              {CSV_IMPORT_TEXT.and}
              {wrong.length - MOST_WRONG}
              {CSV_IMPORT_TEXT.more}
            </p>
          )}
        </Notice>
      )}
      <div className="flex flex-wrap gap-2">
        <PlainButton look="strong" disabled={good.length === 0 || !current} onClick={() => void take()}>
          {CSV_IMPORT_TEXT.takeIn}
          {good.length === 1 ? CSV_IMPORT_TEXT.row2 : CSV_IMPORT_TEXT.rows2(good.length)}
        </PlainButton>
        <PlainButton onClick={() => onChange(null)}>{CSV_IMPORT_TEXT.leaveIt}</PlainButton>
      </div>
    </>
  );
}

interface ColumnsProps {
  head: readonly string[];
  mapping: CsvMapping;
  onChange: (mapping: CsvMapping) => void;
}

/** Which column of the file holds what; it is remembered for the next file with the same head. */
function Columns({ head, mapping, onChange }: ColumnsProps) {
  const options = [
    { value: '', text: 'not in the file' },
    ...head.map((name, at) => ({ value: String(at), text: name || `column ${at + 1}` })),
  ];
  const set = (column: CsvColumn, chosen: string) => {
    const rest = Object.fromEntries(Object.entries(mapping).filter(([name]) => name !== column));
    onChange(chosen === '' ? rest : { ...rest, [column]: Number(chosen) });
  };
  const missing = (['name', 'terminals', 'positions'] as const).filter((one) => mapping[one] === undefined);
  return (
    <details open={missing.length > 0 || undefined}>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">
        {CSV_IMPORT_TEXT.columns}
        {missing.length > 0 && CSV_IMPORT_TEXT.stillToBeSaid(missing.join(', '))}
      </summary>
      <div className="grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
        {CSV_COLUMNS.map((column) => (
          <Pick
            key={column}
            label={column}
            value={mapping[column] === undefined ? '' : String(mapping[column])}
            options={options}
            onPick={(chosen) => set(column, chosen)}
          />
        ))}
      </div>
    </details>
  );
}
