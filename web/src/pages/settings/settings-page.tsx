import { useQuery } from '@tanstack/react-query';
import { SETTINGS_PAGE_TEXT } from '@which-way/words/screens/pages/settings/settings-page';
import type { ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { api } from '../../api/client.js';
import { questions } from '../../api/questions.js';
import { UNITS } from '@which-way/words/units';
import { Choice } from '../../controls/fields/choice.js';
import { CheckLine } from '../../controls/fields/check-line.js';
import { TopBar } from '../../controls/frame/top-bar.js';
import { PlainButton } from '../../controls/plain-button.js';
import { ResultLine } from '../../controls/result-line.js';
import { useBegin } from '../../parts/begin/use-begin.js';
import { toggle, useHandsFree } from '../../parts/hands/hands-free.js';
import { unitsHere, useUnits } from '../../parts/units/units.js';
import { MeterProfiles } from './meter-profiles.js';
import { MeterSettings } from './meter-settings.js';
import { ShopLists } from './shop-lists.js';
import { SignedInDevices } from './signed-in-devices.js';

/** Everything that is set once, a line each: what the shop wants, what is on the bench, what this device does, and the files. */
export function SettingsPage() {
  // Make safe leads to the lists themselves.
  const isForLists = useLocation().pathname === '/shop';
  return (
    <div className="flex min-h-full flex-col">
      <TopBar title={SETTINGS_PAGE_TEXT.settings} />
      <main className="mx-auto w-full max-w-4xl grow p-4 pb-12 sm:p-8 sm:[--names:11rem]">
        <h1 className="mb-4 text-title font-bold">{SETTINGS_PAGE_TEXT.settings}</h1>
        <ResultLine
          name={SETTINGS_PAGE_TEXT.lists}
          result={SETTINGS_PAGE_TEXT.listsAbout}
          act={SETTINGS_PAGE_TEXT.change}
          open={isForLists}
        >
          <ShopLists />
        </ResultLine>
        <MeterSettings />
        <MeterProfiles />
        <SoundsAndSpeech />
        <UnitsHere />
        <FilesToldApart />
        <SignedInDevices />
        <About />
      </main>
    </div>
  );
}

/** What this device tells by ear on the Map. */
function SoundsAndSpeech() {
  const { sounds, speech } = useHandsFree();
  return (
    <ResultLine
      name={SETTINGS_PAGE_TEXT.soundsAndSpeech}
      result={SETTINGS_PAGE_TEXT.soundsAre(sounds, speech)}
      act={SETTINGS_PAGE_TEXT.change}
    >
      <CheckLine checked={sounds} onChange={() => toggle('sounds')}>
        {SETTINGS_PAGE_TEXT.sounds}
      </CheckLine>
      <CheckLine checked={speech} onChange={() => toggle('speech')}>
        {SETTINGS_PAGE_TEXT.speech}
      </CheckLine>
      <p className="text-quiet">{SETTINGS_PAGE_TEXT.thisDevice}</p>
    </ResultLine>
  );
}

/** What lengths, wires and temperatures are said in on this device. */
function UnitsHere() {
  const units = useUnits();
  return (
    <ResultLine
      name={SETTINGS_PAGE_TEXT.units}
      result={SETTINGS_PAGE_TEXT.unitsAre[units]}
      act={SETTINGS_PAGE_TEXT.change}
    >
      <Choice
        joined
        label={SETTINGS_PAGE_TEXT.units}
        value={units}
        options={UNITS.map((value) => ({ value, text: SETTINGS_PAGE_TEXT.unitsAre[value] }))}
        onChoose={(chosen) => unitsHere.setState({ units: chosen })}
      />
      <p className="mt-2 text-quiet">
        {SETTINGS_PAGE_TEXT.unitsAbout} {SETTINGS_PAGE_TEXT.thisDevice}
      </p>
    </ResultLine>
  );
}

/** Export, import, back up and restore: what each is for, told apart in one place. */
function FilesToldApart() {
  const begin = useBegin();
  const acts: { name: string; about: string; act: ReactNode }[] = [
    {
      name: SETTINGS_PAGE_TEXT.exportName,
      about: SETTINGS_PAGE_TEXT.exportAbout,
      act: (
        <PlainButton onClick={() => void begin(SETTINGS_PAGE_TEXT.notExported, api.exportAll)}>
          {SETTINGS_PAGE_TEXT.exportAll}
        </PlainButton>
      ),
    },
    {
      name: SETTINGS_PAGE_TEXT.importName,
      about: SETTINGS_PAGE_TEXT.importAbout,
      act: (
        <Link to="/" className="underline">
          {SETTINGS_PAGE_TEXT.toTheBench}
        </Link>
      ),
    },
    {
      name: SETTINGS_PAGE_TEXT.backUpName,
      about: SETTINGS_PAGE_TEXT.backUpAbout,
      act: (
        <PlainButton onClick={() => void begin(SETTINGS_PAGE_TEXT.noBackup, api.backUp)}>
          {SETTINGS_PAGE_TEXT.backUp}
        </PlainButton>
      ),
    },
    { name: SETTINGS_PAGE_TEXT.restoreName, about: SETTINGS_PAGE_TEXT.restoreAbout, act: null },
  ];
  return (
    <ResultLine
      name={SETTINGS_PAGE_TEXT.files}
      result={SETTINGS_PAGE_TEXT.filesAbout}
      act={SETTINGS_PAGE_TEXT.see}
    >
      <dl className="grid gap-3">
        {acts.map(({ name, about, act }) => (
          <div
            key={name}
            className="grid items-center gap-x-4 gap-y-1 border-b border-line pb-3 last:border-0 sm:grid-cols-[8rem_1fr_auto]"
          >
            <dt className="font-bold">{name}</dt>
            <dd>{about}</dd>
            <dd>{act}</dd>
          </div>
        ))}
      </dl>
    </ResultLine>
  );
}

function About() {
  const { data } = useQuery(questions.health());
  return (
    <ResultLine
      name={SETTINGS_PAGE_TEXT.about}
      result={data ? SETTINGS_PAGE_TEXT.version(data.version) : ''}
      act={SETTINGS_PAGE_TEXT.see}
    >
      <p>{SETTINGS_PAGE_TEXT.aboutIt}</p>
    </ResultLine>
  );
}
