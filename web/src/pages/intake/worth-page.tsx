import { NUMBER_LETTERS } from '@which-way/core/schema';
import { worthSum, type TurningPoint } from '@which-way/core/worth';
import { recordsOf, type WorthInputs } from '@which-way/core/log';
import { useState } from 'react';
import { NO_WORTH } from '../../parts/worth/no-worth.js';
import { useJobState, useSession } from '../../job/job-context.js';
import { readAmount } from '../../controls/fields/amount.js';
import { KeptField } from '../../controls/fields/kept-field.js';
import { Notice } from '../../controls/notice.js';
import { CheckLine } from '../../controls/fields/check-line.js';
import { WORTH_PAGE_TEXT } from '@which-way/words/screens/pages/intake/worth-page';

type Amount = Exclude<keyof WorthInputs, 'dangerous'>;

const FIELDS: { field: Amount; label: string; hint: string; unit: string | null }[] = [
  { field: 'part', label: WORTH_PAGE_TEXT.thePart, hint: WORTH_PAGE_TEXT.whatTheSwitchCostsIf, unit: null },
  { field: 'minutes', label: 'Time', hint: WORTH_PAGE_TEXT.atTheBenchTestingIncluded, unit: 'minutes' },
  {
    field: 'ratePerHour',
    label: WORTH_PAGE_TEXT.ratePerHour,
    hint: WORTH_PAGE_TEXT.whereNobodyIsPaid,
    unit: null,
  },
  {
    field: 'postage',
    label: WORTH_PAGE_TEXT.postageAndTravel,
    hint: WORTH_PAGE_TEXT.ifThereIsNone,
    unit: null,
  },
  { field: 'newMachine', label: WORTH_PAGE_TEXT.aNewMachine, hint: WORTH_PAGE_TEXT.ofTheSameUse, unit: null },
  {
    field: 'newLife',
    label: WORTH_PAGE_TEXT.aNewOneLasts,
    hint: WORTH_PAGE_TEXT.ofThisPriceAsYou,
    unit: 'years',
  },
  {
    field: 'lifeLeft',
    label: WORTH_PAGE_TEXT.thisOneWouldLast,
    hint: WORTH_PAGE_TEXT.onceRepaired,
    unit: 'years',
  },
  {
    field: 'limit',
    label: WORTH_PAGE_TEXT.theOwnersOwnLimit,
    hint: WORTH_PAGE_TEXT.emptyNoneWasSaid,
    unit: null,
  },
];

/** Whether it is worth repairing, in money alone; and when money is not the question. */
export function WorthPage() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const inputs = recordsOf(log, 'worth-noted') ?? NO_WORTH;
  const [wrong, setWrong] = useState<Partial<Record<Amount, string>>>({});
  const keep = (field: Amount, text: string) => {
    const value = readAmount(text);
    if (value === undefined) return setWrong({ ...wrong, [field]: text });
    setWrong(Object.fromEntries(Object.entries(wrong).filter(([name]) => name !== field)));
    if (value !== inputs[field]) session.emit({ kind: 'worth-noted', inputs: { ...inputs, [field]: value } });
  };
  return (
    <main className="grid grow content-start gap-x-10 gap-y-8 p-4 sm:p-6 lg:grid-cols-2">
      <section aria-label={WORTH_PAGE_TEXT.whatItTakes}>
        <h1 className="text-title font-bold">{WORTH_PAGE_TEXT.repairOrReplace}</h1>
        <p className="mt-1 text-quiet">{WORTH_PAGE_TEXT.inTheMoneyThatYou}</p>
        <div className="mt-4 grid gap-4 sm:grid-cols-2">
          {FIELDS.map(({ field, label, hint, unit }) => (
            <div key={field}>
              <KeptField
                label={label}
                hint={hint}
                unit={unit}
                maxLength={NUMBER_LETTERS}
                mono
                text={wrong[field] ?? inputs[field]?.toString() ?? ''}
                onKeep={(text) => keep(field, text)}
              />
              {wrong[field] !== undefined && (
                <p role="alert" className="text-small text-brick">
                  “{wrong[field]}
                  {WORTH_PAGE_TEXT.isNotAnAmountGive}
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
            {WORTH_PAGE_TEXT.itIsDangerousAndThis}
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
  minutes: (at) => WORTH_PAGE_TEXT.minutesAt(Math.round(at)),
  ratePerHour: (at) => `a rate of ${money(at)} an hour`,
  newMachine: (at) => `a new machine at ${money(at)}`,
  lifeLeft: (at) => WORTH_PAGE_TEXT.yearsLeft(Number(at.toFixed(1))),
};

function Sum({ inputs }: { inputs: WorthInputs }) {
  const sum = worthSum(inputs);
  const missing = FIELDS.filter(({ field }) => sum.missing.includes(field)).map(({ label }) =>
    label.toLowerCase(),
  );
  return (
    <section
      aria-label={WORTH_PAGE_TEXT.whichWayItLeans}
      aria-live="polite"
      className="grid content-start gap-4"
    >
      <p className="text-title leading-tight font-extrabold">
        {sum.leans === 'not-kept' && WORTH_PAGE_TEXT.notToBeKeptFor}
        {sum.leans === 'unknown' && WORTH_PAGE_TEXT.itCannotBeSaidYet}
        {sum.leans === 'even' && WORTH_PAGE_TEXT.itComesOutEven}
        {sum.leans === 'repair' && WORTH_PAGE_TEXT.itLeansToRepairBy(money(sum.by ?? 0))}
        {sum.leans === 'new' && WORTH_PAGE_TEXT.itLeansToANew(money(sum.by ?? 0))}
      </p>
      {sum.leans === 'not-kept' && (
        <Notice look="brick" title={WORTH_PAGE_TEXT.doNotGiveItBack}>
          {WORTH_PAGE_TEXT.mendWhatMakesItDangerous}
        </Notice>
      )}
      {sum.leans === 'unknown' && (
        <p>
          {WORTH_PAGE_TEXT.stillNeeded}
          {missing.join(', ')}.
        </p>
      )}
      <dl className="grid grid-cols-[1fr_auto] gap-x-6 gap-y-1 border-t-2 border-line pt-3 text-large">
        <dt>{WORTH_PAGE_TEXT.theRepair}</dt>
        <dd className="text-right font-mono">
          {sum.repair === null ? WORTH_PAGE_TEXT.notKnown : money(sum.repair)}
        </dd>
        <dt>{WORTH_PAGE_TEXT.theSameYearsWithA}</dt>
        <dd className="text-right font-mono">
          {sum.sameYearsNew === null ? WORTH_PAGE_TEXT.notKnown : money(sum.sameYearsNew)}
        </dd>
      </dl>
      {sum.overLimit !== null && (
        <Notice look="amber" title={WORTH_PAGE_TEXT.overTheOwnersLimit(money(sum.overLimit))}>
          {WORTH_PAGE_TEXT.askBeforeGoingOn}
        </Notice>
      )}
      {sum.turns.length > 0 && (
        <div>
          <h2 className="font-bold">{WORTH_PAGE_TEXT.itWouldComeOutEven}</h2>
          <ul className="mt-1 grid gap-1">
            {sum.turns.map(({ field, at }) => (
              <li key={field}>{TURN_WORDS[field](at)}</li>
            ))}
          </ul>
          <p className="mt-2 text-small text-quiet">{WORTH_PAGE_TEXT.oneAtATimeThe}</p>
        </div>
      )}
    </section>
  );
}
