import { CURRENTS, type Current } from '@which-way/core/log';
import { Choice } from '../../controls/fields/choice.js';
import { readVolts } from './volts-field.js';
import { liveRecordsOf } from '@which-way/core/log';
import { type RecordId } from '@which-way/core/switch';
import { useMemo, useState, type FormEvent } from 'react';
import { useJobState, useSession } from '../../job/job-context.js';
import { newId } from '../../job/new-id.js';
import { PlainButton } from '../../controls/plain-button.js';
import { CheckLine } from '../../controls/fields/check-line.js';
import { LIVE_RECORDS_TEXT } from '@which-way/words/screens/pages/safe/live-records';
import { Field } from '../../controls/fields/field.js';

const EMPTY = { where: '', volts: '', reason: '', by: '', dial: false };
/** Live tests: written down with a reason and a competent person, and used for nothing else. */
export function LiveRecords() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const records = useMemo(() => liveRecordsOf(log), [log]);
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState(EMPTY);
  const [current, setCurrent] = useState<Current>('AC');
  const volts = readVolts(typed.volts);
  const missing = [
    typed.where.trim() === '' ? 'where' : '',
    typeof volts === 'number' ? '' : 'the volts, such as 231',
    typed.reason.trim() === '' ? 'why it cannot be done dead' : '',
    typed.by.trim() === '' ? 'the competent person' : '',
    typed.dial ? '' : 'the dial on volts',
  ].filter(Boolean);
  const keep = (event: FormEvent) => {
    event.preventDefault();
    if (missing.length > 0 || typeof volts !== 'number') return;
    const record = {
      id: newId<RecordId>(),
      where: typed.where.trim(),
      volts,
      current,
      reason: typed.reason.trim(),
      by: typed.by.trim(),
    };
    session.emit({ kind: 'live-recorded', record });
    setTyped({ ...EMPTY, by: typed.by });
  };
  const text = (field: 'where' | 'volts' | 'reason' | 'by', label: string, maxLength: number) => (
    <Field
      label={label}
      value={typed[field]}
      maxLength={maxLength}
      onType={(text) => setTyped({ ...typed, [field]: text })}
    />
  );
  return (
    <section aria-label={LIVE_RECORDS_TEXT.liveRecords} className="border-t-2 border-line pt-3">
      <h2 className="font-bold">{LIVE_RECORDS_TEXT.liveMeasurements}</h2>
      <p className="text-quiet">{LIVE_RECORDS_TEXT.recordedOnlyTheyMapNothing}</p>
      <ul className="mt-2 grid gap-2">
        {records.map(({ record, at, event }) => (
          <li key={event} className="border-l-4 border-brick pl-3">
            <strong className="font-mono">
              {record.volts}
              {LIVE_RECORDS_TEXT.v}
              {record.current && ` ${record.current}`}
            </strong>{' '}
            {LIVE_RECORDS_TEXT.at}
            {record.where}
            {LIVE_RECORDS_TEXT.by}
            {record.by}, {new Date(at).toLocaleString()}. {record.reason}
          </li>
        ))}
      </ul>
      {!open ? (
        <PlainButton className="mt-2" onClick={() => setOpen(true)}>
          {LIVE_RECORDS_TEXT.recordALiveMeasurement}
        </PlainButton>
      ) : (
        <form onSubmit={keep} className="mt-2 grid gap-3">
          {text('where', LIVE_RECORDS_TEXT.betweenWhichPointsInWhich, 200)}
          {text('volts', 'Volts', 9)}
          <Choice
            label={LIVE_RECORDS_TEXT.acOrDc}
            value={current}
            options={CURRENTS.map((value) => ({ value, text: value }))}
            onChoose={setCurrent}
          />
          {text('reason', LIVE_RECORDS_TEXT.whyItCannotBeDone, 300)}
          {text('by', LIVE_RECORDS_TEXT.competentPerson, 80)}
          <CheckLine checked={typed.dial} onChange={(ticked) => setTyped({ ...typed, dial: ticked })}>
            {LIVE_RECORDS_TEXT.dialOnVoltsRedLead}
          </CheckLine>
          {missing.length > 0 && (
            <p className="text-small text-quiet">
              {LIVE_RECORDS_TEXT.stillNeeded}
              {missing.join('; ')}.
            </p>
          )}
          <div className="flex gap-3">
            <PlainButton type="submit" disabled={missing.length > 0}>
              {LIVE_RECORDS_TEXT.keepTheRecord}
            </PlainButton>
            <PlainButton look="quiet" onClick={() => setOpen(false)}>
              {LIVE_RECORDS_TEXT.close}
            </PlainButton>
          </div>
        </form>
      )}
    </section>
  );
}
