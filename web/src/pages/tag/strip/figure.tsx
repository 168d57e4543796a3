import { NUMBER_LETTERS } from '@which-way/core/schema';
import { FIGURE_TEXT } from '@which-way/words/screens/pages/tag/strip/figure';
import { TextInput } from '../../../controls/fields/text-input.js';

/** The kinds of current, to be chosen from. */
export const CURRENT = [
  { value: 'AC', text: 'AC' },
  { value: 'DC', text: 'DC' },
] as const;

interface FigureProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
}

/** A number with its unit behind it. */
export function Figure({ label, value, onChange }: FigureProps) {
  return (
    <label className="flex items-center gap-1">
      <TextInput
        aria-label={label}
        value={value}
        inputMode="decimal"
        maxLength={NUMBER_LETTERS}
        onChange={({ target }) => onChange(target.value)}
        mono
        className="w-20"
      />
      {label}
    </label>
  );
}

/** What is said of numbers that are none. */
export const Wrong = () => (
  <p role="alert" className="basis-full text-brick">
    {FIGURE_TEXT.numbersAboveSuchAsOr}
  </p>
);
