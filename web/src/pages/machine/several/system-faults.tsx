import { complaintOf, isUnsteady, type LoadComplaint, type NextTest } from '@which-way/core/circuit';
import type { Deed, Log, LoadSeen } from '@which-way/core/log';
import {
  combinationsOf,
  settingOf,
  standingsAt,
  systemPointOf,
  type Combination,
  type System,
} from '@which-way/core/system';
import type { LoadId, SettingId } from '@which-way/core/switch';
import { SEEN_WORDS, supplyName } from '@which-way/words/machine/machine';
import {
  handleName,
  placeLabel,
  pointWords,
  standingName,
  standingsWords,
  systemFaultWords,
  wireWords,
  type SystemNames,
} from '@which-way/words/machine/system';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { PlainButton } from '../../../controls/plain-button.js';
import { ComplaintTaps } from '../../../parts/hunt/complaint-taps.js';
import { LoadsSeen } from '../../../parts/hunt/loads-seen.js';
import { NextStep, type HuntNames } from '../../../parts/hunt/next-step.js';
import { RankedFaults } from '../../../parts/hunt/ranked-faults.js';
import { useHunt, type Hunt } from './use-hunt.js';
import { SYSTEM_FAULTS_TEXT } from '@which-way/words/screens/pages/machine/several/system-faults';

/** The stories of its members are about their own machines. */
const NOTHING_TOLD: ReadonlySet<LoadComplaint> = new Set();
/** In more combinations than this no fault is put into the machine. */
const MOST_SIMULATED = 64;

interface SystemFaultsProps {
  log: Log;
  system: System;
  standing: Combination;
  names: SystemNames;
  emit: (deed: Deed) => void;
  /** Stands over what wants a dead machine, while it is not made safe. */
  caution: ReactNode;
}

/** What was seen of the loads, and which fault of which switch explains it. */
export function SystemFaults({ system, standing, ...more }: SystemFaultsProps) {
  // With every handle turned it does not matter how they stand now.
  const combinations = useMemo(
    () =>
      combinationsOf(
        system,
        system.handles.map(({ settings }) => settings[0] as SettingId),
      ),
    [system],
  );
  const few = combinations && combinations.length <= MOST_SIMULATED ? combinations : null;
  return (
    <section aria-label={SYSTEM_FAULTS_TEXT.whatWasSeen} className="grid min-w-0 content-start gap-3">
      <h2 className="text-large font-bold">{SYSTEM_FAULTS_TEXT.whichOfThemIsBad}</h2>
      {few ? (
        <Seen {...{ system, standing }} {...more} combinations={few} />
      ) : (
        <p className="text-quiet">
          {SYSTEM_FAULTS_TEXT.withMoreThan}
          {MOST_SIMULATED}
          {SYSTEM_FAULTS_TEXT.combinationsNoFaultIsLooked}
        </p>
      )}
    </section>
  );
}

interface HuntingProps extends SystemFaultsProps {
  combinations: readonly Combination[];
}

function Seen(props: HuntingProps) {
  const { log, system, standing, names, emit, combinations } = props;
  const hunt = useHunt(log, system, combinations);
  if ('unsaid' in hunt)
    return (
      <p className="text-quiet">
        {SYSTEM_FAULTS_TEXT.itCanBeSaidOnce} {hunt.unsaid.map((one) => handleName(one, names.job)).join(', ')}
        .
      </p>
    );
  const { model, seen, ranked, next, busy } = hunt;
  const { loads } = system.machine;
  const here = settingOf(system, standing);
  const sayAt = (combination: Combination, load: LoadId, what: LoadSeen['seen']) =>
    emit({ kind: 'system-looked', seen: [{ at: standingsAt(system, combination), load, seen: what }] });
  const saidBy = (load: LoadId, complaint: LoadComplaint) =>
    complaintOf(model.healthy, model.settings, load, complaint);
  const isSaid = (load: LoadId, complaint: LoadComplaint) => {
    const says = saidBy(load, complaint);
    const isSeen = (one: (typeof says)[number]) =>
      seen.some((look) => look.setting === one.setting && look.load === load && look.seen === one.seen);
    return says.length > 0 && says.every(isSeen);
  };
  const sayComplaint = (load: LoadId, complaint: LoadComplaint, said: boolean) => {
    const list = saidBy(load, complaint).flatMap(({ setting, seen: what }) => {
      const at = combinations.find((one) => settingOf(system, one) === setting);
      return at ? [{ at: standingsAt(system, at), load, seen: said ? what : null }] : [];
    });
    if (list.length > 0) emit({ kind: 'system-looked', seen: list.slice(0, 500) });
  };
  const open = combinations.flatMap((one) => {
    const setting = settingOf(system, one);
    return loads
      .filter(({ id }) => !seen.some((look) => look.setting === setting && look.load === id))
      .map(({ id }) => ({ at: standingsAt(system, one), load: id, seen: 'right' as const }));
  });
  return (
    <>
      <ComplaintTaps machine={model.machine} told={NOTHING_TOLD} isSaid={isSaid} onSay={sayComplaint} />
      <div role="group" aria-label={SYSTEM_FAULTS_TEXT.whatItDidSo} className="grid gap-2">
        <p>
          {SYSTEM_FAULTS_TEXT.turnTheHandlesAboveTo}{' '}
          <strong>{standingsWords(system.handles, standing, names.job)}</strong>
          {SYSTEM_FAULTS_TEXT.whatDidItDo}
        </p>
        <LoadsSeen
          machine={system.machine}
          loads={loads.map(({ id }) => id)}
          said={(load) => seen.find((one) => one.setting === here && one.load === load)?.seen ?? null}
          onSay={(load, what) => sayAt(standing, load, what)}
        />
      </div>
      <SeenList {...props} seen={seen} onTakeBack={(at, load) => sayAt(at, load, null)} />
      {seen.length > 0 && open.length > 0 && (
        <PlainButton
          className="justify-self-start"
          onClick={() => emit({ kind: 'system-looked', seen: open.slice(0, 500) })}
        >
          {SYSTEM_FAULTS_TEXT.allElseWorked}
        </PlainButton>
      )}
      <div aria-busy={busy} className="grid min-w-0 gap-3">
        {ranked.length > 0 && (
          <RankedFaults
            ranked={ranked}
            words={(fault) =>
              systemFaultWords(fault, names, system.machine.owner ?? [], isUnsteady({ seen }))
            }
            seen={hunt.looks}
            notTheSwitch={SYSTEM_FAULTS_TEXT.thenItIsNoneOf}
          />
        )}
        {next && <NextOfSystem {...props} next={next} onSay={sayAt} />}
      </div>
    </>
  );
}

