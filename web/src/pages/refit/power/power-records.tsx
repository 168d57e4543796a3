import { supplyOf } from '@which-way/core/safety';
import type { SupplyKind } from '@which-way/core/log';
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
  return (
    <section aria-label={POWER_RECORDS_TEXT.insulationAndEarth} className="grid min-w-0 content-start gap-3">
      <h2 className="text-large font-bold">{POWER_RECORDS_TEXT.insulationAndEarth}</h2>
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
          <ul className="border-t-2 border-line">
            {wanted.map((one) => (
              <RecordLine
                key={`${one.what} ${one.setting ?? one.position} ${one.record?.ohms ?? ''}`}
                wanted={one}
                supply={supply}
                by={who.trim()}
                instrument={instrument.trim()}
              />
            ))}
          </ul>
          <p className="text-quiet">{POWER_RECORDS_TEXT.firstPowerThroughAResidual}</p>
        </>
      )}
    </section>
  );
}

interface RecordLineProps {
  wanted: WantedRecord;
  supply: SupplyKind;
  by: string;
  instrument: string;
}

function RecordLine({ wanted, supply, by, instrument }: RecordLineProps) {
  const session = useSession();
  const { what, position, record } = wanted;
  const [typed, setTyped] = useState('');
  const [limit, setLimit] = useState('');
  const [trouble, setTrouble] = useState('');
  const { name, how } = beforePowerWords(what, supply);
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
    <li className="grid gap-1 border-b border-line py-2">
      <div className="flex flex-wrap items-center gap-2">
        <span className="min-w-40 grow font-semibold">{label}</span>
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
      <p className="text-small text-quiet">{how}</p>
      {trouble && (
        <p role="alert" className="text-brick">
          {trouble}
        </p>
      )}
    </li>
  );
}
