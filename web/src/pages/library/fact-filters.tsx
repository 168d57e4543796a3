import { FORM_WORDS } from '@which-way/words/tag/layouts';
import { ACTUATOR_FORMS } from '@which-way/core/switch';

import type { LibraryQuery } from '@which-way/contract';
import { readAmount } from '../../controls/fields/amount.js';
import { CheckLine } from '../../controls/fields/check-line.js';
import { Pick } from '../../controls/fields/pick.js';
import { useState } from 'react';
import { FACT_FILTERS_TEXT } from '@which-way/words/screens/pages/library/fact-filters';
import { TextInput } from '../../controls/fields/text-input.js';

/** Facts that are asked for. */
export type FactFilter = Omit<LibraryQuery, 'search' | 'size' | 'from'>;

const FIGURES = [
  ['terminals', FACT_FILTERS_TEXT.terminalsExactly],
  ['positions', FACT_FILTERS_TEXT.positionsExactly],
  ['amps', FACT_FILTERS_TEXT.aThatOnlyHeatAt],
  ['motorAmps', FACT_FILTERS_TEXT.aOfAMotorAt],
  ['voltsAc', FACT_FILTERS_TEXT.vAcAtLeast],
  ['voltsDc', FACT_FILTERS_TEXT.vDcAtLeast],
  ['mostPrice', FACT_FILTERS_TEXT.priceAtMost],
] as const;

const DISCONNECTIONS = ['full', 'mini', 'micro', 'electronic'] as const;
const ANY = { value: '', text: 'any' };

/** Search by facts: what an entry does not state it is not found by. */
export function FactFilters({
  filter,
  onFilter,
}: {
  filter: FactFilter;
  onFilter: (filter: FactFilter) => void;
}) {
  const said = Object.keys(filter).length;
  const set = (name: keyof FactFilter, value: string | number | boolean | undefined) => {
    const rest = Object.fromEntries(Object.entries(filter).filter(([key]) => key !== name));
    onFilter(value === undefined ? rest : { ...rest, [name]: value });
  };
  return (
    <details open={said > 0 || undefined}>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">
        {FACT_FILTERS_TEXT.byWhatIsStated}
        {said > 0 && FACT_FILTERS_TEXT.askedFor(said)}
      </summary>
      <div className="grid grid-cols-2 items-end gap-2 sm:grid-cols-4">
        {FIGURES.map(([name, label]) => (
          <Figure key={name} label={label} onSay={(value) => set(name, value)} />
        ))}
        <Pick
          label={FACT_FILTERS_TEXT.handle}
          value={filter.form ?? ''}
          options={[ANY, ...ACTUATOR_FORMS.map((form) => ({ value: form, text: FORM_WORDS[form] }))]}
          onPick={(form) => set('form', form || undefined)}
        />
        <Pick
          label={FACT_FILTERS_TEXT.disconnection}
          value={filter.disconnection ?? ''}
          options={[ANY, ...DISCONNECTIONS.map((one) => ({ value: one, text: one }))]}
          onPick={(one) => set('disconnection', one || undefined)}
        />
        <CheckLine checked={filter.springs === true} onChange={(on) => set('springs', on || undefined)}>
          {FACT_FILTERS_TEXT.springsBack}
        </CheckLine>
        <CheckLine checked={filter.inStock === true} onChange={(on) => set('inStock', on || undefined)}>
          {FACT_FILTERS_TEXT.inStock}
        </CheckLine>
        <CheckLine checked={filter.kind === 'part'} onChange={(on) => set('kind', on ? 'part' : undefined)}>
          {FACT_FILTERS_TEXT.partsAlone}
        </CheckLine>
      </div>
      <p className="text-small text-quiet">{FACT_FILTERS_TEXT.whatAnEntryDoesNot}</p>
    </details>
  );
}

function Figure({ label, onSay }: { label: string; onSay: (value: number | undefined) => void }) {
  const [typed, setTyped] = useState('');
  const wrong = readAmount(typed) === undefined;
  return (
    <label className="grid gap-1">
      {label}
      <TextInput
        value={typed}
        inputMode="decimal"
        aria-invalid={wrong}
        onChange={({ target }) => {
          setTyped(target.value);
          const value = readAmount(target.value);
          if (value !== undefined) onSay(value ?? undefined);
        }}
        mono
      />
      {wrong && (
        <span role="alert" className="text-small text-brick">
          “{typed}
          {FACT_FILTERS_TEXT.isNoNumberWriteOr}
        </span>
      )}
    </label>
  );
}
