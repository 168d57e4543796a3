import type { SwitchMap } from '@which-way/core/continuity';
import { equalSettings, pairTable, sprungSettings, type TruthTable } from '@which-way/core/table';
import { equalSettingsWords } from '@which-way/words/table/compared-settings';
import { useMemo, useState } from 'react';
import { Choice } from '../../controls/fields/choice.js';
import { useKeys } from '../../controls/keys/use-keys.js';
import type { Inspected } from '../../parts/facts/inspector.js';
import { TableGrid } from '../../parts/facts/table-grid.js';
import { TABLE_OR_PAIRS_TEXT } from '@which-way/words/screens/pages/table/table-or-pairs';

interface TableOrPairsProps {
  map: SwitchMap;
  table: TruthTable;
  onPick: (about: Inspected) => void;
}

type Shown = 'contacts' | 'pairs';

/** The table by contacts, or by pairs: the key p goes from one to the other. */
export function TableOrPairs({ map, table, onPick }: TableOrPairsProps) {
  const [shown, setShown] = useState<Shown>('contacts');
  useKeys({ p: () => setShown((now) => (now === 'pairs' ? 'contacts' : 'pairs')) });
  const pairs = useMemo(() => (shown === 'pairs' ? pairTable(map) : null), [map, shown]);
  const sprung = useMemo(() => sprungSettings(map), [map]);
  const equal = equalSettingsWords(map.structure, equalSettings(map));
  return (
    <>
      <div className="no-print mb-2">
        <Choice<Shown>
          label={TABLE_OR_PAIRS_TEXT.theTableBy}
          value={shown}
          options={[
            { value: 'contacts', text: 'Contacts' },
            { value: 'pairs', text: 'Pairs (p)' },
          ]}
          onChoose={setShown}
        />
      </div>
      {pairs ? (
        <>
          <TableGrid
            table={{ ...table, poles: [{ terminals: [], common: null, rows: pairs.rows }], uncertain: [] }}
            structure={map.structure}
            onPick={onPick}
            large
            sprung={sprung}
            plain
          />
          {pairs.openEverywhere > 0 && (
            <p className="mt-2">
              {pairs.openEverywhere === 1
                ? TABLE_OR_PAIRS_TEXT.oneMorePairIs
                : TABLE_OR_PAIRS_TEXT.morePairsAre(pairs.openEverywhere)}{' '}
              {TABLE_OR_PAIRS_TEXT.openInEveryPosition}
            </p>
          )}
        </>
      ) : (
        <TableGrid table={table} structure={map.structure} sprung={sprung} onPick={onPick} large />
      )}
      {equal.map((line) => (
        <p key={line} className="mt-1">
          {line}
        </p>
      ))}
    </>
  );
}
