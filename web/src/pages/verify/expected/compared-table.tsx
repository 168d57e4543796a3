import type { SwitchMap } from '@which-way/core/continuity';
import type { ExpectedTable } from '@which-way/core/log';
import { knownPattern, polesWithContacts } from '@which-way/core/table';
import type { TerminalId } from '@which-way/core/switch';
import { calledFault, type Comparison } from '@which-way/core/verify';
import { settingName, terminalName } from '@which-way/words/terminals';
import { COMPARED_TABLE_TEXT } from '@which-way/words/screens/pages/verify/expected/compared-table';
import { useMemo, type KeyboardEvent } from 'react';
import type { Inspected } from '../../../parts/facts/inspector.js';
import { PartLine, usePart } from '../../../parts/facts/part-of-positions.js';
import { contactsOf, saidOf, type SaidOfContact } from './expected-edit.js';
import { PositionHeads } from './position-heads.js';
import { distinct, verdictOf, type CellVerdict } from './rows.js';

interface ComparedTableProps {
  map: SwitchMap;
  expected: ExpectedTable;
  comparison: Comparison;
  onPick: (about: Inspected) => void;
}

const MOST_ACROSS = 8;
/** Contacts above which the rows are lower. */
const MANY_ROWS = 6;

/** The map beside what it should do: what differs stands out, what agrees is quiet. A cell tells how it is known. */
export function ComparedTable({ map, expected, comparison, onPick }: ComparedTableProps) {
  const { structure } = map;
  const isFault = useMemo(() => calledFault(map), [map]);
  const ids = structure.terminals.map(({ id }) => id);
  const found = polesWithContacts(knownPattern(map)).flatMap(({ contacts }) => contacts);
  const rows = distinct([...contactsOf(expected, ids), ...found]);
  const part = usePart(
    expected.settings.map(({ setting }) => setting),
    null,
    MOST_ACROSS,
  );
  const shown = expected.settings.slice(part.from, part.to);
  const height = rows.length > MANY_ROWS ? 'h-9' : 'h-14';
  const { missing, extra } = comparison.count;
  const hatched = shown.some((entry) =>
    rows.some((contact) => {
      const [a, b] = contact.map((place) => ids[place]) as [TerminalId, TerminalId];
      return verdictOf(comparison, entry.setting, a, b) === 'not-tested';
    }),
  );
  // Only what is there is explained.
  const legend = [
    ...(missing > 0 ? [COMPARED_TABLE_TEXT.legend.missing] : []),
    ...(extra > 0 ? [COMPARED_TABLE_TEXT.legend.extra] : []),
    ...(hatched ? [COMPARED_TABLE_TEXT.legend.hatched] : []),
  ].join(' ');
  return (
    <>
      <PartLine {...part} most={MOST_ACROSS} all={expected.settings.length} />
      <table className="w-full table-fixed border-collapse" onKeyDown={stepOn}>
        <thead>
          <tr>
            <th scope="col" className="w-20">
              <span className="sr-only">{COMPARED_TABLE_TEXT.contact}</span>
            </th>
            <PositionHeads
              structure={structure}
              settings={shown.map(({ setting }) => setting)}
              from={part.from}
            />
          </tr>
        </thead>
        <tbody>
          {rows.map((contact, line) => {
            const [a, b] = contact.map((place) => ids[place]) as [TerminalId, TerminalId];
            const label = `${terminalName(structure, a)}–${terminalName(structure, b)}`;
            return (
              <tr key={String(contact)}>
                <th scope="row" className="truncate pr-2 text-left font-mono">
                  {label}
                </th>
                {shown.map((entry, column) => (
                  <Cell
                    key={entry.setting}
                    first={line === 0 && column === 0}
                    height={height}
                    name={`${label} at ${settingName(structure, entry.setting)}`}
                    said={saidOf(entry, contact, ids)}
                    verdict={verdictOf(comparison, entry.setting, a, b)}
                    fault={isFault(entry.setting, a, b)}
                    onPick={() => onPick({ setting: entry.setting, a, b })}
                  />
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-2 text-quiet empty:hidden">{legend}</p>
    </>
  );
}

/** One cell can be reached by Tab; the arrows go on from it, as in a table of its own. */
function stepOn(event: KeyboardEvent<HTMLTableElement>): void {
  const step = STEPS[event.key];
  const from = event.target instanceof HTMLElement ? event.target.closest('td') : null;
  if (!step || !from) return;
  const [across, down] = step;
  const row = event.currentTarget.rows[((from.parentElement as HTMLTableRowElement).rowIndex ?? 0) + down];
  const to = row?.cells[from.cellIndex + across]?.querySelector('button');
  if (!to) return;
  event.preventDefault();
  for (const cell of event.currentTarget.querySelectorAll('td button')) cell.setAttribute('tabindex', '-1');
  to.setAttribute('tabindex', '0');
  to.focus();
}

const STEPS: Readonly<Record<string, readonly [across: number, down: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface CellProps {
  /** The one that Tab comes to at first. */
  first: boolean;
  name: string;
  height: string;
  said: SaidOfContact;
  verdict: CellVerdict;
  fault: boolean;
  onPick: () => void;
}

/** How a cell looks, and what it says: in a word where it differs, else only to who asks. */
interface CellLook {
  word: string;
  quiet?: string;
  look: string;
  closed: boolean;
  dashed?: boolean;
}

/** What is said of a cell, and how it looks; a closed contact has its cross. */
function cellOf(said: SaidOfContact, verdict: CellVerdict, fault: boolean): CellLook {
  switch (verdict) {
    case 'missing':
      return { word: COMPARED_TABLE_TEXT.missing, look: 'bg-sheet', closed: false, dashed: true };
    case 'extra':
      return { word: COMPARED_TABLE_TEXT.extra, look: 'bg-amber text-lead-black', closed: true };
    case 'not-tested':
      return { word: '', quiet: COMPARED_TABLE_TEXT.notTested, look: 'not-known', closed: false };
    default: {
      const closed = said === 'closed';
      if (fault) return { word: COMPARED_TABLE_TEXT.fault, look: 'bg-amber text-lead-black', closed };
      const quiet = verdict === 'agree' ? COMPARED_TABLE_TEXT.agrees : COMPARED_TABLE_TEXT.notSaid;
      return { word: '', quiet, look: 'bg-sheet', closed };
    }
  }
}

function Cell({ first, name, height, said, verdict, fault, onPick }: CellProps) {
  const { word, look, closed, dashed, quiet } = cellOf(said, verdict, fault);
  return (
    <td className={`border border-line p-0 ${look}`}>
      <button
        type="button"
        tabIndex={first ? 0 : -1}
        aria-label={COMPARED_TABLE_TEXT.howIsKnown(name, quiet ?? word)}
        onClick={onPick}
        className={`flex w-full flex-col items-center justify-center leading-none hover:outline-2 hover:outline-ink ${height}`}
      >
        {closed && <span className="font-mono text-large font-bold">×</span>}
        {word !== '' && (
          <span
            className={`max-w-full truncate text-small font-bold ${dashed ? 'rounded-part border-2 border-dashed border-amber-ink px-1.5 py-1 text-amber-ink' : ''}`}
          >
            {word}
          </span>
        )}
      </button>
    </td>
  );
}
