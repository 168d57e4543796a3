import type { MeterAnswer, MeterKind, MeterSetting } from '@which-way/contract';
import { PLAIN_DRIVER, WIRED_MODES, type SpokenDriver } from '@which-way/core/sense/meter';
import { DRIVER_LETTERS, UNIT_LETTERS } from '@which-way/core/schema';
import { ohms } from '@which-way/words/quantity';
import { METER_TEXT } from '@which-way/words/screens/parts/meter/meter';
import { METER_SETTINGS_TEXT } from '@which-way/words/screens/pages/settings/meter-settings';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, toldOf } from '../../api/client.js';
import { KEYS, questions } from '../../api/questions.js';
import { Field } from '../../controls/fields/field.js';
import { Pick } from '../../controls/fields/pick.js';
import { RadioLines } from '../../controls/fields/radio-lines.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { ResultLine } from '../../controls/result-line.js';
import { toast } from '../../controls/toast.js';

const KINDS = Object.keys(METER_SETTINGS_TEXT.kinds) as MeterKind[];
/** Milliseconds after which it is asked again what comes: raw lines are looked at for a moment. */
const LOOK_MS = 1000;

/** The meter of the bench: how it is connected, whether it answers, and what came from it. */
export function MeterSettings() {
  const { data, error } = useQuery({ ...questions.meter(), refetchInterval: LOOK_MS });
  return (
    <section aria-label={METER_SETTINGS_TEXT.benchMeter}>
      <ResultLine
        name={METER_SETTINGS_TEXT.benchMeter}
        result={data ? standingWords(data) : ''}
        act={METER_SETTINGS_TEXT.change}
      >
        <div className="grid gap-3">
          <p className="text-quiet">{METER_SETTINGS_TEXT.about}</p>
          {error && (
            <Notice look="amber" title={toldOf(error).message}>
              {toldOf(error).hint}
            </Notice>
          )}
          {data && <Standing answer={data} />}
          {data?.mayBeSet === false && <p>{METER_SETTINGS_TEXT.notHere}</p>}
          {data?.mayBeSet && <MeterForm key={JSON.stringify(data.setting)} answer={data} />}
          {data?.mayBeSet && data.setting.kind !== 'none' && <Lines lines={data.lines} />}
        </div>
      </ResultLine>
    </section>
  );
}

/** Who it is and what it reads, or why it does not. */
function standingWords({ now: { standing, name, reading } }: MeterAnswer): string {
  if (standing !== 'ready') return METER_TEXT.standing[standing];
  const { value } = reading;
  const reads = value.kind === 'ohms' ? ohms(value.ohms) : value.kind === 'over' ? METER_TEXT.over : '';
  return [METER_TEXT.name(name), reads].filter(Boolean).join(' · ');
}

function Standing({ answer }: { answer: MeterAnswer }) {
  const { standing, trouble, holder } = answer.now;
  const takes = holder ? METER_SETTINGS_TEXT.heldBy(holder.name) : METER_SETTINGS_TEXT.heldByNobody;
  const more = [trouble && METER_TEXT.why(trouble), standing === 'ready' && takes].filter(Boolean).join(' ');
  return more ? <p role="status">{more}</p> : null;
}

