import { ACTS_OF, devicesOf, recordsOf, type Log, type NamedSource } from '@which-way/core/log';
import type { JobId } from '@which-way/core/switch';
import { AS_MAPPED, AS_SHOULD, machineOf } from '@which-way/core/machine';
import { TITLE_LETTERS } from '@which-way/core/schema';
import { behaviourWords } from '@which-way/words/machine/behaviour';
import {
  handleKey,
  handleName,
  shortTitles,
  standingsWords,
  type JobNames,
} from '@which-way/words/machine/handles';
import type { MachineNames } from '@which-way/words/machine/places';
import { machineSentence } from '@which-way/words/machine/sentence';
import { FAULTS_TEXT } from '@which-way/words/screens/pages/machine/faults';
import { Link } from 'react-router';
import { useMemo, useState } from 'react';
import { useJobState, useSession } from '../../job/job-context.js';
import { CheckLine } from '../../controls/fields/check-line.js';
import { Choice } from '../../controls/fields/choice.js';
import { KeptField } from '../../controls/fields/kept-field.js';
import { Notice } from '../../controls/notice.js';
import { UndoButtons } from '../../parts/frame/sub-nav.js';
import { SourcesAsked } from '../../parts/sources/sources-asked.js';
import { AddToSystem } from './add-to-system.js';
import { Faults, type WaysOut } from './faults.js';
import { Hazards } from './hazards.js';
import { Interlocks } from './interlocks.js';
import { LoadsTable } from './loads-table.js';
import { HandleCard } from './handle-card.js';
import { LooseEnds } from './loose-ends.js';
import { MembersToMakeSafe } from './members-to-make-safe.js';
import { useMembers, type Member } from './use-members.js';
import { useWiringLog } from './use-wiring-log.js';
import { useView, type MachineView } from './use-view.js';
import { SYSTEM_PAGE_TEXT } from '@which-way/words/screens/pages/machine/system-page';
import { FittedMain } from '../../controls/frame/fitted-main.js';

/** Several switches in one machine: what runs in which combination, what can hurt, and which of them is bad. */
export function SystemPage() {
  const log = useJobState((state) => state.map.log);
  const wiring = useWiringLog(log);
  const { members, others } = useMembers(wiring);
  const [facts, setFacts] = useState<Facts>('as-mapped');
  const [still, setStill] = useState<ReadonlySet<number>>(new Set());
  const machine = useMemo(
    () => machineOf(wiring, new Map(members.map(({ job, map }) => [job, map]))),
    [wiring, members],
  );
  const view = useView(machine, IN_PLACE[facts], still);
  const { standing, turn } = view;
  const job = useMemo((): JobNames => {
    const short = shortTitles(members.map(({ name }) => name));
    return (id) => short[members.findIndex((one) => one.job === id)] ?? 'A switch';
  }, [members]);
  const names = useMemo((): MachineNames => ({ job, machine }), [job, machine]);
  const empty = members.length + devicesOf(log).length === 0;
  // What is still to be said comes before what follows from it.
  const isOpen = members.length < 2 || machine.loose.length > 0;
  const setUp = (
    <>
      <AddToSystem others={others} />
      <LooseEnds log={log} names={names} />
      <Named />
    </>
  );
  return (
    <FittedMain shape="stacked">
      <div className="flex shrink-0 items-start justify-between gap-3 px-4 py-3 sm:px-6">
        <h1 className="text-title font-bold first-letter:uppercase" aria-live="polite">
          {empty ? SYSTEM_PAGE_TEXT.whichSwitchesWorkTogether : <Headline view={view} names={names} />}
        </h1>
        <div className="no-print flex shrink-0 gap-1">
          <UndoButtons acts={ACTS_OF.system} />
        </div>
      </div>
      <div className="grid grow content-start gap-5 px-4 pb-3 sm:px-6 lg:basis-0 lg:overflow-y-auto">
        {empty && <p className="max-w-3xl text-quiet">{SYSTEM_PAGE_TEXT.twoOnTheStairsA}</p>}
        <ul
          aria-label={SYSTEM_PAGE_TEXT.switchesAndDevices}
          className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3"
        >
          {machine.handles.map((handle, at) => (
            <Handle
              key={handleKey(handle)}
              {...{ handle, at, names }}
              setting={standing[at]}
              {...{ members, turn }}
            />
          ))}
        </ul>
        {isOpen && setUp}
        {machine.circuit.loads.length > 0 ? (
          <Does {...{ view, names, members, facts, still }} onFacts={setFacts} onStill={setStill} />
        ) : (
          !empty && (
            <Notice look="plain" title={SYSTEM_PAGE_TEXT.itIsNotKnownYet}>
              {SYSTEM_PAGE_TEXT.sayInEachJobAt}
            </Notice>
          )
        )}
        {!isOpen && setUp}
      </div>
    </FittedMain>
  );
}

/** How they stand, and what that does. */
function Headline({ view: { machine, standing, now }, names }: { view: MachineView; names: MachineNames }) {
  return machine.circuit.loads.length === 0
    ? standingsWords(machine.handles, standing, names.job)
    : machineSentence(now, standing, names);
}

/** What the machine is called. */
function Named() {
  const session = useSession();
  const title = useJobState((state) => state.job?.title ?? '');
  return (
    <div className="max-w-xl">
      <KeptField
        label={SYSTEM_PAGE_TEXT.whatTheMachineIsCalled}
        text={title}
        maxLength={TITLE_LETTERS}
        onKeep={(text) => {
          if (text.trim() !== '') void session.changeJob({ title: text.trim() });
        }}
      />
    </div>
  );
}

