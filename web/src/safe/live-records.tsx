import { CURRENTS, type Current } from '@which-way/core/log';
import { Choice } from '../shared/controls/choice.js';
import { readVolts } from './volts-field.js';
import { liveRecordsOf } from '@which-way/core/log';
import { type RecordId } from '@which-way/core/switch';
import { useMemo, useState, type FormEvent } from 'react';
import { useJobState, useSession } from '../job/job-context.js';
import { newId } from '../job/new-id.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { CheckLine } from '../shared/controls/check-line.js';

const EMPTY = { where: '', volts: '', reason: '', by: '', dial: false };
const INPUT = 'mt-1 min-h-12 w-full rounded-part border-2 border-line bg-sheet px-3';

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
    <label>
      {label}
      <input
        value={typed[field]}
        maxLength={maxLength}
        onChange={({ target }) => setTyped({ ...typed, [field]: target.value })}
        className={INPUT}
      />
    </label>
  );
  return (
    <section aria-label="Live records" className="border-t-2 border-line pt-3">
      <h2 className="font-bold">Live measurements</h2>
      <p className="text-quiet">
        Recorded only: they map nothing and open nothing. For a competent person, where it cannot be done
        dead.
      </p>
      <ul className="mt-2 grid gap-2">
        {records.map(({ record, at, event }) => (
          <li key={event} className="border-l-4 border-brick pl-3">
            <strong className="font-mono">
              {record.volts} V{record.current && ` ${record.current}`}
            </strong>{' '}
            at {record.where}, by {record.by}, {new Date(at).toLocaleString()}. {record.reason}
          </li>
        ))}
      </ul>
      {!open ? (
        <PlainButton className="mt-2" onClick={() => setOpen(true)}>
          Record a live measurement
        </PlainButton>
      ) : (
        <form onSubmit={keep} className="mt-2 grid gap-3">
          {text('where', 'Between which points, in which position', 200)}
          {text('volts', 'Volts', 9)}
          <Choice
            label="AC or DC"
            value={current}
            options={CURRENTS.map((value) => ({ value, text: value }))}
            onChoose={setCurrent}
          />
          {text('reason', 'Why it cannot be done dead', 300)}
          {text('by', 'Competent person', 80)}
          <CheckLine checked={typed.dial} onChange={(ticked) => setTyped({ ...typed, dial: ticked })}>
            Dial on volts, red lead in the volts socket
          </CheckLine>
          {missing.length > 0 && <p className="text-small text-quiet">Still needed: {missing.join('; ')}.</p>}
          <div className="flex gap-3">
            <PlainButton type="submit" disabled={missing.length > 0}>
              Keep the record
            </PlainButton>
            <PlainButton look="quiet" onClick={() => setOpen(false)}>
              Close
            </PlainButton>
          </div>
        </form>
      )}
    </section>
  );
}
