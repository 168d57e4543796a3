import type { SwitchMap } from '@which-way/core/continuity';
import { sprungSettings, truthTable } from '@which-way/core/table';
import type { ReadingId, SettingId } from '@which-way/core/switch';
import { memo } from 'react';
import type { Inspected } from '../../../parts/facts/inspector.js';
import { TableGrid } from '../../../parts/facts/table-grid.js';
import { Tape } from './tape.js';
import { KNOWN_SO_FAR_TEXT } from '@which-way/words/screens/pages/map/board/known-so-far';

interface KnownProps {
  map: SwitchMap;
  at: SettingId | null;
  onPick: (about: Inspected) => void;
}

/** The truth table as far as it is known. Shown a moment after the next prompt where both would take long. */
export const TableSoFar = memo(function TableSoFar({ map, at, onPick }: KnownProps) {
  const table = truthTable(map);
  const sprung = sprungSettings(map);
  return (
    <section aria-label={KNOWN_SO_FAR_TEXT.truthTableSoFar}>
      {table.poles.length + table.uncertain.length === 0 ? (
        <p className="text-quiet">{KNOWN_SO_FAR_TEXT.nothingJoinsSoFar}</p>
      ) : (
        <TableGrid table={table} structure={map.structure} onPick={onPick} at={at} sprung={sprung} most={6} />
      )}
    </section>
  );
});

/** The readings, newest first; they too come after the prompt. */
export const ReadingsSoFar = memo(function ReadingsSoFar({
  map,
  onReadAgain,
}: {
  map: SwitchMap;
  onReadAgain: (id: ReadingId) => void;
}) {
  return (
    <section aria-label={KNOWN_SO_FAR_TEXT.readings}>
      <Tape tape={map.tape} structure={map.structure} onReadAgain={onReadAgain} />
    </section>
  );
});
