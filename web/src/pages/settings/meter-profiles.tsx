import { METER_NAME_LETTERS } from '@which-way/core/schema';
import { checkKnown, METER_KINDS } from '@which-way/core/sense/meter';
import { ORDINARY_METER, type MeterProfile } from '@which-way/core/log';
import { METER_PROFILES_TEXT } from '@which-way/words/screens/pages/settings/meter-profiles';
import { SETTINGS_PAGE_TEXT } from '@which-way/words/screens/pages/settings/settings-page';
import { useState } from 'react';
import { Field } from '../../controls/fields/field.js';
import { Pick } from '../../controls/fields/pick.js';
import { PlainButton } from '../../controls/plain-button.js';
import { ResultLine } from '../../controls/result-line.js';
import { allMeters, chooseMeter, forgetMeter, keepMeter, useMyMeters } from '../../parts/meters/my-meters.js';

/** The meters of this bench: which is in the hand, what it can tell, and whether a known resistor bears that out. */
export function MeterProfiles() {
  const meters = useMyMeters();
  const { own, using } = meters;
  const meter = allMeters(meters).find(({ name }) => name === using) ?? ORDINARY_METER;
  const isOwn = own.some(({ name }) => name === meter.name);
  return (
    <ResultLine
      name={METER_PROFILES_TEXT.meters}
      result={METER_PROFILES_TEXT.using(using)}
      act={SETTINGS_PAGE_TEXT.change}
    >
      <div className="grid gap-3">
        <p className="text-quiet">
          {METER_PROFILES_TEXT.about} {SETTINGS_PAGE_TEXT.thisDevice}
        </p>
        <Pick
          label={METER_PROFILES_TEXT.which}
          value={using ?? ''}
          options={[
            { value: '', text: METER_PROFILES_TEXT.noneChosen },
            ...allMeters(meters).map(({ name }) => ({ value: name, text: name })),
          ]}
          onPick={(name) => chooseMeter(name === '' ? null : name)}
          className="max-w-md"
        />
        <p>{METER_PROFILES_TEXT.facts(meter, isOwn)}</p>
        {isOwn && (
          <PlainButton className="justify-self-start" onClick={() => forgetMeter(meter.name)}>
            {METER_PROFILES_TEXT.remove(meter.name)}
          </PlainButton>
        )}
        <KnownResistor key={meter.name} meter={meter} />
        <OwnMeter />
      </div>
    </ResultLine>
  );
}

/** A figure as it is typed, with a point or a comma; NaN: it is none. */
const figure = (text: string): number => (text.trim() === '' ? Number.NaN : Number(text.replace(',', '.')));
const isBetween = (value: number, least: number, most: number): boolean => value >= least && value <= most;

/** What the meter makes of a resistor that is known. */
function KnownResistor({ meter }: { meter: MeterProfile }) {
  const [known, setKnown] = useState('10');
  const [tolerance, setTolerance] = useState('1');
  const [reads, setReads] = useState('');
  const given = { knownOhms: figure(known), tolerancePercent: figure(tolerance), readOhms: figure(reads) };
  const isAsked = isBetween(given.knownOhms, 0.01, 1e7) && isBetween(given.tolerancePercent, 0, 50);
  const told = isAsked && isBetween(given.readOhms, 0, 1e8) ? checkKnown(meter, given) : null;
  return (
    <fieldset className="grid gap-2 border-t-2 border-line pt-3">
      <legend className="contents font-bold">{METER_PROFILES_TEXT.known}</legend>
      <div className="flex flex-wrap items-end gap-3">
        <Field
          label={METER_PROFILES_TEXT.knownOhms}
          value={known}
          onType={setKnown}
          inputMode="decimal"
          mono
          box="w-28"
        />
        <Field
          label={METER_PROFILES_TEXT.tolerance}
          value={tolerance}
          onType={setTolerance}
          inputMode="decimal"
          mono
          box="w-24"
        />
        <Field
          label={METER_PROFILES_TEXT.reads}
          value={reads}
          onType={setReads}
          inputMode="decimal"
          mono
          box="w-28"
        />
      </div>
      {told && (
        <p role="status" className={`font-semibold ${told.within ? '' : 'text-brick'}`}>
          {METER_PROFILES_TEXT.told(given.knownOhms, given.readOhms, told)}
        </p>
      )}
    </fieldset>
  );
}

const EMPTY = { name: '', resolution: '0.1', percent: '0.8', counts: '3', beeper: '' };

/** A meter of one's own, as its data sheet and a few resistors say. */
function OwnMeter() {
  const [draft, setDraft] = useState(EMPTY);
  const [trouble, setTrouble] = useState('');
  const change = (part: Partial<typeof EMPTY>) => setDraft({ ...draft, ...part });
  const save = () => {
    const name = draft.name.trim();
    if (name === '' || METER_KINDS.some((kind) => kind.name === name))
      return setTrouble(METER_PROFILES_TEXT.wrong.name);
    const meter: MeterProfile = {
      ...ORDINARY_METER,
      name,
      resolutionOhms: figure(draft.resolution),
      percent: figure(draft.percent),
      counts: figure(draft.counts),
      beeperOhms: figure(draft.beeper),
    };
    const isRight =
      isBetween(meter.resolutionOhms, 1e-6, 1000) &&
      isBetween(meter.percent, 0, 50) &&
      isBetween(meter.counts, 0, 1000) &&
      isBetween(meter.beeperOhms, 1, 1000);
    if (!isRight) return setTrouble(METER_PROFILES_TEXT.wrong.figures);
    setTrouble('');
    setDraft(EMPTY);
    return keepMeter(meter);
  };
  return (
    <form
      className="grid gap-2 border-t-2 border-line pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <h2 className="font-bold">{METER_PROFILES_TEXT.addOwn}</h2>
      <div className="flex flex-wrap items-end gap-3">
        <Field
          label={METER_PROFILES_TEXT.name}
          value={draft.name}
          onType={(name) => change({ name })}
          maxLength={METER_NAME_LETTERS}
        />
        {(['resolution', 'percent', 'counts', 'beeper'] as const).map((field) => (
          <Field
            key={field}
            label={METER_PROFILES_TEXT[field]}
            value={draft[field]}
            onType={(text) => change({ [field]: text })}
            inputMode="decimal"
            mono
            box="w-28"
          />
        ))}
      </div>
      {trouble && (
        <p role="alert" className="text-brick">
          {trouble}
        </p>
      )}
      <PlainButton type="submit" className="justify-self-start">
        {METER_PROFILES_TEXT.save}
      </PlainButton>
    </form>
  );
}
