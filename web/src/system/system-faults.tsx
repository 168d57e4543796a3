import type { NextTest } from '@which-way/core/circuit';
import type { Deed, Log, LoadSeen } from '@which-way/core/log';
import {
  combinationsOf,
  settingOf,
  standingsAt,
  type Combination,
  type System,
} from '@which-way/core/system';
import type { LoadId, SettingId } from '@which-way/core/switch';
import { SEEN_WORDS } from '@which-way/words/machine';
import {
  handleName,
  placeLabel,
  standingName,
  standingsWords,
  systemFaultWords,
  wireWords,
  type SystemNames,
} from '@which-way/words/system';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { PlainButton } from '../shared/controls/plain-button.js';
import { LoadsSeen, LookNext, NEXT_BOX, RankedFaults, TryPart } from '../table/machine/what-explains-it.js';
import { useHunt, type Hunt } from './use-hunt.js';

/** In more combinations than this no fault is put into the machine. */
const MOST_SIMULATED = 64;

interface SystemFaultsProps {
  log: Log;
  system: System;
  standing: Combination;
  names: SystemNames;
  emit: (deed: Deed) => void;
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
    <section aria-label="What was seen" className="grid min-w-0 content-start gap-3">
      <h2 className="text-large font-bold">Which of them is bad?</h2>
      {few ? (
        <Seen {...{ system, standing }} {...more} combinations={few} />
      ) : (
        <p className="text-quiet">
          With more than {MOST_SIMULATED} combinations no fault is looked for in all of them together. Take
          away the switches that do not matter to the complaint, or ask in each job by itself.
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
        It can be said once each job says at Verify what its switch should do. Not said in full:{' '}
        {hunt.unsaid.map((one) => handleName(one, names.job)).join(', ')}.
      </p>
    );
  const { seen, ranked, next } = hunt;
  const { loads } = system.machine;
  const here = settingOf(system, standing);
  const sayAt = (combination: Combination, load: LoadId, what: LoadSeen['seen']) =>
    emit({ kind: 'system-looked', seen: [{ at: standingsAt(system, combination), load, seen: what }] });
  const open = combinations.flatMap((one) => {
    const setting = settingOf(system, one);
    return loads
      .filter(({ id }) => !seen.some((look) => look.setting === setting && look.load === id))
      .map(({ id }) => ({ at: standingsAt(system, one), load: id, seen: 'right' as const }));
  });
  return (
    <>
      <div role="group" aria-label="What it did so" className="grid gap-2">
        <p>
          Turn the handles above to where it was wrong.{' '}
          <strong>{standingsWords(system.handles, standing, names.job)}</strong>: what did it do?
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
          All else worked
        </PlainButton>
      )}
      {ranked.length > 0 && (
        <RankedFaults
          ranked={ranked}
          words={(fault) => systemFaultWords(fault, names, system.machine.owner ?? [])}
          seen={seen.length}
          notTheSwitch="Then it is none of the switches."
        />
      )}
      {next && <NextOfSystem {...props} next={next} onSay={sayAt} />}
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
    <ul aria-label="Seen" className="max-h-64 overflow-auto">
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
              aria-label={`Not so: ${where}, ${name}`}
              onClick={() => onTakeBack(combination, load)}
            >
              Not so
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
function NextOfSystem({ system, names, combinations, emit, next, onSay }: NextOfSystemProps) {
  const { machine, handles } = system;
  if (next.kind === 'try') {
    const load = machine.loads.find(({ id }) => id === next.part);
    return (
      <TryPart
        name={load ? load.name : wireWords(next.part, names)}
        seconds={next.seconds}
        onSay={(whole) => emit({ kind: 'system-part-tried', part: next.part, whole })}
      />
    );
  }
  const combination = combinations.find((one) => settingOf(system, one) === next.setting);
  if (!combination) return null;
  if (next.kind === 'look')
    return (
      <LookNext
        machine={machine}
        at={standingsWords(handles, combination, names.job)}
        seconds={next.seconds}
        loads={next.loads}
        onSay={(load, seen) => onSay(combination, load, seen)}
      />
    );
  const place = machine.owner?.[next.contact[0]] ?? 0;
  const handle = handles[place];
  if (!handle) return null;
  return (
    <p className={NEXT_BOX}>
      <span>
        Next, about {next.seconds} s once it is safe: does{' '}
        <strong>
          {next.contact.map((one) => placeLabel(one, names, machine.owner ?? [])).join('–')} of{' '}
          {handleName(handle, names.job)}
        </strong>{' '}
        join at <strong>{standingName(handle, combination[place] as SettingId)}</strong>?
      </span>
      {handle.of === 'switch' && (
        <Link to={`/jobs/${handle.job}/map`} className="inline-flex min-h-11 items-center underline">
          Read it on its Map
        </Link>
      )}
    </p>
  );
}
