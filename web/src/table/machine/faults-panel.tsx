import {
  faultModel,
  healthyOf,
  nextTest,
  rankFaults,
  wiredTerminals,
  type ContactRead,
  type Evidence,
  type Fault,
  type FaultModel,
  type Healthy,
  type Machine,
  type NextTest,
  type RankedFault,
} from '@which-way/core/circuit';
import { factAt, type SwitchMap } from '@which-way/core/continuity';
import { LOAD_SEEN, loadsSeenOf, partsTriedOf, wiresOf, type LoadSeen } from '@which-way/core/log';
import type { LoadId, SettingId } from '@which-way/core/switch';
import { faultWords, SEEN_WORDS } from '@which-way/words/machine';
import { settingName } from '@which-way/words/terminals';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useSession } from '../../job/job-context.js';
import { Pick } from '../../shared/controls/pick.js';
import { PlainButton } from '../../shared/controls/plain-button.js';
import { LookNext, NEXT_BOX, RankedFaults, TryPart } from './what-explains-it.js';

/** What the map has of the wired terminals already: nothing is asked twice. Only what was read, not what follows from it. */
function readingsOf(map: SwitchMap, machine: Machine, healthy: readonly Healthy[]): ContactRead[] {
  const wired = wiredTerminals(machine);
  return healthy.flatMap(({ setting }) => {
    const settled = map.settings.get(setting)?.settled;
    if (!settled) return [];
    return wired.flatMap((a, at) =>
      wired.slice(at + 1).flatMap((b): ContactRead[] => {
        const { state, joined } = factAt(settled, a, b);
        return state === 'measured' ? [{ setting, contact: [a, b], joins: joined === true }] : [];
      }),
    );
  });
}

/** Which fault explains what was seen: tap what was wrong, and be asked for the look that tells most. */
export function FaultsPanel({ map, machine }: { map: SwitchMap; machine: Machine }) {
  const session = useSession();
  const healthy = useMemo(() => healthyOf(map), [map]);
  const seen = useMemo(() => loadsSeenOf(map.log), [map.log]);
  const readings = useMemo(() => (healthy ? readingsOf(map, machine, healthy) : []), [map, machine, healthy]);
  const model = useMemo(() => (healthy ? faultModel(machine, healthy) : null), [machine, healthy]);
  const tried = useMemo(() => partsTriedOf(map.log), [map.log]);
  const evidence = useMemo(() => ({ seen, read: readings, tried }), [seen, readings, tried]);
  const ranked = useMemo(
    () => (model && seen.length > 0 ? rankFaults(model, evidence) : []),
    [model, evidence, seen.length],
  );
  if (!healthy || !model)
    return (
      <p className="text-quiet">
        Which fault explains a complaint can be said once{' '}
        <Link to="../../verify" relative="path" className="underline">
          what the switch should do
        </Link>{' '}
        is said in full.
      </p>
    );
  const say = (list: LoadSeen[]) => session.emit({ kind: 'loads-seen', seen: list });
  const open = healthy.flatMap(({ setting }) =>
    machine.loads
      .filter(({ id }) => !seen.some((one) => one.setting === setting && one.load === id))
      .map(({ id }) => ({ setting, load: id })),
  );
  return (
    <section aria-label="What was seen" className="grid gap-2 border-t-2 border-line pt-2">
      <h2 className="text-large font-bold">What was seen of it</h2>
      <SeenTable map={map} machine={machine} seen={seen} onSay={(one) => say([one])} />
      {seen.length > 0 && open.length > 0 && (
        <PlainButton
          className="justify-self-start"
          onClick={() => say(open.map((one) => ({ ...one, seen: 'right' })))}
        >
          All else worked
        </PlainButton>
      )}
      {ranked.length > 0 && <Explained {...{ map, model, ranked, evidence }} onSay={say} />}
    </section>
  );
}

