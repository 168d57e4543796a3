import { FORM_WORDS } from '@which-way/words/tag/layouts';
import { ACTUATOR_FORMS } from '@which-way/core/switch';

import type { LibraryQuestion } from '../api/client.js';
import { readAmount } from '../shared/controls/amount.js';
import { CheckLine } from '../shared/controls/check-line.js';
import { Pick } from '../shared/controls/pick.js';
import { useState } from 'react';

/** Facts that are asked for. */
export type FactFilter = Omit<LibraryQuestion, 'search' | 'size' | 'from'>;

const FIGURES = [
  ['terminals', 'Terminals, exactly'],
  ['positions', 'Positions, exactly'],
  ['amps', 'A that only heat, at least'],
  ['motorAmps', 'A of a motor, at least'],
  ['voltsAc', 'V AC, at least'],
  ['voltsDc', 'V DC, at least'],
  ['mostPrice', 'Price, at most'],
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
        By what is stated{said > 0 && `: ${said} asked for`}
      </summary>
      <div className="grid grid-cols-2 items-end gap-2 sm:grid-cols-4">
        {FIGURES.map(([name, label]) => (
          <Figure key={name} label={label} onSay={(value) => set(name, value)} />
        ))}
        <Pick
          label="Handle"
          value={filter.form ?? ''}
          options={[ANY, ...ACTUATOR_FORMS.map((form) => ({ value: form, text: FORM_WORDS[form] }))]}
          onPick={(form) => set('form', form || undefined)}
        />
        <Pick
          label="Disconnection"
          value={filter.disconnection ?? ''}
          options={[ANY, ...DISCONNECTIONS.map((one) => ({ value: one, text: one }))]}
          onPick={(one) => set('disconnection', one || undefined)}
        />
        <CheckLine checked={filter.springs === true} onChange={(on) => set('springs', on || undefined)}>
          springs back
        </CheckLine>
        <CheckLine checked={filter.inStock === true} onChange={(on) => set('inStock', on || undefined)}>
          in stock
        </CheckLine>
        <CheckLine checked={filter.kind === 'part'} onChange={(on) => set('kind', on ? 'part' : undefined)}>
          parts alone
        </CheckLine>
      </div>
      <p className="text-small text-quiet">
        What an entry does not state it is not found by: it may still have it.
      </p>
    </details>
  );
}

function Figure({ label, onSay }: { label: string; onSay: (value: number | undefined) => void }) {
  const [typed, setTyped] = useState('');
  const wrong = readAmount(typed) === undefined;
  return (
    <label className="grid gap-1">
      {label}
      <input
        value={typed}
        inputMode="decimal"
        aria-invalid={wrong}
        onChange={({ target }) => {
          setTyped(target.value);
          const value = readAmount(target.value);
          if (value !== undefined) onSay(value ?? undefined);
        }}
        className="min-h-12 min-w-0 rounded-part border-2 border-line bg-sheet px-3 font-mono aria-invalid:border-brick"
      />
      {wrong && (
        <span role="alert" className="text-small text-brick">
          “{typed}” is no number: write 12 or 12.5.
        </span>
      )}
    </label>
  );
}
