import type { SwitchMap } from '@which-way/core/continuity';
import { isUnsteady, type Fault } from '@which-way/core/machine';
import { recordsOf } from '@which-way/core/log';
import {
  chosenOf,
  functionFaults,
  wayOf,
  type FunctionCheck,
  type FunctionFaults,
} from '@which-way/core/refit';
import { faultWords } from '@which-way/words/machine/faults';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { RankedFaults } from '../../../parts/hunt/ranked-faults.js';
import { Notice } from '../../../controls/notice.js';
import { FAILED_FUNCTION_TEXT } from '@which-way/words/screens/pages/refit/function/failed-function';

/** A fault of the machine as it was put back: contacts by the lugs of what goes back, wires by their tags. */
function wordsFor(map: SwitchMap, { model, evidence }: FunctionFaults): (fault: Fault) => string {
  const wires = recordsOf(map.log, 'wire-tagged');
  const laid = wayOf(map) === 'part' ? (chosenOf(map)?.terminals ?? []) : [];
  const label = (place: number) => {
    const terminal = map.structure.terminals[place];
    const lugs = laid.flatMap(({ from, to }) => (from === terminal?.id ? [to] : []));
    return lugs.join('/') || (terminal?.label ?? '?');
  };
  const { loads, supplies } = model.circuit;
  const tag = (id: string) => wires.find((wire) => wire.id === id)?.tag ?? '?';
  return (fault) => faultWords(fault, { label, tag, loads, supplies, atTimes: isUnsteady(evidence) });
}

/** What fails under power, and what explains it: never more than the lines of the test say. */
export function FailedFunction({ map, fails }: { map: SwitchMap; fails: readonly FunctionCheck[] }) {
  const faults = useMemo(() => functionFaults(map), [map]);
  return (
    <Notice
      look="brick"
      title={
        fails.length === 1
          ? FAILED_FUNCTION_TEXT.oneThingFails
          : FAILED_FUNCTION_TEXT.thingsFail(fails.length)
      }
    >
      <p>{FAILED_FUNCTION_TEXT.powerOffAndProvedDead}</p>
      {faults ? (
        <>
          <RankedFaults
            ranked={faults.ranked}
            words={wordsFor(map, faults)}
            seen={faults.evidence.seen.length}
            notTheSwitch={FAILED_FUNCTION_TEXT.thenItIsNotThe}
          />
          {faults.unsaid > 0 && (
            <p>
              {faults.unsaid === 1
                ? FAILED_FUNCTION_TEXT.ofOneLine
                : FAILED_FUNCTION_TEXT.ofLines(faults.unsaid)}
              {FAILED_FUNCTION_TEXT.nobodyHasSaidWhatIt}
            </p>
          )}
        </>
      ) : (
        <p>{whyNone(fails)}</p>
      )}
      <p>
        {FAILED_FUNCTION_TEXT.aWire}
        <Way to="../check">{FAILED_FUNCTION_TEXT.beforePower}</Way>
        {FAILED_FUNCTION_TEXT.theSwitch}
        <Way to="../../map">{FAILED_FUNCTION_TEXT.theMap}</Way>
        {FAILED_FUNCTION_TEXT.itsWiresOffTheFault}{' '}
        <Way to="../../table/machine">{FAILED_FUNCTION_TEXT.inTheMachine}</Way>.
      </p>
    </Notice>
  );
}

/** Why no fault is ranked, and what would be wanted: only a load in a position tells of the circuit. */
function whyNone(fails: readonly FunctionCheck[]): string {
  const loads = fails.filter(({ kind }) => kind === 'load');
  if (loads.length === 0) return FAILED_FUNCTION_TEXT.itIsNoLineOf;
  if (loads.every(({ tried }) => !tried?.does)) return FAILED_FUNCTION_TEXT.sayBesideItWhatThe;
  return FAILED_FUNCTION_TEXT.whatGoesBackIsNot;
}

const Way = ({ to, children }: { to: string; children: ReactNode }) => (
  <Link to={to} relative="path" className="underline">
    {children}
  </Link>
);
