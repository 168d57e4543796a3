import type { SwitchMap } from '@which-way/core/continuity';
import { insulationTestOf } from '@which-way/core/log';
import { SAFETY_NOTE_LETTERS } from '@which-way/core/schema';
import { useState, type FormEvent } from 'react';
import { useSession } from '../../job/job-context.js';
import { readAmount } from '../../shared/controls/amount.js';
import { PlainButton } from '../../shared/controls/plain-button.js';

/** The record of a test with an insulation tester; a multimeter cannot stand in for it. */
export function InsulationPanel({ map }: { map: SwitchMap }) {
  const session = useSession();
  const test = insulationTestOf(map.log);
  const [typed, setTyped] = useState({
    between: 'all contacts to the frame',
    volts: '500',
    megohms: '',
    limit: '1',
  });
  const [volts, megohms, limit] = [
    readAmount(typed.volts, 10_000),
    readAmount(typed.megohms),
    readAmount(typed.limit),
  ];
  const ready = !!volts && typeof megohms === 'number' && !!limit && typed.between.trim() !== '';
  const keep = (event: FormEvent) => {
    event.preventDefault();
    if (!volts || typeof megohms !== 'number' || !limit) return;
    const about = { between: typed.between.trim(), testVolts: volts, megohms, limitMegohms: limit };
    session.emit({ kind: 'insulation-tested', test: about });
    setTyped({ ...typed, megohms: '' });
  };
  const field = (key: keyof typeof typed, label: string, width: string) => (
    <label className="grid gap-1">
      {label}
      <input
        value={typed[key]}
        maxLength={key === 'between' ? SAFETY_NOTE_LETTERS : 8}
        onChange={({ target }) => setTyped({ ...typed, [key]: target.value })}
        className={`min-h-12 min-w-0 rounded-part border-2 border-line bg-sheet px-2 ${width}`}
      />
    </label>
  );
  return (
    <details className="border-t border-line pt-2">
      <summary className="min-h-12 cursor-pointer py-2 font-bold">
        Insulation, with an insulation tester
      </summary>
      <p className="text-quiet">
        For who may do it; never onto electronics, with lamps, varistors and suppressors lifted. 1 megohm at
        500 V DC, 2 for double insulation, is common practice; the shop’s own limits and local rules come
        first.
      </p>
      {test && (
        <p className="flex flex-wrap items-center gap-2">
          <strong>
            {test.megohms} MΩ at {test.testVolts} V, {test.between}; at least {test.limitMegohms} MΩ
          </strong>
          <PlainButton
            look="quiet"
            className="!px-2"
            onClick={() => session.emit({ kind: 'insulation-tested', test: { ...test, megohms: null } })}
          >
            Take back
          </PlainButton>
        </p>
      )}
      <form className="mt-1 flex flex-wrap items-end gap-3" onSubmit={keep}>
        {field('between', 'Between', 'w-56')}
        {field('volts', 'Test volts DC', 'w-24 font-mono')}
        {field('megohms', 'Megohms', 'w-24 font-mono')}
        {field('limit', 'At least', 'w-24 font-mono')}
        {(volts === undefined || megohms === undefined || limit === undefined) && (
          <p role="alert" className="basis-full text-brick">
            Numbers such as 500 volts and 0,8 megohm.
          </p>
        )}
        <PlainButton type="submit" disabled={!ready}>
          Keep
        </PlainButton>
      </form>
    </details>
  );
}
