import {
  AS_MAPPED,
  AS_SHOULD,
  laidPart,
  machineOfSwitch,
  withPart,
  type InPlace,
  type Machine,
} from '@which-way/core/machine';
import type { SwitchMap } from '@which-way/core/continuity';
import { liveEvents, recordsOf, wireEndsOf } from '@which-way/core/log';
import { expectedOf } from '@which-way/core/verify';
import type { SettingId } from '@which-way/core/switch';
import { machinePicture } from '@which-way/drawing/machine-picture';
import { machineSentence } from '@which-way/words/machine/sentence';
import { FAULTS_TEXT } from '@which-way/words/screens/pages/machine/faults';
import { MACHINE_PAGE_TEXT } from '@which-way/words/screens/pages/machine/machine-page';
import { settingName } from '@which-way/words/terminals';
import { useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Choice } from '../../controls/fields/choice.js';
import { useKeys } from '../../controls/keys/use-keys.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { useJobState, useSession } from '../../job/job-context.js';
import { useAskOnMap } from '../../parts/asking/use-ask-on-map.js';
import { WholePicture } from '../../parts/drawings/whole-picture.js';
import { toldComplaints } from '../../parts/hunt/told-complaints.js';
import { SourcesAsked } from '../../parts/sources/sources-asked.js';
import { useSafety } from '../../parts/safety/use-safety.js';
import { DifferencesInMachine } from './differences-in-machine.js';
import { Faults, type WaysOut } from './faults.js';
import { Hazards } from './hazards.js';
import { InSystems } from './in-systems.js';
import { LoadsTable } from './loads-table.js';
import { machineDrawn } from './machine-drawn.js';
import { TakeAwayMachine } from './take-away-machine.js';
import { useView } from './use-view.js';

/** Something that may stand in the machine, with its name. */
interface Choosable {
  value: string;
  text: string;
  inPlace: InPlace;
}

/** What may stand in the machine: the switch as mapped, as it should be, the part that was chosen. */
function choicesOf(map: SwitchMap): [Choosable, ...Choosable[]] {
  const chosen = liveEvents(map.log, 'chosen').at(-1)?.what.replacement ?? null;
  const laid = chosen && laidPart(map, chosen);
  return [
    { value: 'as-mapped', text: 'as mapped', inPlace: AS_MAPPED },
    ...(expectedOf(map) ? [{ value: 'should-be', text: 'as it should be', inPlace: AS_SHOULD }] : []),
    ...(laid ? [{ value: 'chosen', text: `with ${chosen.name}`, inPlace: withPart(laid) }] : []),
  ];
}

/** What the switch does in the machine: which load does what, and what can hurt. */
export function MachinePage() {
  const map = useJobState((state) => state.map);
  const machine = useMemo(() => machineOfSwitch(map), [map]);
  if (!machine || map.structure.settings.every(({ need }) => need !== 'required')) return <NoMachine />;
  return <InMachine map={map} machine={machine} />;
}

function NoMachine() {
  return (
    <main className="mx-auto w-full max-w-3xl p-8">
      <h1 className="sr-only">{MACHINE_PAGE_TEXT.inTheMachine}</h1>
      <Notice look="plain" title={MACHINE_PAGE_TEXT.itIsNotKnownYet}>
        {MACHINE_PAGE_TEXT.sayAt}{' '}
        <Link to="../../tag/wires" relative="path" className="underline">
          {MACHINE_PAGE_TEXT.wiresAndJumpers}
        </Link>{' '}
        {MACHINE_PAGE_TEXT.whatEachWireBringsOr}
      </Notice>
      <div className="mt-6">
        <InSystems />
      </div>
    </main>
  );
}

