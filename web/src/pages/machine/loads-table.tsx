import type { SettingId } from '@which-way/core/switch';
import { handleKey, handleName, standingName } from '@which-way/words/machine/handles';
import { stateWords, wattsWords } from '@which-way/words/machine/loads';
import type { MachineNames } from '@which-way/words/machine/places';
import { LOADS_TABLE_TEXT } from '@which-way/words/screens/pages/machine/loads-table';
import type { Combination } from '@which-way/core/machine';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef } from 'react';
import type { WorkedOut } from './use-view.js';

interface LoadsTableProps {
  names: MachineNames;
  all: WorkedOut;
  standing: Combination;
  onStand: (combination: Combination) => void;
}

const ROW = 44;
const LOOK: Partial<Record<string, string>> = {
  full: 'font-bold',
  part: 'font-bold',
  reversed: 'font-bold',
  floating: 'font-bold text-brick',
  stalled: 'font-bold text-brick',
  'not-known': 'text-quiet',
};

/** What each load does in every combination, with the watts of all where they are known; of thousands, the ones in sight. */
export function LoadsTable({ names, all: { combinations, results }, standing, onStand }: LoadsTableProps) {
  const { handles, circuit } = names.machine;
  const { loads } = circuit;
  const frame = useRef<HTMLDivElement>(null);
  // A list that shows what is in sight can't be memoised; nothing that it returns leaves this component.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count: combinations.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  const shown = rows.getVirtualItems();
  const before = shown[0]?.start ?? 0;
  const after = rows.getTotalSize() - (shown.at(-1)?.end ?? 0);
  const here = standing.join();
  const withWatts = results.some(({ watts }) => watts !== null && watts > 0);
  return (
    <div ref={frame} className="max-h-[60dvh] overflow-auto">
      <table
        aria-label={LOADS_TABLE_TEXT.whatEachLoadDoes}
        aria-rowcount={combinations.length + 1}
        className="w-full"
      >
        <thead className="sticky top-0 bg-paper">
          <tr className="border-b-2 border-line text-left">
            {handles.map((handle) => (
              <th key={handleKey(handle)} scope="col" className="px-2 py-1">
                {handles.length > 1 && handleName(handle, names.job)}
              </th>
            ))}
            {loads.map(({ id, name }) => (
              <th key={id} scope="col" className="px-2 py-1">
                {name}
              </th>
            ))}
            {withWatts && (
              <th scope="col" className="px-2 py-1 text-right">
                {LOADS_TABLE_TEXT.all}
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {before > 0 && <tr style={{ height: before }} />}
          {shown.map(({ index }) => {
            const combination = combinations[index] as Combination;
            const result = results[index];
            const isHere = combination.join() === here;
            return (
              <tr
                key={combination.join()}
                aria-rowindex={index + 2}
                aria-current={isHere || undefined}
                onClick={() => onStand(combination)}
                style={{ height: ROW }}
                className={`cursor-pointer border-b border-line ${isHere ? 'bg-sheet' : 'hover:bg-sheet'}`}
              >
                {handles.map((handle, at) => (
                  <td key={handleKey(handle)} className="px-2 font-mono whitespace-nowrap">
                    {at === 0 ? (
                      <button type="button" className="min-h-11 w-full text-left font-bold">
                        {standingName(handle, combination[at] as SettingId)}
                      </button>
                    ) : (
                      standingName(handle, combination[at] as SettingId)
                    )}
                  </td>
                ))}
                {loads.map(({ id }) => {
                  const state = result?.loads.get(id);
                  return (
                    <td key={id} className={`px-2 ${LOOK[state?.does ?? 'not-known'] ?? ''}`}>
                      {state ? stateWords(state, loads) : ''}
                    </td>
                  );
                })}
                {withWatts && (
                  <td className="px-2 text-right font-mono font-bold">{wattsWords(result?.watts ?? null)}</td>
                )}
              </tr>
            );
          })}
          {after > 0 && <tr style={{ height: after }} />}
        </tbody>
      </table>
    </div>
  );
}