interface SeenTableProps {
  map: SwitchMap;
  machine: Machine;
  seen: readonly LoadSeen[];
  onSay: (one: LoadSeen) => void;
}

function SeenTable({ map, machine, seen, onSay }: SeenTableProps) {
  const settings = map.structure.settings.filter(({ need }) => need === 'required');
  const valueOf = (setting: SettingId, load: LoadId) =>
    seen.find((one) => one.setting === setting && one.load === load)?.seen ?? '';
  return (
    <div className="overflow-x-auto">
      <table aria-label="What the loads did" className="w-full">
        <tbody>
          {settings.map(({ id }) => (
            <tr key={id} className="border-b border-line">
              <th scope="row" className="pr-2 text-left font-mono">
                {settingName(map.structure, id)}
              </th>
              {machine.loads.map((load) => (
                <td key={load.id} className="p-1">
                  <Pick
                    quiet
                    label={`${load.name} at ${settingName(map.structure, id)}`}
                    value={valueOf(id, load.id)}
                    options={[
                      { value: '', text: `${load.name}: –` },
                      ...LOAD_SEEN.map((one) => ({ value: one, text: SEEN_WORDS[one] })),
                    ]}
                    onPick={(value) =>
                      onSay({
                        setting: id,
                        load: load.id,
                        seen: LOAD_SEEN.find((one) => one === value) ?? null,
                      })
                    }
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface ExplainedProps {
  map: SwitchMap;
  model: FaultModel;
  ranked: readonly RankedFault[];
  evidence: Evidence;
  onSay: (list: LoadSeen[]) => void;
}

/** The likeliest faults, what each explains, and what to look at next. */
function Explained({ map, model, ranked, evidence, onSay }: ExplainedProps) {
  const { machine } = model;
  const next = nextTest(model, ranked, evidence);
  const wires = wiresOf(map.log);
  const words = (fault: Fault) =>
    faultWords(fault, {
      label: (place) => map.structure.terminals[place]?.label ?? '?',
      tag: (id) => wires.find((wire) => wire.id === id)?.tag ?? '?',
      loads: machine.loads,
      supplies: machine.supplies,
    });
  return (
    <>
      <RankedFaults
        {...{ ranked, words }}
        seen={evidence.seen.length}
        notTheSwitch="Then it is not the switch."
      />
      {next && <NextStep {...{ map, machine, next }} onSay={onSay} />}
    </>
  );
}

interface NextStepProps {
  map: SwitchMap;
  machine: Machine;
  next: NextTest;
  onSay: (list: LoadSeen[]) => void;
}

/** What tells most in the least time: a look, answered here; a reading on the Map; a load or a wire tried by itself. */
function NextStep({ map, machine, next, onSay }: NextStepProps) {
  const session = useSession();
  if (next.kind === 'try') {
    const load = machine.loads.find(({ id }) => id === next.part);
    const tag = wiresOf(map.log).find(({ id }) => id === next.part)?.tag;
    return (
      <TryPart
        name={load ? load.name : `wire ${tag ?? '?'}`}
        seconds={next.seconds}
        onSay={(whole) => session.emit({ kind: 'part-tried', part: next.part, whole })}
      />
    );
  }
  const at = settingName(map.structure, next.setting);
  if (next.kind === 'read')
    return (
      <p className={NEXT_BOX}>
        <span>
          Next, about {next.seconds} s once it is safe: does{' '}
          <strong>{next.contact.map((place) => map.structure.terminals[place]?.label).join('–')}</strong> join
          at <strong>{at}</strong>?
        </span>
        <Link to="../../map" relative="path" className="inline-flex min-h-11 items-center underline">
          Read it on the Map
        </Link>
      </p>
    );
  return (
    <LookNext
      {...{ machine, at }}
      seconds={next.seconds}
      loads={next.loads}
      onSay={(load, seen) => onSay([{ setting: next.setting, load, seen }])}
    />
  );
}
