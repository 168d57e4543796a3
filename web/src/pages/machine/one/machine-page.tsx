import type { Hazard, InEverySetting, Machine } from '@which-way/core/circuit';
import type { SwitchMap } from '@which-way/core/continuity';
import { wireEndsOf, recordsOf } from '@which-way/core/log';
import { machinePicture } from '@which-way/drawing/machine-picture';
import { hazardWords, settingSentence, stateWords, wattsWords } from '@which-way/words/machine/machine';
import { settingName } from '@which-way/words/terminals';
import { useState } from 'react';
import { Link } from 'react-router';
import { useJobState } from '../../../job/job-context.js';
import { Choice } from '../../../controls/fields/choice.js';
import { Notice } from '../../../controls/notice.js';
import { useKeys } from '../../../controls/keys/use-keys.js';
import { WholePicture } from '../../../parts/drawings/whole-picture.js';
import { InSystems } from '../several/in-systems.js';
import { DifferencesInMachine } from './differences-in-machine.js';
import { FaultsPanel } from './faults-panel.js';
import { machineDrawn } from './machine-drawn.js';
import { TakeAwayMachine } from './take-away-machine.js';
import { inPlaceOf, useMachine, type InPlace } from './use-machine.js';
import { MACHINE_PAGE_TEXT } from '@which-way/words/screens/pages/machine/one/machine-page';

/** What the switch does in the machine: which load does what, and what can hurt. */
export function MachinePage() {
  const map = useJobState((state) => state.map);
  const places = inPlaceOf(map);
  const [asked, setAsked] = useState<InPlace | null>(null);
  const place = places.find(({ value }) => value === asked)?.value ?? places[0]?.value ?? 'as-mapped';
  const found = useMachine(map, place);
  if (!found || found.does.settings.length === 0) return <NoMachine />;
  return <InMachine map={map} {...found} {...{ place, places }} onPlace={setAsked} />;
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

interface InMachineProps {
  map: SwitchMap;
  machine: Machine;
  does: InEverySetting;
  place: InPlace;
  places: readonly { value: InPlace; text: string }[];
  onPlace: (place: InPlace) => void;
}

/** Left and right step through the settings. */
function useSteps(count: number): [at: number, go: (at: number) => void] {
  const [at, setAt] = useState(0);
  const by = (step: number) => setAt((now) => Math.max(0, Math.min(count - 1, now + step)));
  useKeys({ ArrowLeft: () => by(-1), ArrowRight: () => by(1) });
  return [Math.min(at, count - 1), setAt];
}

function InMachine({ map, machine, does, place, places, onPlace }: InMachineProps) {
  const { settings, hazards } = does;
  const [at, go] = useSteps(settings.length);
  const result = settings[at] as (typeof settings)[number];
  const sentence = settingSentence(map.structure, result, machine.loads);
  const name = places.find(({ value }) => value === place)?.text ?? '';
  const picture = machinePicture(machineDrawn(map, machine, result, `this switch, ${name}`), sentence);
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
            options={settings.map(({ setting }, index) => ({
              value: String(index),
              text: settingName(map.structure, setting),
            }))}
            onChoose={(index) => go(Number(index))}
          />
          {places.length > 1 && (
            <Choice<InPlace>
              label={MACHINE_PAGE_TEXT.inPlace}
              value={place}
              options={places}
              onChoose={onPlace}
            />
          )}
        </div>
        <WholePicture picture={picture} caption={sentence} className="mt-2 max-h-[72dvh]" />
      </section>
      <div className="grid min-w-0 content-start gap-4">
        <div className="justify-self-end">
          <TakeAwayMachine {...{ map, machine, does }} place={name} />
        </div>
        <ByLoads map={map} machine={machine} does={does} at={at} onGo={go} />
        <Hazards
          {...{ map, machine, hazards }}
          partly={settings.some(({ loads }) =>
            [...loads.values()].some(({ does: what }) => what === 'not-known'),
          )}
        />
        <OpenEnds map={map} machine={machine} />
        <DifferencesInMachine map={map} machine={machine} />
        <FaultsPanel map={map} machine={machine} />
        <InSystems />
      </div>
    </main>
  );
}

