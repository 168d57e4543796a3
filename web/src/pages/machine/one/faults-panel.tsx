import {
  complaintOf,
  isUnsteady,
  pointOfNode,
  type Fault,
  type LoadComplaint,
  type Machine,
} from '@which-way/core/circuit';
import type { SwitchMap } from '@which-way/core/continuity';
import { LOAD_SEEN, type LoadSeen, recordsOf } from '@which-way/core/log';
import type { LoadId, SettingId, TerminalId } from '@which-way/core/switch';
import { faultWords, machinePlace, SEEN_WORDS, supplyName } from '@which-way/words/machine/machine';
import { settingName } from '@which-way/words/terminals';
import { Link } from 'react-router';
import { ComplaintTaps } from '../../../parts/hunt/complaint-taps.js';
import { NextStep, type HuntAnswers, type HuntNames } from '../../../parts/hunt/next-step.js';
import { RankedFaults } from '../../../parts/hunt/ranked-faults.js';
import { toldComplaints } from '../../../parts/hunt/told-complaints.js';
import { useSession } from '../../../job/job-context.js';
import { useAskOnMap } from '../../../parts/asking/use-ask-on-map.js';
import { useSafety } from '../../../parts/safety/use-safety.js';
import { Notice } from '../../../controls/notice.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { useFaults, type Faults } from './use-faults.js';
import { FAULTS_PANEL_TEXT } from '@which-way/words/screens/pages/machine/one/faults-panel';

/** Which fault explains what was seen: tap what was wrong, and be asked for the look or reading that tells most. */
export function FaultsPanel({ map, machine }: { map: SwitchMap; machine: Machine }) {
  const session = useSession();
  const faults = useFaults(map, machine);
  if (!faults)
    return (
      <p className="text-quiet">
        {FAULTS_PANEL_TEXT.whichFaultExplainsAComplaint}{' '}
        <Link to="../../verify" relative="path" className="underline">
          {FAULTS_PANEL_TEXT.whatTheSwitchShouldDo}
        </Link>{' '}
        {FAULTS_PANEL_TEXT.isSaidInFull}
      </p>
    );
  const { model, evidence } = faults;
  const seen = evidence.seen;
  const seenAt = (setting: SettingId, load: LoadId) =>
    seen.find((one) => one.setting === setting && one.load === load)?.seen;
  const say = (list: LoadSeen[]) => session.emit({ kind: 'loads-seen', seen: list });
  const saidBy = (load: LoadId, complaint: LoadComplaint) =>
    complaintOf(model.healthy, model.settings, load, complaint);
  const open = model.settings.flatMap(({ setting }) =>
    machine.loads
      .filter(({ id }) => seenAt(setting, id) === undefined)
      .map(({ id }): LoadSeen => ({ setting, load: id, seen: 'right' })),
  );
  return (
    <section aria-label={FAULTS_PANEL_TEXT.whatWasSeen} className="grid gap-2 border-t-2 border-line pt-2">
      <h2 className="text-large font-bold">{FAULTS_PANEL_TEXT.whatWasSeenOfIt}</h2>
      <ComplaintTaps
        machine={machine}
        told={toldComplaints(recordsOf(map.log, 'symptoms-said') ?? [])}
        isSaid={(load, complaint) => {
          const says = saidBy(load, complaint);
          return says.length > 0 && says.every((one) => seenAt(one.setting, load) === one.seen);
        }}
        onSay={(load, complaint, said) => {
          const says = saidBy(load, complaint);
          if (says.length > 0) say(said ? says : says.map((one) => ({ ...one, seen: null })));
        }}
      />
      <SeenTable map={map} machine={machine} seenAt={seenAt} onSay={(one) => say([one])} />
      {seen.length > 0 && open.length > 0 && (
        <PlainButton className="justify-self-start" onClick={() => say(open)}>
          {FAULTS_PANEL_TEXT.allElseWorked}
        </PlainButton>
      )}
      <div aria-busy={faults.busy} className="grid gap-2">
        {faults.ranked.length > 0 && <Explained {...{ map, faults }} onSay={say} />}
      </div>
    </section>
  );
}

