import { rowsOfTableFile } from '@which-way/core/formats';
import type { ExpectedTable } from '@which-way/core/log';
import { readExpectedRows } from '@which-way/core/verify';
import { rowsTroubleWords } from '@which-way/words/judge/diagnosis';
import { useRef, useState } from 'react';
import { useJobState } from '../../../job/job-context.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { CSV_FILE_WORDS, readText, rowsOfCsv } from '../../../controls/files/read-csv.js';
import { FROM_A_FILE_TEXT } from '@which-way/words/screens/pages/verify/expected/from-a-file';

/** More is no truth table. */
const MOST_BYTES = 1024 * 1024;

interface FromAFileProps {
  /** What a position is called, as it stands on the screen. */
  nameOf: (at: number) => string;
  onSet: (table: ExpectedTable) => void;
}

/** Takes the table from a CSV file, or from a table that was saved as JSON. */
export function FromAFile({ nameOf, onSet }: FromAFileProps) {
  const structure = useJobState((state) => state.map.structure);
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState('');
  const take = async (file: File) => {
    if (file.size > MOST_BYTES) return setTrouble(FROM_A_FILE_TEXT.isTooLargeForA(file.name));
    const rows = await rowsOf(file);
    if (typeof rows === 'string') return setTrouble(rows);
    const read = readExpectedRows(rows, structure, nameOf);
    if (!read.ok) return setTrouble(`${file.name}: ${rowsTroubleWords(structure, read.trouble, nameOf(0))}`);
    setTrouble('');
    onSet(read.table);
  };
  return (
    <div>
      <input
        ref={input}
        type="file"
        accept=".csv,.json,text/csv,application/json"
        aria-label={FROM_A_FILE_TEXT.aTableAsACsv}
        className="hidden"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          target.value = '';
          if (file) void take(file);
        }}
      />
      <PlainButton onClick={() => input.current?.click()}>{FROM_A_FILE_TEXT.fromACsvOrJson}</PlainButton>
      {trouble && (
        <p role="alert" className="text-brick">
          {trouble}
        </p>
      )}
    </div>
  );
}

/** The rows of a file, or why there are none. */
async function rowsOf(file: File): Promise<string[][] | string> {
  const read = await readText(file);
  if (typeof read === 'string') return `${file.name} ${CSV_FILE_WORDS[read]}`;
  const { text } = read;
  if (!/^\s*[{[]/.test(text)) {
    const rows = await rowsOfCsv(text);
    if (rows === 'open-quote') return `${file.name} ${CSV_FILE_WORDS[rows]}`;
    return rows.filter((cells) => cells.some((cell) => cell.trim() !== ''));
  }
  try {
    return rowsOfTableFile(JSON.parse(text)) ?? FROM_A_FILE_TEXT.noTable(file.name);
  } catch {
    return FROM_A_FILE_TEXT.isNoJsonItMay(file.name);
  }
}
