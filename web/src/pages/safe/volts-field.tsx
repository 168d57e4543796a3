import { NUMBER_LETTERS } from '@which-way/core/schema';
import { useId, useState } from 'react';
import { VOLTS_FIELD_TEXT } from '@which-way/words/screens/pages/safe/volts-field';
import { TextInput } from '../../controls/fields/text-input.js';

const MOST_VOLTS = 10_000;

/** Volts as typed: 231, -12,4; null for nothing typed, undefined for what are no volts. */
export function readVolts(text: string): number | null | undefined {
  const typed = text.trim().replace(',', '.').replace('−', '-');
  if (typed === '') return null;
  if (!/^[+-]?\d{1,5}(\.\d{1,3})?$/.test(typed)) return undefined;
  return Math.abs(Number(typed)) <= MOST_VOLTS ? Number(typed) : undefined;
}

/** Volts as they are typed, and what is wrong with them; nothing typed is not wrong, only not there yet. */
export function useVolts(first = '') {
  const [typed, setTyped] = useState(first);
  const volts = readVolts(typed);
  return { typed, setTyped, volts: volts ?? null, wrong: volts === undefined };
}

interface VoltsFieldProps {
  label: string;
  /** The label is said, and stands beside. */
  quiet?: boolean;
  field: ReturnType<typeof useVolts>;
}

/** Volts, with their sign. */
export function VoltsField({ label, quiet = false, field }: VoltsFieldProps) {
  const trouble = useId();
  return (
    <div>
      <label>
        <span className={quiet ? 'sr-only' : ''}>{label}</span>
        <TextInput
          inputMode="text"
          value={field.typed}
          maxLength={NUMBER_LETTERS}
          aria-invalid={field.wrong}
          aria-describedby={field.wrong ? trouble : undefined}
          onChange={(event) => field.setTyped(event.target.value)}
          mono
          className="mt-1 w-28"
        />
      </label>
      {field.wrong && (
        <p id={trouble} className="text-small text-brick">
          {VOLTS_FIELD_TEXT.voltsSuchAsOr}
        </p>
      )}
    </div>
  );
}
