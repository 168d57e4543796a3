import { approachOf, costsOf } from '@which-way/core/planner';
import { outcomeOf, type HiddenFault, type Outcome, type SimulatedSwitch } from '@which-way/core/simulated';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useJobState } from '../job/job-context.js';
import { Notice } from '../shared/controls/notice.js';
import {
  CONTACT_FAULT_WORDS,
  METER_FAULT_WORDS,
  MISASSEMBLY_WORDS,
  SIMULATED_PART_WORDS,
} from '@which-way/words/map/practice';
import { time } from '@which-way/words/time';

/** How mapping a simulated switch went: against the truth, what was hidden in it, and what it took beside the plans. */
export function OutcomePage() {
  const job = useJobState((state) => state.job);
  const hidden = job?.simulation;
  if (!hidden)
    return (
      <main className="mx-auto max-w-2xl p-8">
        <Notice look="plain" title="This is a real switch.">
          Only for a simulated one is it known what is behind it.{' '}
          <Link to="/practice" className="underline">
            Practise on one
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
      <h1 className="text-title font-bold">How it went</h1>
      <p className="mt-1 text-large">
        {map.complete && pairs.wrong === 0
          ? 'The map is complete, and it is the switch.'
          : pairs.wrong > 0
            ? `${pairs.wrong} of ${all} pairs are not as they are in the switch.`
            : 'Nothing on the map is wrong; it is not complete.'}{' '}
        {!map.complete && (
          <Link to="../map" relative="path" className="underline">
            Go on mapping
          </Link>
        )}
      </p>
      <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-6 gap-y-1">
        <dt>Right</dt>
        <dd className="font-mono font-bold">
          {pairs.right} of {all} pairs
        </dd>
        <dt>Wrong</dt>
        <dd className="font-mono font-bold">{pairs.wrong}</dd>
        <dt>Not known</dt>
        <dd className="font-mono font-bold">{pairs.unknown}</dd>
        <dt>Positions found</dt>
        <dd className="font-mono font-bold">
          {positions.found} of {positions.all}
        </dd>
      </dl>
      <h2 className="mt-6 text-large font-bold">What was hidden in it</h2>
      {faults.length === 0 ? (
        <p>Nothing: a good switch and a good meter.</p>
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
      <h2 className="mt-6 text-large font-bold">What it took</h2>
      <Took outcome={outcome} />
      <p className="mt-6">
        <Link to="/practice" className="underline">
          Another one
        </Link>
      </p>
    </main>
  );
}

/** Whether it was found: by the map, or for how it was put together by the diagnosis at Verify. */
function standingWords({ what, shown }: HiddenFault): string {
  if (what.kind === 'assembly')
    return shown === null
      ? 'Nothing to compare with: Verify says what it should do'
      : shown
        ? 'The diagnosis has it'
        : 'The diagnosis does not have it yet';
  return shown === null ? 'A map cannot show it' : shown ? 'You have it' : 'Missed';
}

const PLAN_WORDS: Record<Outcome['plans'][number]['name'], string> = {
  position: 'Position first, without a slip',
  time: 'By time',
  clips: 'By time, with clips',
  certify: 'Knowing the answer, to prove it',
};

function Took({ outcome: { took, plans } }: { outcome: Outcome }) {
  return (
    <table className="w-full max-w-xl text-left">
      <thead>
        <tr className="border-b-2 border-line text-quiet">
          <th className="py-1 font-semibold">Way</th>
          <th className="text-right font-semibold">Touches</th>
          <th className="text-right font-semibold">Time</th>
        </tr>
      </thead>
      <tbody>
        {[{ name: 'You', ...took }, ...plans.map((plan) => ({ ...plan, name: PLAN_WORDS[plan.name] }))].map(
          ({ name, touches, seconds }) => (
            <tr key={name} className="border-b border-line first:font-bold">
              <td className="py-1.5">{name}</td>
              <td className="text-right font-mono">{touches}</td>
              <td className="text-right font-mono">{time(seconds)}</td>
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