interface SeenTableProps {
  map: SwitchMap;
  machine: Machine;
  seenAt: (setting: SettingId, load: LoadId) => LoadSeen['seen'] | undefined;
  onSay: (one: LoadSeen) => void;
}

function SeenTable({ map, machine, seenAt, onSay }: SeenTableProps) {
  const settings = map.structure.settings.filter(({ need }) => need === 'required');
  return (
    <div className="overflow-x-auto">
      <table aria-label={FAULTS_PANEL_TEXT.whatTheLoadsDid} className="w-full">
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
                    label={FAULTS_PANEL_TEXT.at(load.name, settingName(map.structure, id))}
                    value={seenAt(id, load.id) ?? ''}
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
  faults: Faults;
  onSay: (list: LoadSeen[]) => void;
}

/** The likeliest faults, what each explains, and what to do next. */
function Explained({ map, faults, onSay }: ExplainedProps) {
  const { model, ranked, evidence, next } = faults;
  const { machine } = model;
  const { structure } = map;
  const session = useSession();
  const askOnMap = useAskOnMap('../../map');
  const safe = useSafety();
  const wires = recordsOf(map.log, 'wire-tagged');
  const label = (place: number) => structure.terminals[place]?.label ?? '?';
  const tag = (id: string) => wires.find((wire) => wire.id === id)?.tag ?? '?';
  const words = (fault: Fault) =>
    faultWords(fault, {
      label,
      tag,
      loads: machine.loads,
      supplies: machine.supplies,
      atTimes: isUnsteady(evidence),
    });
  const names: HuntNames = {
    at: (setting) => settingName(structure, setting),
    contact: (_, contact) => contact.map(label).join('–'),
    place: (node) => machinePlace(node, machine, label),
    part: (part) => machine.loads.find(({ id }) => id === part)?.name ?? `wire ${tag(part)}`,
    supply: (supply) => machine.supplies.filter(({ id }) => id === supply).map(supplyName)[0] ?? '?',
  };
  const answers: HuntAnswers = {
    onLook: (setting, load, what) => onSay([{ setting, load, seen: what }]),
    onProbe: (setting, between, conducts) => {
      const [a, b] = between.map((node) => pointOfNode(machine, node));
      if (a && b) session.emit({ kind: 'machine-probed', setting, between: [a, b], conducts });
    },
    onPart: (part, whole) => session.emit({ kind: 'part-tried', part, whole }),
  };
  return (
    <>
      <RankedFaults
        {...{ ranked, words }}
        seen={faults.looks}
        notTheSwitch={FAULTS_PANEL_TEXT.thenItIsNotThe}
      />
      {next && (
        <NextStep
          {...{ machine, next, names }}
          {...answers}
          toMap={
            next.kind === 'read' && (
              <PlainButton
                className="justify-self-start"
                onClick={() => {
                  const [red, black] = next.contact.map((place) => structure.terminals[place]?.id);
                  askOnMap(next.setting, red as TerminalId, black as TerminalId);
                }}
              >
                {FAULTS_PANEL_TEXT.askItOnTheMap}
              </PlainButton>
            )
          }
          caution={!safe.open && <MakeSafe />}
          toRepeat={<Way to="../../verify">{FAULTS_PANEL_TEXT.workItAtVerify}</Way>}
          toPath={<Way to="../../tag/path">{FAULTS_PANEL_TEXT.isItTheSwitch}</Way>}
        />
      )}
    </>
  );
}

const MakeSafe = () => (
  <Notice look="brick" title={FAULTS_PANEL_TEXT.firstMakeItSafe}>
    {FAULTS_PANEL_TEXT.ohmsAndFingersInsideOnly}
    <Way to="../../safe">{FAULTS_PANEL_TEXT.toTheSafetyList}</Way>
  </Notice>
);

const Way = ({ to, children }: { to: string; children: string }) => (
  <Link to={to} relative="path" className="inline-flex min-h-11 items-center underline">
    {children}
  </Link>
);
