import {
  combinationsOf,
  complaintOf,
  isUnsteady,
  passedByMeter,
  settingOf,
  standingsAt,
  type Combination,
  type LoadComplaint,
  type NextTest,
} from '@which-way/core/machine';
import type { Deed, Log, LoadLooked } from '@which-way/core/log';
import type { JobId, LoadId, SettingId, TerminalId } from '@which-way/core/switch';
import { handleName } from '@which-way/words/machine/handles';
import { machineFaultWords, PASSED_WORDS } from '@which-way/words/machine/faults';
import type { MachineNames } from '@which-way/words/machine/places';
import { FAULTS_TEXT } from '@which-way/words/screens/pages/machine/faults';
import { useMemo, type ReactNode } from 'react';
import { PlainButton } from '../../controls/plain-button.js';
import { ComplaintTaps } from '../../parts/hunt/complaint-taps.js';
import { RankedFaults } from '../../parts/hunt/ranked-faults.js';
import { AskedNext } from './asked-next.js';
import { Looks } from './looks.js';
import { useHunt } from './use-hunt.js';

/** In more combinations than this no fault is put into the machine. */
const MOST_SIMULATED = 64;
/** So many looks are said at once; more want a second tap. */
const MOST_SAID = 500;

/** The ways from a question to where it is answered, by the job of the switch; null: the job of this very log. */
export interface WaysOut {
  toMap: (job: JobId | null, setting: SettingId, ends: readonly TerminalId[]) => ReactNode;
  toVerify: (job: JobId | null) => ReactNode;
  toPath: (job: JobId | null) => ReactNode;
  /** Where what a switch should do is said. */
  whatItShouldDo: ReactNode;
  /** Stands over what wants a dead machine, while it is not made safe. */
  caution: ReactNode;
}

export interface FaultsProps {
  log: Log;
  names: MachineNames;
  standing: Combination;
  emit: (deed: Deed) => void;
  ways: WaysOut;
  /** Complaints that the customer's story has already. */
  told: ReadonlySet<LoadComplaint>;
}

/** Which fault explains what was seen: tap what was wrong, and be asked for the look or reading that tells most. */
export function Faults(props: FaultsProps) {
  const { machine } = props.names;
  // With every handle turned it does not matter how they stand now.
  const combinations = useMemo(() => combinationsOf(machine), [machine]);
  const few = combinations && combinations.length <= MOST_SIMULATED ? combinations : null;
  return (
    <section
      aria-label={FAULTS_TEXT.whatWasSeen}
      className="grid min-w-0 content-start gap-3 border-t-2 border-line pt-2"
    >
      <h2 className="text-large font-bold">
        {machine.handles.length > 1 ? FAULTS_TEXT.whichOfThemIsBad : FAULTS_TEXT.whatWasSeenOfIt}
      </h2>
      {few ? (
        <Hunted {...props} combinations={few} />
      ) : (
        <p className="text-quiet">{FAULTS_TEXT.tooManyCombinations(MOST_SIMULATED)}</p>
      )}
    </section>
  );
}

export interface HuntedProps extends FaultsProps {
  combinations: readonly Combination[];
}

/** What is said of a load in a standing. */
export type SayLook = (at: Combination, load: LoadId, seen: LoadLooked['seen']) => void;

function Hunted(props: HuntedProps) {
  const { log, names, emit, combinations, told, ways } = props;
  const { machine } = names;
  const hunt = useHunt(log, machine, combinations);
  if ('unsaid' in hunt)
    return (
      <p className="text-quiet">
        {FAULTS_TEXT.itCanBeSaidOnce} {ways.whatItShouldDo}
        {machine.handles.length > 1 &&
          ` ${FAULTS_TEXT.notSaidInFull(hunt.unsaid.map((one) => handleName(one, names.job)).join(', '))}`}
      </p>
    );
  const { model, evidence, ranked, next, busy } = hunt;
  const { seen } = evidence;
  const { loads } = machine.circuit;
  const combinationAt = (setting: SettingId) =>
    combinations.find((one) => settingOf(machine, one) === setting);
  const sayAll = (list: LoadLooked[]) => {
    if (list.length > 0) emit({ kind: 'machine-looked', seen: list.slice(0, MOST_SAID) });
  };
  const look = (at: Combination, load: LoadId, what: LoadLooked['seen']): LoadLooked => ({
    at: standingsAt(machine, at),
    load,
    seen: what,
  });
  const say: SayLook = (...of) => sayAll([look(...of)]);
  const saidBy = (load: LoadId, complaint: LoadComplaint) =>
    complaintOf(model.healthy, model.settings, load, complaint);
  const seenAt = (setting: SettingId, load: LoadId) =>
    seen.find((one) => one.setting === setting && one.load === load)?.seen ?? null;
  const open = combinations.flatMap((one) =>
    loads
      .filter(({ id }) => seenAt(settingOf(machine, one), id) === null)
      .map(({ id }) => look(one, id, 'right')),
  );
  return (
    <>
      <ComplaintTaps
        loads={loads}
        told={told}
        isSaid={(load, complaint) => {
          const says = saidBy(load, complaint);
          return says.length > 0 && says.every((one) => seenAt(one.setting, load) === one.seen);
        }}
        onSay={(load, complaint, said) =>
          sayAll(
            saidBy(load, complaint).flatMap(({ setting, seen: what }) => {
              const at = combinationAt(setting);
              return at ? [look(at, load, said ? what : null)] : [];
            }),
          )
        }
      />
      <Looks {...props} seen={seen} seenAt={seenAt} say={say} />
      {seen.length > 0 && open.length > 0 && (
        <PlainButton className="justify-self-start" onClick={() => sayAll(open)}>
          {FAULTS_TEXT.allElseWorked}
        </PlainButton>
      )}
      <div aria-busy={busy} className="grid min-w-0 gap-3">
        {ranked.length > 0 && (
          <RankedFaults
            ranked={ranked}
            words={(fault) => machineFaultWords(fault, names, isUnsteady({ seen }))}
            note={(fault) => {
              const passed = passedByMeter(evidence, fault);
              return passed && PASSED_WORDS[passed];
            }}
            seen={hunt.looks}
            notTheSwitch={
              machine.handles.length > 1 ? FAULTS_TEXT.thenItIsNoneOf : FAULTS_TEXT.thenItIsNotThe
            }
          />
        )}
        {next && <AskedNext {...props} next={next satisfies NextTest} say={say} />}
      </div>
    </>
  );
}
