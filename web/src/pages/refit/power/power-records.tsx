import { supplyOf } from '@which-way/core/safety';
import type { BeforePower, SupplyKind } from '@which-way/core/log';
import { METER_NAME_LETTERS, PERSON_LETTERS } from '@which-way/core/schema';
import { isWithin, wantedBeforePower, type Refit, type WantedRecord } from '@which-way/core/refit';
import { beforePowerWords, recordLimitWords } from '@which-way/words/refit';
import { ohms } from '@which-way/words/quantity';
import { SUPPLY_WORDS } from '@which-way/words/before/safety';
import { useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { givenOnce, useGivenOnce } from '../../../parts/safety/given-once.js';
import { readOhms } from '../../../controls/fields/amount.js';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { Field } from '../../../controls/fields/field.js';
import { POWER_RECORDS_TEXT } from '@which-way/words/screens/pages/refit/power/power-records';
import { TextInput } from '../../../controls/fields/text-input.js';

/** Insulation, earth and what the plug sees: recorded with instrument, limit and who measured. */
export function PowerRecords({ refit }: { refit: Refit | null }) {
  const map = useJobState((state) => state.map);
  const { who } = useGivenOnce();
  const [instrument, setInstrument] = useState('');
  const supply = supplyOf(map.log);
  const wanted = wantedBeforePower(map, refit, supply);
  const kinds = [...new Set(wanted.map(({ what }) => what))];
  const measured = wanted.filter(({ record }) => record && record.ohms !== null);
  return (
    <section
      aria-label={POWER_RECORDS_TEXT.insulationAndEarth}
      className="grid min-w-0 content-start gap-3 border-line py-3 lg:overflow-y-auto lg:border-l-2 lg:pl-6"
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-large font-bold">{POWER_RECORDS_TEXT.insulationAndEarth}</h2>
        {wanted.length > 0 && (
          <p role="status" className="font-semibold">
            {POWER_RECORDS_TEXT.measured(measured.length, wanted.length)}
          </p>
        )}
      </div>
      <Notice look="plain" title={POWER_RECORDS_TEXT.yourOwnLimitsAndLocal}>
        {POWER_RECORDS_TEXT.onlyThoseWhoMayDo}
      </Notice>
      {supply === null ? (
        <p className="text-quiet">{POWER_RECORDS_TEXT.whatIsMeasuredHangsOn}</p>
      ) : (
        <>
          <p>
            {POWER_RECORDS_TEXT.forText}
            {SUPPLY_WORDS[supply].name.toLowerCase()}
            {POWER_RECORDS_TEXT.commonPracticeTypeAnotherLimit}
          </p>
          <div className="flex flex-wrap gap-3">
            <Field
              label={POWER_RECORDS_TEXT.instrument}
              value={instrument}
              maxLength={METER_NAME_LETTERS}
              onType={setInstrument}
            />
            <Field
              label={POWER_RECORDS_TEXT.measuredBy}
              value={who}
              maxLength={PERSON_LETTERS}
              onType={(typed) => givenOnce.setState({ who: typed })}
            />
          </div>
          {kinds.map((what) => (
            <KindOfRecord
              key={what}
              {...{ what, supply }}
              wanted={wanted.filter((one) => one.what === what)}
              by={who.trim()}
              instrument={instrument.trim()}
            />
          ))}
          <p className="text-quiet">{POWER_RECORDS_TEXT.firstPowerThroughAResidual}</p>
        </>
      )}
    </section>
  );
}

interface KindOfRecordProps {
  what: BeforePower;
  supply: SupplyKind;
  wanted: readonly WantedRecord[];
  by: string;
  instrument: string;
}

/** A kind of measurement: how it is measured, once, and a line for each position. */
function KindOfRecord({ what, supply, wanted, by, instrument }: KindOfRecordProps) {
  const { name, how } = beforePowerWords(what, supply);
  // Measured once, in whatever position: its name stands before its fields.
  const isOne = wanted.length === 1 && wanted[0]?.position === '';
  const lines = (
    <ul>
      {wanted.map((one) => (
        <RecordLine
          key={`${one.setting ?? one.position} ${one.record?.ohms ?? ''}`}
          wanted={one}
          {...{ name, by, instrument }}
        />
      ))}
    </ul>
  );
  return (
    <section aria-label={name} className="border-t-2 border-line pt-2">
      {!isOne && <h3 className="font-semibold">{name}</h3>}
      {isOne && lines}
      <p className="text-quiet">{how}</p>
      {!isOne && lines}
    </section>
  );
}

interface RecordLineProps {
  wanted: WantedRecord;
  name: string;
  by: string;
  instrument: string;
}

function RecordLine({ wanted, name, by, instrument }: RecordLineProps) {
  const session = useSession();
  const { what, position, record } = wanted;
  const [typed, setTyped] = useState('');
  const [limit, setLimit] = useState('');
  const [trouble, setTrouble] = useState('');
  const label = [name, position].filter(Boolean).join(', ');
  const take = () => {
    const [shown, own] = [readOhms(typed), readOhms(limit)];
    if (typeof shown !== 'number') return setTrouble(POWER_RECORDS_TEXT.ohmsAsAFigureM);
    if (own === undefined || own === 0) return setTrouble(POWER_RECORDS_TEXT.theLimitAsAFigure);
    if (instrument === '' || by === '') return setTrouble(POWER_RECORDS_TEXT.firstSayAboveWithWhich);
    setTrouble('');
    session.emit({
      kind: 'power-recorded',
      record: {
        what,
        position,
        ...(wanted.setting && { setting: wanted.setting }),
        ohms: shown,
        limit: own ?? wanted.limit,
        instrument,
        by,
      },
    });
  };
  const within = record && isWithin(wanted, record);
  return (
    <li className="grid gap-1 py-1">
      <div className="flex flex-wrap items-center gap-2">
        <span className={`min-w-20 grow font-semibold ${position === '' ? '' : 'font-mono'}`}>
          {position || name}
        </span>
        {record && record.ohms !== null ? (
          <>
            <span className={within === false ? 'font-bold text-brick' : 'font-bold'}>
              {ohms(record.ohms)}
              {record.limit !== null && `, ${recordLimitWords({ ...wanted, limit: record.limit })}`}
              {within === false && POWER_RECORDS_TEXT.outside}
            </span>
            <span className="text-quiet">
              {record.instrument}, {record.by}
            </span>
            <PlainButton
              look="quiet"
              aria-label={POWER_RECORDS_TEXT.takeBack(label)}
              onClick={() => session.emit({ kind: 'power-recorded', record: { ...record, ohms: null } })}
            >
              {POWER_RECORDS_TEXT.takeBack2}
            </PlainButton>
          </>
        ) : (
          <form
            className="flex flex-wrap items-center gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              take();
            }}
          >
            <TextInput
              aria-label={POWER_RECORDS_TEXT.ohms(label)}
              placeholder={POWER_RECORDS_TEXT.ohms2}
              value={typed}
              onChange={({ target }) => setTyped(target.value)}
              className="w-28"
            />
            {wanted.limit !== null && (
              <TextInput
                aria-label={POWER_RECORDS_TEXT.limit(label)}
                placeholder={recordLimitWords(wanted)}
                value={limit}
                onChange={({ target }) => setLimit(target.value)}
                className="w-36"
              />
            )}
            <PlainButton type="submit">{POWER_RECORDS_TEXT.keep}</PlainButton>
          </form>
        )}
      </div>
      {trouble && (
        <p role="alert" className="text-brick">
          {trouble}
        </p>
      )}
    </li>
  );
}
