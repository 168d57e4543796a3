import { ACTS_OF, devicesOf } from '@which-way/core/log';
import { isUnread, type FactsOf, type System } from '@which-way/core/system';
import { NOT_KNOWN } from '@which-way/core/circuit';
import { TITLE_LETTERS } from '@which-way/core/schema';
import {
  behaviourWords,
  doesWords,
  handleKey,
  handleName,
  shortTitles,
  standingsWords,
  systemHazardWords,
  type JobNames,
  type SystemNames,
} from '@which-way/words/machine/system';
import { useMemo, useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { CheckLine } from '../../../controls/fields/check-line.js';
import { Choice } from '../../../controls/fields/choice.js';
import { KeptField } from '../../../controls/fields/kept-field.js';
import { Notice } from '../../../controls/notice.js';
import { UndoButtons } from '../../../parts/frame/sub-nav.js';
import { AddToSystem } from './add-to-system.js';
import { CombinationTable } from './combination-table.js';
import { HandleCard } from './handle-card.js';
import { LooseEnds } from './loose-ends.js';
import { MembersToMakeSafe } from './members-to-make-safe.js';
import { SystemFaults } from './system-faults.js';
import { useMembers, type Member } from './use-members.js';
import { useWiringLog } from './use-wiring-log.js';
import { useSystem, type SystemView } from './use-system.js';
import { SYSTEM_PAGE_TEXT } from '@which-way/words/screens/pages/machine/several/system-page';

/** Several switches in one machine: what runs in which combination, what can hurt, and which of them is bad. */
export function SystemPage() {
  const log = useJobState((state) => state.map.log);
  const wiring = useWiringLog(log);
  const { members, others } = useMembers(wiring);
  const [facts, setFacts] = useState<FactsOf>('as-mapped');
  const [still, setStill] = useState<ReadonlySet<number>>(new Set());
  const view = useSystem(wiring, members, facts, still);
  const { system, standing, turn } = view;
  const job = useMemo((): JobNames => {
    const short = shortTitles(members.map(({ name }) => name));
    return (id) => short[members.findIndex((one) => one.job === id)] ?? 'A switch';
  }, [members]);
  const names = useMemo(
    (): SystemNames => ({
      job,
      handles: system.handles,
      loads: system.machine.loads,
      supplies: system.machine.supplies,
    }),
    [job, system],
  );
  const empty = members.length + devicesOf(log).length === 0;
  // What is still to be said comes before what follows from it.
  const isOpen = members.length < 2 || system.loose.length > 0;
  const setUp = (
    <>
      <AddToSystem others={others} />
      <LooseEnds log={log} system={system} names={names} />
      <Named />
    </>
  );
  return (
    <main className="grid w-full grow content-start gap-5 px-4 py-3 sm:px-6">
      <div className="flex items-start justify-between gap-3">
        <h1 className="text-title font-bold first-letter:uppercase" aria-live="polite">
          {empty ? SYSTEM_PAGE_TEXT.whichSwitchesWorkTogether : <Headline view={view} names={names} />}
        </h1>
        <div className="no-print flex shrink-0 gap-1">
          <UndoButtons acts={ACTS_OF.system} />
        </div>
      </div>
      {empty && <p className="max-w-3xl text-quiet">{SYSTEM_PAGE_TEXT.twoOnTheStairsA}</p>}
      <ul
        aria-label={SYSTEM_PAGE_TEXT.switchesAndDevices}
        className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3"
      >
        {system.handles.map((handle, at) => (
          <Handle
            key={handleKey(handle)}
            {...{ handle, at, names }}
            setting={standing[at]}
            {...{ members, turn }}
          />
        ))}
      </ul>
      {isOpen && setUp}
      {system.machine.loads.length > 0 ? (
        <Does {...{ view, names, members, facts, still }} onFacts={setFacts} onStill={setStill} />
      ) : (
        !empty && (
          <Notice look="plain" title={SYSTEM_PAGE_TEXT.itIsNotKnownYet}>
            {SYSTEM_PAGE_TEXT.sayInEachJobAt}
          </Notice>
        )
      )}
      {!isOpen && setUp}
    </main>
  );
}

/** How they stand, and what that does. */
function Headline({ view: { system, standing, now }, names }: { view: SystemView; names: SystemNames }) {
  const { loads } = system.machine;
  const at = standingsWords(system.handles, standing, names.job);
  if (loads.length === 0) return at;
  const does = doesWords(loads, ({ id }) => now.loads.get(id)?.does ?? NOT_KNOWN.does);
  return `${at}: ${does}`;
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
  handle: System['handles'][number];
  at: number;
  names: SystemNames;
  setting: SystemView['standing'][number] | undefined;
  members: readonly Member[];
  turn: SystemView['turn'];
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
          handle.of === 'switch'
            ? { kind: 'system-member', job: handle.job, belongs: false }
            : { kind: 'system-device', device: { ...handle.device, removed: true } },
        )
      }
    />
  );
}

