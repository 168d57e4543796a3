import type { Row, TruthTable } from '@which-way/core/table';
import type { SettingId, Structure } from '@which-way/core/switch';
import { Fragment, memo } from 'react';
import { settingName, shortSettingName, terminalName } from '@which-way/words/terminals';
import { quantity } from '@which-way/words/quantity';
import { FactCell } from './fact-cell.js';
import type { Inspected } from './inspector.js';
import { strandOf } from '@which-way/drawing/strand';

interface TableGridProps {
  table: TruthTable;
  structure: Structure;
  onPick: (about: Inspected) => void;
  large?: boolean;
  /** The setting that the handle is at. */
  at?: SettingId | null;
}

/** The truth table: contacts by settings, pole by pole. */
export const TableGrid = memo(function TableGrid({
  table,
  structure,
  onPick,
  large = false,
  at = null,
}: TableGridProps) {
  const columns = table.settings.length + (large ? 2 : 1);
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse">
        <thead>
          <tr>
            <th scope="col" className="p-1 text-left">
              <span className="sr-only">Contact</span>
            </th>
            {table.settings.map((id, index) => (
              <th
                key={id}
                scope="col"
                className="px-1 pb-1 align-bottom font-mono text-small"
                style={{ color: strandOf(index).color }}
              >
                <span className={at === id ? 'underline decoration-4 underline-offset-4' : ''}>
                  {shortSettingName(structure, id)}
                </span>
              </th>
            ))}
            {large && (
              <th scope="col" className="px-2 text-right text-small font-normal text-quiet">
                worst ohms, leads off
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {table.poles.map((pole, index) => (
            <Fragment key={pole.terminals[0]}>
              {(large || table.poles.length > 1) && (
                <tr>
                  <th scope="rowgroup" colSpan={columns} className="pt-3 pb-1 text-left">
                    Pole {letter(index)}
                    {pole.common && (
                      <span className="font-normal text-quiet">
                        {' '}
                        common {terminalName(structure, pole.common)}
                      </span>
                    )}
                  </th>
                </tr>
              )}
              {pole.rows.map((row) => (
                <TableRow key={row.terminals.join()} {...{ row, structure, onPick, large }} />
              ))}
            </Fragment>
          ))}
          {table.uncertain.length > 0 && (
            <tr>
              <th scope="rowgroup" colSpan={columns} className="pt-3 pb-1 text-left text-amber-ink">
                Look again
              </th>
            </tr>
          )}
          {table.uncertain.map((row) => (
            <TableRow key={row.terminals.join()} {...{ row, structure, onPick, large }} />
          ))}
        </tbody>
      </table>
    </div>
  );
});

/** Poles are lettered. */
export const letter = (index: number): string => String.fromCharCode(65 + (index % 26));

function TableRow({
  row,
  structure,
  onPick,
  large,
}: {
  row: Row;
  structure: Structure;
  onPick: (about: Inspected) => void;
  large: boolean;
}) {
  const [a, b] = row.terminals;
  const label = `${terminalName(structure, a)}–${terminalName(structure, b)}`;
  const read = row.cells.flatMap(({ fact, reading }) => (fact.joined && reading ? [reading.quantity] : []));
  const worst = read.toSorted((one, other) => other.ohms - one.ohms)[0];
  return (
    <tr>
      <th
        scope="row"
        className={`pr-3 text-left font-mono whitespace-nowrap ${large ? 'text-large' : 'text-base'}`}
      >
        {label}
      </th>
      {row.cells.map((cell) => (
        <td key={cell.setting} className="min-w-12 p-0">
          <FactCell
            cell={cell}
            large={large}
            label={`${label} at ${settingName(structure, cell.setting)}`}
            onPick={() => onPick({ setting: cell.setting, a, b })}
          />
        </td>
      ))}
      {large && <td className="px-2 text-right font-mono">{worst ? quantity(worst) : ''}</td>}
    </tr>
  );
}
