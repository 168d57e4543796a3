import { spreadOf, type Row, type TablePole, type TruthTable } from '@which-way/core/table';
import type { SettingId, Structure } from '@which-way/core/switch';
import { CornerUpLeft } from 'lucide-react';
import { Fragment, memo } from 'react';
import { Breakable } from '../../controls/breakable.js';
import { PartLine, usePart } from './part-of-positions.js';
import { settingName, shortSettingName, terminalName } from '@which-way/words/terminals';
import { poleLetter } from '@which-way/words/table/patterns';
import { quantity } from '@which-way/words/quantity';
import { FactCell } from './fact-cell.js';
import type { Inspected } from './inspector.js';
import { strandOf } from '@which-way/drawing/strand';
import { TABLE_GRID_TEXT } from '@which-way/words/screens/parts/facts/table-grid';

interface TableGridProps {
  table: TruthTable;
  structure: Structure;
  onPick: (about: Inspected) => void;
  large?: boolean;
  /** The setting that the handle is at. */
  at?: SettingId | null;
  /** Positions side by side; of more a part is shown, and which. */
  most?: number;
  /** Settings from which the handle springs back. */
  sprung?: ReadonlySet<SettingId>;
  /** Rows are only pairs: no poles above them. */
  plain?: boolean;
}

/** With more contacts than this the rows are lower. */
const MANY_ROWS = { large: 7, small: 5 };

/** The truth table: contacts by settings, pole by pole. */
export const TableGrid = memo(function TableGrid({
  table,
  structure,
  onPick,
  large = false,
  at = null,
  most = 12,
  sprung,
  plain = false,
}: TableGridProps) {
  const { from, to, show } = usePart(table.settings, at, most);
  const shown = table.settings.slice(from, to);
  const rows = table.poles.reduce((sum, pole) => sum + pole.rows.length, table.uncertain.length);
  const row = { structure, onPick, large, low: rows > MANY_ROWS[large ? 'large' : 'small'], from, to };
  const columns = shown.length + (large ? 2 : 1);
  return (
    <>
      <PartLine {...{ from, to, most, show }} all={table.settings.length} />
      <table className="w-full table-fixed border-collapse">
        <thead>
          <tr>
            <th scope="col" className={`${large ? 'w-24 max-sm:w-16' : 'w-18'} p-1 text-left`}>
              <span className="sr-only">{TABLE_GRID_TEXT.contact}</span>
            </th>
            {shown.map((id, index) => (
              <SettingHead
                key={id}
                name={shortSettingName(structure, id)}
                color={strandOf(from + index).color}
                here={at === id}
                sprung={sprung?.has(id) === true}
                large={large}
              />
            ))}
            {large && (
              <th
                scope="col"
                className="w-16 sm:w-28 pl-2 text-right text-small leading-tight font-normal text-quiet"
              >
                {TABLE_GRID_TEXT.worstLeadsOff}
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {table.poles.map((pole, index) => (
            <Fragment key={pole.terminals[0] ?? 'pairs'}>
              {!plain && (large || table.poles.length > 1) && (
                <tr>
                  <th scope="rowgroup" colSpan={columns} className="pt-1.5 pb-0.5 text-left">
                    {TABLE_GRID_TEXT.pole}
                    {poleLetter(index)}
                    {pole.common && (
                      <span className="font-normal text-quiet">
                        {' '}
                        {TABLE_GRID_TEXT.common}
                        {terminalName(structure, pole.common)}
                      </span>
                    )}
                  </th>
                </tr>
              )}
              {pole.rows.map((one, place) => (
                <Fragment key={one.terminals.join()}>
                  {large && !plain && beginsMoving(pole, place) && (
                    <tr>
                      <th
                        scope="rowgroup"
                        colSpan={columns}
                        className="pb-0.5 text-left text-small font-normal"
                      >
                        {TABLE_GRID_TEXT.movingContact}
                        {one.moving && terminalName(structure, one.moving)}
                      </th>
                    </tr>
                  )}
                  <TableRow row={one} {...row} />
                </Fragment>
              ))}
            </Fragment>
          ))}
          {table.uncertain.length > 0 && (
            <tr>
              <th scope="rowgroup" colSpan={columns} className="pt-1.5 pb-0.5 text-left text-amber-ink">
                {TABLE_GRID_TEXT.lookAgain}
              </th>
            </tr>
          )}
          {table.uncertain.map((one) => (
            <TableRow key={one.terminals.join()} row={one} {...row} />
          ))}
        </tbody>
      </table>
    </>
  );
});

/** Whether the rows of another moving contact begin here, in a pole that has several. */
function beginsMoving({ rows }: TablePole, place: number): boolean {
  const several = new Set(rows.map(({ moving }) => moving)).size > 1;
  return several && rows[place]?.moving !== rows[place - 1]?.moving;
}

interface SettingHeadProps {
  name: string;
  color: string;
  /** The handle is at it. */
  here: boolean;
  sprung: boolean;
  large: boolean;
}

/** The head of a setting's column; where the handle springs back, that is marked. */
function SettingHead({ name, color, here, sprung, large }: SettingHeadProps) {
  return (
    <th
      scope="col"
      className={`px-0.5 pb-1 align-bottom font-mono leading-tight ${large ? 'text-small max-sm:text-[0.6875rem] max-sm:tracking-tight' : 'text-small tracking-tight'}`}
      style={{ color }}
    >
      <span
        className={`line-clamp-3 wrap-anywhere ${here ? 'underline decoration-4 underline-offset-4' : ''}`}
      >
        <Breakable name={name} />
      </span>
      {sprung && (
        <span className="flex justify-center" title={TABLE_GRID_TEXT.springsBack}>
          <CornerUpLeft size={16} aria-hidden="true" />
          <span className="sr-only">{TABLE_GRID_TEXT.springsBack}</span>
        </span>
      )}
    </th>
  );
}

interface TableRowProps {
  row: Row;
  structure: Structure;
  onPick: (about: Inspected) => void;
  large: boolean;
  low: boolean;
  from: number;
  to: number;
}

function TableRow({ row, structure, onPick, large, low, from, to }: TableRowProps) {
  const [a, b] = row.terminals;
  const label = `${terminalName(structure, a)}–${terminalName(structure, b)}`;
  const spread = spreadOf(row);
  return (
    <tr>
      <th
        scope="row"
        className={`pr-1 text-left font-mono whitespace-nowrap sm:pr-2 ${large && !low ? 'sm:text-large' : 'text-base'}`}
      >
        {label}
      </th>
      {row.cells.slice(from, to).map((cell) => (
        <td key={cell.setting} className="p-0">
          <FactCell
            cell={cell}
            large={large}
            low={low}
            label={TABLE_GRID_TEXT.at(label, settingName(structure, cell.setting))}
            onPick={() => onPick({ setting: cell.setting, a, b })}
          />
        </td>
      ))}
      {large && (
        <td className="pl-2 text-right font-mono text-small leading-tight">
          {spread && quantity(spread.most)}
          {spread && spread.most.ohms > spread.least.ohms && (
            <span className="block text-quiet">
              {TABLE_GRID_TEXT.from}
              {quantity(spread.least)}
            </span>
          )}
        </td>
      )}
    </tr>
  );
}