interface DoesProps {
  view: SystemView;
  names: SystemNames;
  members: readonly Member[];
  facts: FactsOf;
  onFacts: (facts: FactsOf) => void;
  still: ReadonlySet<number>;
  onStill: (still: ReadonlySet<number>) => void;
}

const FACTS: readonly { value: FactsOf; text: string }[] = [
  { value: 'as-mapped', text: 'as mapped' },
  { value: 'as-should', text: 'as they should be' },
];

/** What it all does: when each load runs in words, what can hurt, every combination, and which fault explains what was seen. */
function Does({ view, names, members, facts, onFacts, still, onStill }: DoesProps) {
  const { system, standing, all, turn } = view;
  const { loads } = system.machine;
  const session = useSession();
  const log = useJobState((state) => state.map.log);
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-2">
      <section aria-label={SYSTEM_PAGE_TEXT.whatRunsWhen} className="grid min-w-0 content-start gap-3">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <h2 className="text-large font-bold">{SYSTEM_PAGE_TEXT.whatRunsWhen}</h2>
          <Choice<FactsOf>
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
                  {behaviour && behaviourWords(load, behaviour, system.handles, names.job)}
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
            {system.handles.map((handle, at) => (
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
        {all && <SystemHazards view={view} names={names} />}
        {all && (
          <CombinationTable
            {...{ loads, standing }}
            {...{ handles: system.handles, names: names.job }}
            {...{ combinations: all.combinations, results: all.results }}
            onStand={(combination) => combination.forEach((setting, at) => turn(at, setting))}
          />
        )}
      </section>
      <SystemFaults
        {...{ log, system, standing, names }}
        emit={(deed) => session.emit(deed)}
        caution={<MembersToMakeSafe members={members} />}
      />
    </div>
  );
}

function SystemHazards({ view: { system, all }, names }: { view: SystemView; names: SystemNames }) {
  if (!all) return null;
  const isSure = ({ hazard }: (typeof all.hazards)[number]) => !('certain' in hazard) || hazard.certain;
  const sure = all.hazards.filter(isSure);
  const unsure = all.hazards.filter((one) => !isSure(one));
  const lines = (list: typeof all.hazards) => (
    <ul className="list-disc pl-5">
      {list.map((one) => {
        const words = systemHazardWords(one, names);
        return <li key={words}>{words}</li>;
      })}
    </ul>
  );
  const partly =
    system.loose.length > 0 ||
    system.handles.some(isUnread) ||
    all.results.some(({ loads }) => [...loads.values()].some(({ does }) => does === 'not-known'));
  return (
    <>
      {sure.length > 0 && (
        <Notice
          look="brick"
          title={
            sure.length === 1 ? SYSTEM_PAGE_TEXT.oneThingCanHurt : SYSTEM_PAGE_TEXT.thingsCanHurt(sure.length)
          }
        >
          {lines(sure)}
        </Notice>
      )}
      {(unsure.length > 0 || partly) && (
        <Notice look="amber" title={SYSTEM_PAGE_TEXT.notKnownToBeSafe}>
          {unsure.length > 0 && lines(unsure)}
          {partly && <p>{SYSTEM_PAGE_TEXT.notAllOfItIs}</p>}
        </Notice>
      )}
      {sure.length + unsure.length === 0 && !partly && (
        <p className="text-quiet">{SYSTEM_PAGE_TEXT.noShortAndNothingLive}</p>
      )}
    </>
  );
}