function InMachine({ map, machine }: { map: SwitchMap; machine: Machine }) {
  const choices = useMemo(() => choicesOf(map), [map]);
  const [asked, setAsked] = useState<string | null>(null);
  const place = choices.find(({ value }) => value === asked) ?? choices[0];
  const view = useView(machine, place.inPlace);
  const { standing, now, all } = view;
  const names = useMemo(() => ({ job: () => '', machine }), [machine]);
  const settings = machine.handles[0]?.settings ?? [];
  const at = settings.indexOf(standing[0] as SettingId);
  const go = (index: number) => view.turn(0, settings[Math.max(0, index)] ?? (settings.at(-1) as SettingId));
  useKeys({ ArrowLeft: () => go(at - 1), ArrowRight: () => go(at + 1) });
  const session = useSession();
  const ways = useWaysOut();
  const sentence = machineSentence(now, standing, names);
  const drawn = machineDrawn(map, machine.circuit, now, `this switch, ${place.text}`);
  return (
    <main className="grid grow content-start gap-x-8 gap-y-4 px-6 py-3 lg:grid-cols-[minmax(0,7fr)_minmax(0,5fr)]">
      <section aria-label={MACHINE_PAGE_TEXT.theMachine} className="min-w-0">
        <h1 className="text-title font-bold" aria-live="polite">
          {sentence}
        </h1>
        <div className="mt-2 flex flex-wrap items-end justify-between gap-3">
          <Choice<string>
            label={MACHINE_PAGE_TEXT.standingAt}
            value={String(at)}
            options={settings.map((setting, index) => ({
              value: String(index),
              text: settingName(map.structure, setting),
            }))}
            onChoose={(index) => go(Number(index))}
          />
          {choices.length > 1 && (
            <Choice<string>
              label={MACHINE_PAGE_TEXT.inPlace}
              value={place.value}
              options={choices}
              onChoose={setAsked}
            />
          )}
        </div>
        <WholePicture
          draw={(room) => machinePicture(drawn, sentence, room)}
          caption={sentence}
          className="mt-2 max-h-[72dvh]"
        />
      </section>
      <div className="grid min-w-0 content-start gap-4">
        <div className="justify-self-end">
          <TakeAwayMachine {...{ map, view, names }} place={place.text} />
        </div>
        {all && (
          <LoadsTable
            {...{ names, all, standing }}
            onStand={(combination) => view.turn(0, combination[0] as SettingId)}
          />
        )}
        <Hazards {...{ view, names }} />
        <SourcesAsked
          supplies={machine.circuit.supplies}
          named={recordsOf(map.log, 'source-named')}
          emit={(deed) => session.emit(deed)}
        />
        <OpenEnds map={map} machine={machine} />
        <DifferencesInMachine map={map} machine={machine} />
        <Faults
          {...{ names, standing, ways }}
          log={map.log}
          told={toldComplaints(recordsOf(map.log, 'symptoms-said') ?? [])}
          emit={(deed) => session.emit(deed)}
        />
        <InSystems />
      </div>
    </main>
  );
}

/** From a question to where it is answered in this job. */
function useWaysOut(): WaysOut {
  const askOnMap = useAskOnMap('../../map');
  const safe = useSafety();
  return {
    toMap: (_, setting, [red, black]) => (
      <PlainButton
        className="justify-self-start"
        onClick={() => red && black && askOnMap(setting, red, black)}
      >
        {FAULTS_TEXT.askItOnTheMap}
      </PlainButton>
    ),
    toVerify: () => <Way to="../../verify">{FAULTS_TEXT.workItAtVerify}</Way>,
    toPath: () => <Way to="../../tag/path">{FAULTS_TEXT.isItTheSwitch}</Way>,
    whatItShouldDo: <Way to="../../verify">{FAULTS_TEXT.whatTheSwitchShouldDo}</Way>,
    caution: !safe.open && (
      <Notice look="brick" title={FAULTS_TEXT.firstMakeItSafe}>
        {FAULTS_TEXT.ohmsAndFingersInsideOnly}
        <Way to="../../safe">{FAULTS_TEXT.toTheSafetyList}</Way>
      </Notice>
    ),
  };
}

const Way = ({ to, children }: { to: string; children: ReactNode }) => (
  <Link to={to} relative="path" className="inline-flex min-h-11 items-center underline">
    {children}
  </Link>
);

/** Wires of which nobody has said where they end: nothing rests on them. */
function OpenEnds({ map, machine: { circuit } }: { map: SwitchMap; machine: Machine }) {
  const ends = wireEndsOf(map.log);
  const open = recordsOf(map.log, 'wire-tagged').filter(({ id }) => !ends.has(id));
  const half = circuit.loads.filter(({ id }) => circuit.halfSaid.has(id));
  if (open.length + half.length === 0) return null;
  return (
    <p className="text-quiet">
      {open.length > 0 &&
        MACHINE_PAGE_TEXT.tagWhereItEndsIs(
          open.map(({ tag, color }) => [tag, color && `(${color})`].filter(Boolean).join(' ')).join(', '),
        )}
      {half.length > 0 && MACHINE_PAGE_TEXT.notEveryEndIsSaid(half.map(({ name }) => name).join(', '))}
      <Link to="../../tag/wires" relative="path" className="underline">
        {MACHINE_PAGE_TEXT.wiresAndJumpers}
      </Link>
    </p>
  );
}
