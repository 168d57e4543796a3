import { METER_NAME_LETTERS } from '@which-way/core/schema';
import { checkKnown, METER_KINDS } from '@which-way/core/sense/meter';
import { ORDINARY_METER, type MeterProfile } from '@which-way/core/log';
import { METER_PROFILES_TEXT } from '@which-way/words/screens/pages/settings/meter-profiles';
import { SETTINGS_PAGE_TEXT } from '@which-way/words/screens/pages/settings/settings-page';
import type { Shop } from '@which-way/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Field } from '../../controls/fields/field.js';
import { Pick } from '../../controls/fields/pick.js';
import { PlainButton } from '../../controls/plain-button.js';
import { ResultLine } from '../../controls/result-line.js';
import { useTaughtEar } from '../../parts/ear/taught-ears.js';
import { chooseMeter, useMeterInUse } from '../../parts/meters/my-meters.js';
import { api, toldOf } from '../../api/client.js';
import { KEYS, questions } from '../../api/questions.js';
import { Notice } from '../../controls/notice.js';

/** The meters of the shop: which is in the hand at this device, what it can tell, and whether a known resistor bears that out. */
export function MeterProfiles() {
  const using = useMeterInUse();
  const { data: shop, error } = useQuery(questions.shop());
  const own = shop?.meters ?? [];
  const all = [...METER_KINDS, ...own];
  const meter = using ?? ORDINARY_METER;
  const isOwn = own.some(({ name }) => name === meter.name);
  const ear = useTaughtEar(meter.name);
  const { keep, remove, trouble } = useShopMeters(shop);
  return (
    <ResultLine
      name={METER_PROFILES_TEXT.meters}
      result={METER_PROFILES_TEXT.using(using?.name ?? null)}
      act={SETTINGS_PAGE_TEXT.change}
    >
      <div className="grid gap-3">
        <p className="text-quiet">{METER_PROFILES_TEXT.about}</p>
        <Pick
          label={METER_PROFILES_TEXT.which}
          value={using?.name ?? ''}
          options={[
            { value: '', text: METER_PROFILES_TEXT.noneChosen },
            ...withChosen(all, using).map(({ name }) => ({ value: name, text: name })),
          ]}
          onPick={(name) => chooseMeter(withChosen(all, using).find((one) => one.name === name) ?? null)}
          className="max-w-md"
        />
        <p>{METER_PROFILES_TEXT.facts(meter, isOwn, ear)}</p>
        {isOwn && (
          <PlainButton className="justify-self-start" onClick={() => void remove(meter.name)}>
            {METER_PROFILES_TEXT.remove(meter.name)}
          </PlainButton>
        )}
        <KnownResistor key={meter.name} meter={meter} />
        {(error || trouble) && (
          <Notice look="amber" title={error ? toldOf(error).message : (trouble?.message ?? '')}>
            {error ? toldOf(error).hint : trouble?.hint}
          </Notice>
        )}
        {shop && <OwnMeter onKeep={keep} />}
      </div>
    </ResultLine>
  );
}

/** The meter in use stays in the list while the shop’s are on their way, or have lost it. */
const withChosen = (all: readonly MeterProfile[], using: MeterProfile | null): readonly MeterProfile[] =>
  using && !all.some(({ name }) => name === using.name) ? [...all, using] : all;