interface SeenListProps extends HuntingProps {
  seen: Extract<Hunt, { seen: unknown }>['seen'];
  onTakeBack: (combination: Combination, load: LoadId) => void;
}

/** What was seen, each to be taken back. */
function SeenList({ system, names, combinations, seen, onTakeBack }: SeenListProps) {
  if (seen.length === 0) return null;
  return (
    <ul aria-label={SYSTEM_FAULTS_TEXT.seen} className="max-h-64 overflow-auto">
      {seen.map(({ setting, load, seen: what }) => {
        const combination = combinations.find((one) => settingOf(system, one) === setting);
        if (!combination) return null;
        const where = standingsWords(system.handles, combination, names.job);
        const name = system.machine.loads.find(({ id }) => id === load)?.name ?? '';
        return (
          <li key={`${setting} ${load}`} className="flex items-center gap-2 border-b border-line">
            <span className="grow">
              {where}: {name} {SEEN_WORDS[what]}
            </span>
            <PlainButton
              look="quiet"
              className="shrink-0 whitespace-nowrap"
              aria-label={SYSTEM_FAULTS_TEXT.notSo(where, name)}
              onClick={() => onTakeBack(combination, load)}
            >
              {SYSTEM_FAULTS_TEXT.notSo2}
            </PlainButton>
          </li>
        );
      })}
    </ul>
  );
}

interface NextOfSystemProps extends HuntingProps {
  next: NextTest;
  onSay: (combination: Combination, load: LoadId, seen: NonNullable<LoadSeen['seen']>) => void;
}

/** What tells most in the least time, with whose lugs are meant. */
function NextOfSystem({ system, names, combinations, emit, next, onSay, caution }: NextOfSystemProps) {
  const { machine, handles } = system;
  const owner = machine.owner ?? [];
  const ownerOf = (place: number) => handles[owner[place] ?? 0];
  const at = (setting: SettingId) => combinations.find((one) => settingOf(system, one) === setting);
  const handle = 'contact' in next ? ownerOf(next.contact[0]) : undefined;
  const job = handle?.of === 'switch' ? `/jobs/${handle.job}` : null;
  const supply =
    next.kind === 'supply' ? systemPointOf(system, machine.supplyNode.get(next.supply) ?? -1) : null;
  const supplyJob = supply && 'job' in supply ? supply.job : null;
  const words: HuntNames = {
    at: (setting) => {
      const combination = at(setting);
      if (!combination) return '?';
      // A reading of one switch is the same however the others stand.
      return handle
        ? standingName(handle, combination[handles.indexOf(handle)] as SettingId)
        : standingsWords(handles, combination, names.job);
    },
    contact: (_, contact) =>
      `${contact.map((place) => placeLabel(place, names, owner)).join('–')} of ${handle ? handleName(handle, names.job) : '?'}`,
    place: (node) => {
      const point = systemPointOf(system, node);
      return point ? pointWords(point, names) : '?';
    },
    part: (part) => machine.loads.find(({ id }) => id === part)?.name ?? wireWords(part, names),
    supply: (supply) => machine.supplies.filter(({ id }) => id === supply).map(supplyName)[0] ?? '?',
  };
  return (
    <NextStep
      {...{ machine, next, caution }}
      names={words}
      onLook={(setting, load, seen) => {
        const combination = at(setting);
        if (combination) onSay(combination, load, seen);
      }}
      onProbe={(setting, between, conducts) => {
        const combination = at(setting);
        const [a, b] = between.map((node) => systemPointOf(system, node));
        if (combination && a && b)
          emit({ kind: 'system-probed', at: standingsAt(system, combination), between: [a, b], conducts });
      }}
      onPart={(part, whole) => emit({ kind: 'system-part-tried', part, whole })}
      toMap={job && <Way to={`${job}/map`}>{SYSTEM_FAULTS_TEXT.readItOnItsMap}</Way>}
      toRepeat={job && <Way to={`${job}/verify`}>{SYSTEM_FAULTS_TEXT.workItAtItsVerify}</Way>}
      toPath={supplyJob && <Way to={`/jobs/${supplyJob}/tag/path`}>{SYSTEM_FAULTS_TEXT.isItTheSwitch}</Way>}
    />
  );
}

const Way = ({ to, children }: { to: string; children: string }) => (
  <Link to={to} className="inline-flex min-h-11 items-center underline">
    {children}
  </Link>
);
