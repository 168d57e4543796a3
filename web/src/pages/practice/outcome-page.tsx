import { approachOf, costsOf } from '@which-way/core/planner';
import { outcomeOf, type HiddenFault, type Outcome, type SimulatedSwitch } from '@which-way/core/simulated';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useJobState } from '../../job/job-context.js';
import { Notice } from '../../controls/notice.js';
import {
  CONTACT_FAULT_WORDS,
  METER_FAULT_WORDS,
  MISASSEMBLY_WORDS,
  SIMULATED_PART_WORDS,
} from '@which-way/words/map/practice';
import { time } from '@which-way/words/time';
import { OUTCOME_PAGE_TEXT } from '@which-way/words/screens/pages/practice/outcome-page';

/** How mapping a simulated switch went: against the truth, what was hidden in it, and what it took beside the plans. */
export function OutcomePage() {
  const job = useJobState((state) => state.job);
  const hidden = job?.simulation;
  if (!hidden)
    return (
      <main className="mx-auto max-w-2xl p-8">
        <Notice look="plain" title={OUTCOME_PAGE_TEXT.thisIsARealSwitch}>
          {OUTCOME_PAGE_TEXT.onlyForASimulatedOne}{' '}
          <Link to="/practice" className="underline">
            {OUTCOME_PAGE_TEXT.practiseOnOne}
          </Link>
        </Notice>
      </main>
    );
  return <OutcomeOf hidden={hidden} />;
}

function OutcomeOf({ hidden }: { hidden: SimulatedSwitch }) {
  const map = useJobState((state) => state.map);
  const outcome = useMemo(() => outcomeOf(map, hidden, costsOf(map, approachOf(map))), [map, hidden]);
  const { pairs, positions, faults } = outcome;
  const all = pairs.right + pairs.wrong + pairs.unknown;
  const name = (place: number) => map.structure.terminals[place]?.label ?? String(place + 1);
  return (
    <main className="mx-auto w-full max-w-4xl px-4 py-6 sm:px-8">
      <h1 className="text-title font-bold">{OUTCOME_PAGE_TEXT.howItWent}</h1>
      <p className="mt-1 text-large">
        {map.complete && pairs.wrong === 0
          ? OUTCOME_PAGE_TEXT.theMapIsCompleteAnd
          : pairs.wrong > 0
            ? OUTCOME_PAGE_TEXT.ofPairsAreNotAs(pairs.wrong, all)
            : OUTCOME_PAGE_TEXT.nothingOnTheMapIs}{' '}
        {!map.complete && (
          <Link to="../map" relative="path" className="underline">
            {OUTCOME_PAGE_TEXT.goOnMapping}
          </Link>
        )}
      </p>
      <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-6 gap-y-1">
        <dt>{OUTCOME_PAGE_TEXT.right}</dt>
        <dd className="font-mono font-bold">
          {pairs.right}
          {OUTCOME_PAGE_TEXT.ofText}
          {all}
          {OUTCOME_PAGE_TEXT.pairs}
        </dd>
        <dt>{OUTCOME_PAGE_TEXT.wrong}</dt>
        <dd className="font-mono font-bold">{pairs.wrong}</dd>
        <dt>{OUTCOME_PAGE_TEXT.notKnown}</dt>
        <dd className="font-mono font-bold">{pairs.unknown}</dd>
        <dt>{OUTCOME_PAGE_TEXT.positionsFound}</dt>
        <dd className="font-mono font-bold">
          {positions.found}
          {OUTCOME_PAGE_TEXT.ofText}
          {positions.all}
        </dd>
      </dl>
      <h2 className="mt-6 text-large font-bold">{OUTCOME_PAGE_TEXT.whatWasHiddenInIt}</h2>
      {faults.length === 0 ? (
        <p>{OUTCOME_PAGE_TEXT.nothingAGoodSwitchAnd}</p>
      ) : (
        <ul>
          {faults.map((fault, index) => (
            <li key={index} className="flex flex-wrap gap-x-4 border-b border-line py-1.5">
              <span className="grow">{faultWords(fault, name)}</span>
              <strong>{standingWords(fault)}</strong>
            </li>
          ))}
        </ul>
      )}
      <h2 className="mt-6 text-large font-bold">{OUTCOME_PAGE_TEXT.whatItTook}</h2>
      <Took outcome={outcome} />
      <p className="mt-6">
        <Link to="/practice" className="underline">
          {OUTCOME_PAGE_TEXT.anotherOne}
        </Link>
      </p>
    </main>
  );
}

/** Whether it was found: by the map, or for how it was put together by the diagnosis at Verify. */
function standingWords({ what, shown }: HiddenFault): string {
  if (what.kind === 'assembly')
    return shown === null
      ? OUTCOME_PAGE_TEXT.nothingToCompareWithVerify
      : shown
        ? OUTCOME_PAGE_TEXT.theDiagnosisHasIt
        : OUTCOME_PAGE_TEXT.theDiagnosisDoesNotHave;
  return shown === null ? OUTCOME_PAGE_TEXT.aMapCannotShowIt : shown ? OUTCOME_PAGE_TEXT.youHaveIt : 'Missed';
}

const PLAN_WORDS: Record<Outcome['plans'][number]['name'], string> = {
  position: OUTCOME_PAGE_TEXT.positionFirstWithoutASlip,
  time: OUTCOME_PAGE_TEXT.byTime,
  clips: OUTCOME_PAGE_TEXT.byTimeWithClips,
  certify: OUTCOME_PAGE_TEXT.knowingTheAnswerToProve,
};

function Took({ outcome: { took, plans } }: { outcome: Outcome }) {
  return (
    <table className="w-full max-w-xl text-left">
      <thead>
        <tr className="border-b-2 border-line text-quiet">
          <th className="py-1 font-semibold">{OUTCOME_PAGE_TEXT.way}</th>
          <th className="text-right font-semibold">{OUTCOME_PAGE_TEXT.touches}</th>
          <th className="pl-6 text-right font-semibold">{OUTCOME_PAGE_TEXT.time}</th>
        </tr>
      </thead>
      <tbody>
        {[{ name: 'You', ...took }, ...plans.map((plan) => ({ ...plan, name: PLAN_WORDS[plan.name] }))].map(
          ({ name, touches, seconds }) => (
            <tr key={name} className="border-b border-line first:font-bold">
              <td className="py-1.5">{name}</td>
              <td className="text-right font-mono">{touches}</td>
              <td className="pl-6 text-right font-mono">{time(seconds)}</td>
            </tr>
          ),
        )}
      </tbody>
    </table>
  );
}

function faultWords({ what }: HiddenFault, name: (place: number) => string): string {
  switch (what.kind) {
    case 'contact':
      return `Contact ${name(what.a)}–${name(what.b)}: ${CONTACT_FAULT_WORDS[what.fault]}`;
    case 'part':
      return `${SIMULATED_PART_WORDS[what.form]} across ${name(what.a)} and ${name(what.b)}`;
    case 'meter':
      return METER_FAULT_WORDS[what.fault];
    case 'assembly':
      return MISASSEMBLY_WORDS[what.how];
  }
}
