import { worthSum, type TurningPoint } from '@which-way/core/worth';
import { worthOf, type WorthInputs } from '@which-way/core/log';
import { useState } from 'react';
import { NO_WORTH } from './no-worth.js';
import { useJobState, useSession } from '../job/job-context.js';
import { readAmount } from '../shared/controls/amount.js';
import { KeptField } from '../shared/controls/kept-field.js';
import { Notice } from '../shared/controls/notice.js';
import { CheckLine } from '../shared/controls/check-line.js';

type Amount = Exclude<keyof WorthInputs, 'dangerous'>;

const FIELDS: { field: Amount; label: string; hint: string; unit: string | null }[] = [
  { field: 'part', label: 'The part', hint: 'What the switch costs; 0 if it can be cleaned.', unit: null },
  { field: 'minutes', label: 'Time', hint: 'At the bench, testing included.', unit: 'minutes' },
  { field: 'ratePerHour', label: 'Rate per hour', hint: '0 where nobody is paid.', unit: null },
  { field: 'postage', label: 'Postage and travel', hint: '0 if there is none.', unit: null },
  { field: 'newMachine', label: 'A new machine', hint: 'Of the same use.', unit: null },
  { field: 'newLife', label: 'A new one lasts', hint: 'Of this price, as you know them.', unit: 'years' },
  { field: 'lifeLeft', label: 'This one would last', hint: 'Once repaired.', unit: 'years' },
  { field: 'limit', label: 'The owner’s own limit', hint: 'Empty: none was said.', unit: null },
];

/** Whether it is worth repairing, in money alone; and when money is not the question. */
export function WorthPage() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const inputs = worthOf(log) ?? NO_WORTH;
  const [wrong, setWrong] = useState<Partial<Record<Amount, string>>>({});
  const keep = (field: Amount, text: string) => {
    const value = readAmount(text);
    if (value === undefined) return setWrong({ ...wrong, [field]: text });
    setWrong(Object.fromEntries(Object.entries(wrong).filter(([name]) => name !== field)));
    if (value !== inputs[field]) session.emit({ kind: 'worth-noted', inputs: { ...inputs, [field]: value } });
  };
  return (
    <main className="grid grow content-start gap-x-10 gap-y-8 p-4 sm:p-6 lg:grid-cols-2">
      <section aria-label="What it takes">
        <h1 className="text-title font-bold">Repair or replace</h1>
        <p className="mt-1 text-quiet">In the money that you use. What you leave empty stays unknown.</p>
        <div className="mt-4 grid gap-4 sm:grid-cols-2">
          {FIELDS.map(({ field, label, hint, unit }) => (
            <div key={field}>
              <KeptField
                label={label}
                hint={hint}
                unit={unit}
                maxLength={12}
                mono
                text={wrong[field] ?? inputs[field]?.toString() ?? ''}
                onKeep={(text) => keep(field, text)}
              />
              {wrong[field] !== undefined && (
                <p role="alert" className="text-small text-brick">
                  “{wrong[field]}” is not an amount. Give a number such as 12 or 12.50, up to 1000000.
                </p>
              )}
            </div>
          ))}
        </div>
        <div className="mt-5 font-semibold">
          <CheckLine
            checked={inputs.dangerous}
            onChange={(ticked) =>
              session.emit({ kind: 'worth-noted', inputs: { ...inputs, dangerous: ticked } })
            }
            hazard
          >
            It is dangerous, and this repair does not make it safe
          </CheckLine>
        </div>
      </section>
      <Sum inputs={inputs} />
    </main>
  );
}

const money = (value: number): string => value.toFixed(2);

const TURN_WORDS: Record<TurningPoint['field'], (at: number) => string> = {
  part: (at) => `a part at ${money(at)}`,
  minutes: (at) => `${Math.round(at)} minutes at the bench`,
  ratePerHour: (at) => `a rate of ${money(at)} an hour`,
  newMachine: (at) => `a new machine at ${money(at)}`,
  lifeLeft: (at) => `${Number(at.toFixed(1))} years left in this one`,
};

function Sum({ inputs }: { inputs: WorthInputs }) {
  const sum = worthSum(inputs);
  const missing = FIELDS.filter(({ field }) => sum.missing.includes(field)).map(({ label }) =>
    label.toLowerCase(),
  );
  return (
    <section aria-label="Which way it leans" aria-live="polite" className="grid content-start gap-4">
      <p className="text-title leading-tight font-extrabold">
        {sum.leans === 'not-kept' && 'Not to be kept for money’s sake'}
        {sum.leans === 'unknown' && 'It cannot be said yet'}
        {sum.leans === 'even' && 'It comes out even'}
        {sum.leans === 'repair' && `It leans to repair, by ${money(sum.by ?? 0)}`}
        {sum.leans === 'new' && `It leans to a new one, by ${money(sum.by ?? 0)}`}
      </p>
      {sum.leans === 'not-kept' && (
        <Notice look="brick" title="Do not give it back as it is">
          Mend what makes it dangerous, or take it out of use: cut the cord off, and tell the owner why.
        </Notice>
      )}
      {sum.leans === 'unknown' && <p>Still needed: {missing.join(', ')}.</p>}
      <dl className="grid grid-cols-[1fr_auto] gap-x-6 gap-y-1 border-t-2 border-line pt-3 text-large">
        <dt>The repair</dt>
        <dd className="text-right font-mono">{sum.repair === null ? 'not known' : money(sum.repair)}</dd>
        <dt>The same years with a new one</dt>
        <dd className="text-right font-mono">
          {sum.sameYearsNew === null ? 'not known' : money(sum.sameYearsNew)}
        </dd>
      </dl>
      {sum.overLimit !== null && (
        <Notice look="amber" title={`${money(sum.overLimit)} over the owner’s limit`}>
          Ask before going on.
        </Notice>
      )}
      {sum.turns.length > 0 && (
        <div>
          <h2 className="font-bold">It would come out even with</h2>
          <ul className="mt-1 grid gap-1">
            {sum.turns.map(({ field, at }) => (
              <li key={field}>{TURN_WORDS[field](at)}</li>
            ))}
          </ul>
          <p className="mt-2 text-small text-quiet">
            One at a time, the rest as it is. The years of a new one count evenly over its price.
          </p>
        </div>
      )}
    </section>
  );
}