interface HandleProps {
  handle: MachineView['machine']['handles'][number];
  at: number;
  names: MachineNames;
  setting: MachineView['standing'][number] | undefined;
  members: readonly Member[];
  turn: MachineView['turn'];
}

function Handle({ handle, at, names, setting, members, turn }: HandleProps) {
  const session = useSession();
  if (!setting) return null;
  const why = handle.of === 'switch' ? (members.find(({ job }) => job === handle.job)?.why ?? null) : null;
  return (
    <HandleCard
      {...{ handle, setting, why }}
      name={handleName(handle, names.job)}
      onTurn={(to) => turn(at, to)}
      onTakeAway={() =>
        session.emit(
          handle.of === 'device'
            ? { kind: 'system-device', device: { ...handle.device, removed: true } }
            : { kind: 'system-member', job: handle.job as JobId, belongs: false },
        )
      }
    />
  );
}

interface DoesProps {
  view: MachineView;
  names: MachineNames;
  members: readonly Member[];
  facts: Facts;
  onFacts: (facts: Facts) => void;
  still: ReadonlySet<number>;
  onStill: (still: ReadonlySet<number>) => void;
}

/** Which facts of the switches stand in the machine. */
type Facts = 'as-mapped' | 'as-should';

const IN_PLACE = { 'as-mapped': AS_MAPPED, 'as-should': AS_SHOULD };

const FACTS: readonly { value: Facts; text: string }[] = [
  { value: 'as-mapped', text: 'as mapped' },
  { value: 'as-should', text: 'as they should be' },
];

/** What it all does: when each load runs in words, what can hurt, every combination, and which fault explains what was seen. */
function Does({ view, names, members, facts, onFacts, still, onStill }: DoesProps) {
  const { machine, standing, all, turn } = view;
  const { loads } = machine.circuit;
  const session = useSession();
  const log = useJobState((state) => state.map.log);
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-2">
      <section aria-label={SYSTEM_PAGE_TEXT.whatRunsWhen} className="grid min-w-0 content-start gap-3">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <h2 className="text-large font-bold">{SYSTEM_PAGE_TEXT.whatRunsWhen}</h2>
          <Choice<Facts>
            label={SYSTEM_PAGE_TEXT.whichFacts}
            value={facts}
            options={FACTS}
            onChoose={onFacts}
          />
        </div>
        {all ? (
          <ul className="grid gap-1">
            {loads.map((load) => {
              const behaviour = all.behaviours.get(load.id);
              return (
                <li key={load.id}>
                  {behaviour && behaviourWords(load, behaviour, machine.handles, names.job)}
                </li>
              );
            })}
          </ul>
        ) : (
          <Notice look="plain" title={SYSTEM_PAGE_TEXT.soManyCombinationsChooseWhich}>
            {SYSTEM_PAGE_TEXT.moreThanAreNotWorked}
          </Notice>
        )}
        {(!all || still.size > 0) && (
          <fieldset>
            <legend className="font-semibold">{SYSTEM_PAGE_TEXT.turnedInTheTable}</legend>
            {machine.handles.map((handle, at) => (
              <CheckLine
                key={handleKey(handle)}
                checked={!still.has(at)}
                onChange={(turned) => {
                  const next = new Set(still);
                  if (turned) next.delete(at);
                  else next.add(at);
                  onStill(next);
                }}
              >
                {handleName(handle, names.job)}
              </CheckLine>
            ))}
          </fieldset>
        )}
        <Hazards {...{ view, names }} />
        <Interlocks {...{ view, names }} />
        <SourcesAsked
          supplies={machine.circuit.supplies}
          named={namedIn(log, members)}
          emit={(deed) => session.emit(deed)}
        />
        {all && (
          <LoadsTable
            {...{ names, all, standing }}
            onStand={(combination) => combination.forEach((setting, at) => turn(at, setting))}
          />
        )}
      </section>
      <Faults
        {...{ log, standing, names }}
        emit={(deed) => session.emit(deed)}
        ways={waysOut(members)}
        told={NOTHING_TOLD}
      />
    </div>
  );
}

/** Sources that the machine's own log names, and those of its switches. */
const namedIn = (log: Log, members: readonly Member[]): NamedSource[] =>
  [log, ...members.flatMap(({ map }) => map?.log ?? [])].flatMap((one) => recordsOf(one, 'source-named'));

/** The stories of its members are about their own machines. */
const NOTHING_TOLD: ReadonlySet<never> = new Set();

/** From a question to where it is answered: in the job of the switch that it is about. */
const waysOut = (members: readonly Member[]): WaysOut => ({
  toMap: (job) => job && <Way to={`/jobs/${job}/map`}>{FAULTS_TEXT.readItOnItsMap}</Way>,
  toVerify: (job) => job && <Way to={`/jobs/${job}/verify`}>{FAULTS_TEXT.workItAtItsVerify}</Way>,
  toPath: (job) => job && <Way to={`/jobs/${job}/tag/path`}>{FAULTS_TEXT.isItTheSwitch}</Way>,
  whatItShouldDo: FAULTS_TEXT.whatEachSwitchShouldDo,
  caution: <MembersToMakeSafe members={members} />,
});

const Way = ({ to, children }: { to: string; children: string }) => (
  <Link to={to} className="inline-flex min-h-11 items-center underline">
    {children}
  </Link>
);