/** Loads by settings, with the watts of all. */
function ByLoads({
  map,
  machine,
  does: { settings },
  at,
  onGo,
}: {
  map: SwitchMap;
  machine: Machine;
  does: InEverySetting;
  at: number;
  onGo: (at: number) => void;
}) {
  const withWatts = settings.some(({ watts }) => watts !== null && watts > 0);
  return (
    <div className="overflow-x-auto">
      <table aria-label={MACHINE_PAGE_TEXT.loadsBySettings} className="w-full">
        <thead>
          <tr className="border-b-2 border-line text-left">
            <th />
            {machine.loads.map(({ id, name }) => (
              <th key={id} scope="col" className="px-2 py-1">
                {name}
              </th>
            ))}
            {withWatts && (
              <th scope="col" className="px-2 py-1 text-right">
                {MACHINE_PAGE_TEXT.all}
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {settings.map(({ setting, loads, watts }, index) => (
            <tr key={setting} className={`border-b border-line ${index === at ? 'bg-sheet' : ''}`}>
              <th scope="row" className="text-left">
                <button
                  type="button"
                  className="min-h-11 w-full text-left font-mono font-bold"
                  onClick={() => onGo(index)}
                >
                  {settingName(map.structure, setting)}
                </button>
              </th>
              {machine.loads.map(({ id }) => {
                const state = loads.get(id);
                return (
                  <td key={id} className={`px-2 ${LOOK[state?.does ?? 'not-known'] ?? ''}`}>
                    {state ? stateWords(state) : ''}
                  </td>
                );
              })}
              {withWatts && <td className="px-2 text-right font-mono font-bold">{wattsWords(watts)}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const LOOK: Partial<Record<string, string>> = {
  full: 'font-bold',
  part: 'font-bold',
  reversed: 'font-bold',
  floating: 'font-bold text-brick',
  stalled: 'font-bold text-brick',
  'not-known': 'text-quiet',
};

function Hazards({
  map,
  machine,
  hazards,
  partly,
}: {
  map: SwitchMap;
  machine: Machine;
  hazards: readonly Hazard[];
  /** Of some load it is not known what it does: then nothing can be said to be free of hazards. */
  partly: boolean;
}) {
  if (hazards.length === 0)
    return partly ? (
      <Notice look="amber" title={MACHINE_PAGE_TEXT.notKnownToBeSafe}>
        {MACHINE_PAGE_TEXT.notAllOfItIs}
      </Notice>
    ) : (
      <Notice look="plain" title={MACHINE_PAGE_TEXT.noShortAndNothingLive}>
        {MACHINE_PAGE_TEXT.asFarAsTheWires}
      </Notice>
    );
  const isSure = (hazard: Hazard) => !('certain' in hazard) || hazard.certain;
  const lines = (list: readonly Hazard[]) => (
    <ul className="list-disc pl-5">
      {list.map((hazard) => {
        const words = hazardWords(hazard, map.structure, machine.loads, machine.supplies);
        return <li key={words}>{words}</li>;
      })}
    </ul>
  );
  const [sure, unsure] = [hazards.filter(isSure), hazards.filter((one) => !isSure(one))];
  return (
    <>
      {sure.length > 0 && (
        <Notice
          look="brick"
          title={
            sure.length === 1
              ? MACHINE_PAGE_TEXT.oneThingCanHurt
              : MACHINE_PAGE_TEXT.thingsCanHurt(sure.length)
          }
        >
          {lines(sure)}
        </Notice>
      )}
      {(unsure.length > 0 || partly) && (
        <Notice look="amber" title={MACHINE_PAGE_TEXT.notKnownToBeSafe}>
          {unsure.length > 0 && lines(unsure)}
          {partly && <p>{MACHINE_PAGE_TEXT.notAllOfItIs}</p>}
        </Notice>
      )}
    </>
  );
}

/** Wires of which nobody has said where they end: nothing rests on them. */
function OpenEnds({ map, machine }: { map: SwitchMap; machine: Machine }) {
  const ends = wireEndsOf(map.log);
  const open = recordsOf(map.log, 'wire-tagged').filter(({ id }) => !ends.has(id));
  const half = machine.loads.filter(({ id }) => machine.halfSaid.has(id));
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
