import type { SwitchMap } from '@which-way/core/continuity';
import { isUnsteady, type Fault } from '@which-way/core/circuit';
import { wiresOf } from '@which-way/core/log';
import {
  chosenOf,
  functionFaults,
  wayOf,
  type FunctionCheck,
  type FunctionFaults,
} from '@which-way/core/refit';
import { faultWords } from '@which-way/words/machine/machine';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { RankedFaults } from '../../hunt/ranked-faults.js';
import { Notice } from '../../shared/controls/notice.js';

/** A fault of the machine as it was put back: contacts by the lugs of what goes back, wires by their tags. */
function wordsFor(map: SwitchMap, { model, evidence }: FunctionFaults): (fault: Fault) => string {
  const wires = wiresOf(map.log);
  const laid = wayOf(map) === 'part' ? (chosenOf(map)?.terminals ?? []) : [];
  const label = (place: number) => {
    const terminal = map.structure.terminals[place];
    const lugs = laid.flatMap(({ from, to }) => (from === terminal?.id ? [to] : []));
    return lugs.join('/') || (terminal?.label ?? '?');
  };
  const { loads, supplies } = model.machine;
  const tag = (id: string) => wires.find((wire) => wire.id === id)?.tag ?? '?';
  return (fault) => faultWords(fault, { label, tag, loads, supplies, atTimes: isUnsteady(evidence) });
}

/** What fails under power, and what explains it: never more than the lines of the test say. */
export function FailedFunction({ map, fails }: { map: SwitchMap; fails: readonly FunctionCheck[] }) {
  const faults = useMemo(() => functionFaults(map), [map]);
  return (
    <Notice look="brick" title={fails.length === 1 ? 'One thing fails' : `${fails.length} things fail`}>
      <p>Power off, and proved dead, before a hand goes in.</p>
      {faults ? (
        <>
          <RankedFaults
            ranked={faults.ranked}
            words={wordsFor(map, faults)}
            seen={faults.evidence.seen.length}
            notTheSwitch="Then it is not the switch."
          />
          {faults.unsaid > 0 && (
            <p>
              {faults.unsaid === 1 ? 'Of one line' : `Of ${faults.unsaid} lines`} nobody has said what it does
              instead.
            </p>
          )}
        </>
      ) : (
        <p>{whyNone(fails)}</p>
      )}
      <p>
        A wire: <Way to="../check">Before power</Way>. The switch: <Way to="../../map">the Map</Way>, its
        wires off. The fault of before the repair is hunted at{' '}
        <Way to="../../table/machine">In the machine</Way>.
      </p>
    </Notice>
  );
}

/** Why no fault is ranked, and what would be wanted: only a load in a position tells of the circuit. */
function whyNone(fails: readonly FunctionCheck[]): string {
  const loads = fails.filter(({ kind }) => kind === 'load');
  if (loads.length === 0)
    return 'It is no line of a load in a position, and those tell the faults: where one of them fails too, say so above.';
  if (loads.every(({ tried }) => !tried?.does))
    return 'Say beside it what the load does instead: then the faults that explain it are ranked here.';
  return 'What goes back is not known in full in every position: no fault can be ranked.';
}

const Way = ({ to, children }: { to: string; children: ReactNode }) => (
  <Link to={to} relative="path" className="underline">
    {children}
  </Link>
);