function MeterForm({ answer: { setting, ports } }: { answer: MeterAnswer }) {
  const queries = useQueryClient();
  const [draft, setDraft] = useState<MeterSetting>(setting);
  const [trouble, setTrouble] = useState<{ message: string; hint: string } | null>(null);
  const change = (part: Partial<MeterSetting>) => setDraft({ ...draft, ...part });
  const isSerial = draft.kind.endsWith('-serial');
  const save = async () => {
    setTrouble(null);
    try {
      await api.setMeter(draft);
      toast.success(METER_SETTINGS_TEXT.saved);
      await queries.invalidateQueries({ queryKey: KEYS.meter });
    } catch (error) {
      setTrouble(toldOf(error));
    }
  };
  return (
    <form
      className="grid max-w-2xl gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <RadioLines
        label={METER_SETTINGS_TEXT.kind}
        value={draft.kind}
        options={KINDS.map((value) => ({ value, text: METER_SETTINGS_TEXT.kinds[value] }))}
        onChoose={(kind) => change({ kind })}
      />
      {draft.kind === 'scpi-tcp' && (
        <div className="grid gap-3 sm:grid-cols-[1fr_8rem]">
          <Field
            label={METER_SETTINGS_TEXT.host}
            value={draft.host}
            onType={(host) => change({ host: host.trim() })}
            mono
          />
          <Field
            label={METER_SETTINGS_TEXT.port}
            value={String(draft.port)}
            inputMode="numeric"
            onType={(port) => change({ port: Number(port.replace(/\D/g, '')) || 0 })}
            mono
          />
        </div>
      )}
      {isSerial && (
        <div className="grid gap-3 sm:grid-cols-[1fr_8rem]">
          <Field
            label={METER_SETTINGS_TEXT.device}
            value={draft.device}
            list="serial-ports"
            onType={(device) => change({ device })}
            mono
          />
          <datalist id="serial-ports">
            {ports.map((port) => (
              <option key={port} value={port} />
            ))}
          </datalist>
          <Field
            label={METER_SETTINGS_TEXT.baud}
            value={String(draft.baud)}
            inputMode="numeric"
            onType={(baud) => change({ baud: Number(baud.replace(/\D/g, '')) || 0 })}
            mono
          />
        </div>
      )}
      {draft.kind.includes('scpi') && (
        <Pick
          label={METER_SETTINGS_TEXT.mode}
          value={draft.mode}
          options={WIRED_MODES.map((value) => ({ value, text: METER_SETTINGS_TEXT.modes[value] }))}
          onPick={(mode) => change({ mode: mode as MeterSetting['mode'] })}
        />
      )}
      {draft.kind === 'lines-serial' && (
        <DriverFields driver={draft.driver ?? PLAIN_DRIVER} onChange={(driver) => change({ driver })} />
      )}
      {trouble && (
        <Notice look="amber" title={trouble.message}>
          {trouble.hint}
        </Notice>
      )}
      <PlainButton type="submit" look="strong" className="justify-self-start">
        {METER_SETTINGS_TEXT.save}
      </PlainButton>
    </form>
  );
}

/** How a handheld writes its lines: looked at in the lines below, and typed here. */
function DriverFields({
  driver,
  onChange,
}: {
  driver: SpokenDriver;
  onChange: (driver: SpokenDriver) => void;
}) {
  const unit = (at: number, part: Partial<SpokenDriver['units'][number]>) =>
    onChange({
      ...driver,
      units: driver.units.map((one, place) => (place === at ? { ...one, ...part } : one)),
    });
  return (
    <fieldset className="grid gap-3 sm:grid-cols-3">
      <Field
        label={METER_SETTINGS_TEXT.start}
        value={driver.start}
        maxLength={DRIVER_LETTERS}
        onType={(start) => onChange({ ...driver, start })}
        mono
      />
      <Field
        label={METER_SETTINGS_TEXT.modeText}
        value={driver.mode}
        maxLength={DRIVER_LETTERS}
        onType={(mode) => onChange({ ...driver, mode })}
        mono
      />
      <Field
        label={METER_SETTINGS_TEXT.overText}
        value={driver.over}
        maxLength={DRIVER_LETTERS}
        onType={(over) => onChange({ ...driver, over })}
        mono
      />
      <p className="sm:col-span-3">{METER_SETTINGS_TEXT.units}</p>
      {driver.units.map((one, at) => (
        <div key={at} className="flex gap-2">
          <Field
            label={METER_SETTINGS_TEXT.unit}
            value={one.unit}
            maxLength={UNIT_LETTERS}
            onType={(text) => unit(at, { unit: text })}
            box="w-24"
            mono
          />
          <Field
            label={METER_SETTINGS_TEXT.ohms}
            value={String(one.ohms)}
            inputMode="numeric"
            onType={(text) => unit(at, { ohms: Number(text.replace(/[^\d.]/g, '')) || 0 })}
            box="w-28"
            mono
          />
        </div>
      ))}
    </fieldset>
  );
}

function Lines({ lines }: { lines: readonly string[] }) {
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">{METER_SETTINGS_TEXT.lines}</summary>
      {lines.length === 0 ? (
        <p>{METER_SETTINGS_TEXT.noLines}</p>
      ) : (
        <pre className="max-h-64 overflow-auto rounded-part border border-line bg-sheet p-3 font-mono text-small">
          {lines.join('\n')}
        </pre>
      )}
    </details>
  );
}