/** Changes the meters that the shop keeps; what went wrong with that is told. */
function useShopMeters(shop: Shop | undefined) {
  const queries = useQueryClient();
  const [trouble, setTrouble] = useState<{ message: string; hint: string } | null>(null);
  const change = async (meters: MeterProfile[]): Promise<boolean> => {
    if (!shop) return false;
    setTrouble(null);
    try {
      await api.changeShop({ ...shop, meters });
      return true;
    } catch (error) {
      setTrouble(toldOf(error));
      return false;
    } finally {
      await queries.invalidateQueries({ queryKey: KEYS.shop });
    }
  };
  const without = (name: string) => (shop?.meters ?? []).filter((one) => one.name !== name);
  return {
    trouble,
    keep: async (meter: MeterProfile) => {
      const kept = await change([...without(meter.name), meter]);
      if (kept) chooseMeter(meter);
      return kept;
    },
    remove: async (name: string) => {
      if (await change(without(name))) chooseMeter(null);
    },
  };
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

const EMPTY = {
  ...{ name: '', resolution: '0.1', percent: '0.8', counts: '3', beeper: '' },
  ...{ current: '', volts: '', leads: '', sleeps: '10' },
};
type Draft = typeof EMPTY;
const FIGURES = ['resolution', 'percent', 'counts', 'beeper', 'current', 'volts', 'leads', 'sleeps'] as const;

/** 0: it never sleeps. Where nobody knows, it is waited for as for an ordinary one: a sleeping meter reads as open. */
const sleepsAfter = (minutes: number | null): number | null =>
  minutes === 0 ? null : (minutes ?? ORDINARY_METER.autoOffMinutes);

/** The meter that was typed; null where a figure is none, or none that a meter has. */
function meterOf(draft: Draft): MeterProfile | null {
  const orUnknown = (text: string) => (text.trim() === '' ? null : figure(text));
  const meter: MeterProfile = {
    ...ORDINARY_METER,
    name: draft.name.trim(),
    resolutionOhms: figure(draft.resolution),
    percent: figure(draft.percent),
    counts: figure(draft.counts),
    beeperOhms: figure(draft.beeper),
    testMilliamps: orUnknown(draft.current),
    testVolts: orUnknown(draft.volts),
    leadOhms: orUnknown(draft.leads),
    autoOffMinutes: sleepsAfter(orUnknown(draft.sleeps)),
  };
  const unknownOr = (value: number | null, least: number, most: number) =>
    value === null || isBetween(value, least, most);
  return isBetween(meter.resolutionOhms, 1e-6, 1000) &&
    isBetween(meter.percent, 0, 50) &&
    isBetween(meter.counts, 0, 1000) &&
    isBetween(meter.beeperOhms, 1, 1000) &&
    unknownOr(meter.testMilliamps, 1e-6, 10_000) &&
    unknownOr(meter.testVolts, 1e-3, 100) &&
    unknownOr(meter.leadOhms, 0, 10) &&
    unknownOr(meter.autoOffMinutes, 1, 1440)
    ? meter
    : null;
}

/** A meter of the shop’s own, as its data sheet and a few resistors say. */
function OwnMeter({ onKeep }: { onKeep: (meter: MeterProfile) => Promise<boolean> }) {
  const [draft, setDraft] = useState(EMPTY);
  const [trouble, setTrouble] = useState('');
  const change = (part: Partial<Draft>) => setDraft({ ...draft, ...part });
  const save = async () => {
    const name = draft.name.trim();
    if (name === '' || METER_KINDS.some((kind) => kind.name === name))
      return setTrouble(METER_PROFILES_TEXT.wrong.name);
    const meter = meterOf(draft);
    if (!meter) return setTrouble(METER_PROFILES_TEXT.wrong.figures);
    setTrouble('');
    return (await onKeep(meter)) ? setDraft(EMPTY) : undefined;
  };
  return (
    <form
      className="grid gap-2 border-t-2 border-line pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <h2 className="font-bold">{METER_PROFILES_TEXT.addOwn}</h2>
      <Field
        label={METER_PROFILES_TEXT.name}
        value={draft.name}
        onType={(name) => change({ name })}
        maxLength={METER_NAME_LETTERS}
        className="max-w-md"
      />
      <div className="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
        {FIGURES.map((field) => (
          <Field
            key={field}
            label={METER_PROFILES_TEXT[field]}
            value={draft[field]}
            onType={(text) => change({ [field]: text })}
            inputMode="decimal"
            mono
            box="w-full"
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
