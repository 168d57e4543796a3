import { RadioGroup } from 'radix-ui';
import type { KeyboardEvent, ReactNode } from 'react';

/** One of the lines. */
export interface RadioOption<Value extends string> {
  value: Value;
  /** What stands beside the mark. */
  text: ReactNode;
  /** The key that chooses it in an open panel. */
  shortcut?: string;
}

interface RadioLinesProps<Value extends string> {
  label: ReactNode;
  /** What the group is called where the label is more than words. */
  name?: string;
  /** None is chosen while it is null. */
  value: Value | null;
  options: readonly RadioOption<Value>[];
  onChoose: (value: Value) => void;
  /** The chosen one is chosen once more: to hold it where it was only proposed. */
  onAgain?: (value: Value) => void;
  /** Side by side, the label before them. */
  inRow?: boolean;
  className?: string;
}

const STEPS: Partial<Record<string, number>> = {
  ArrowDown: 1,
  ArrowRight: 1,
  ArrowUp: -1,
  ArrowLeft: -1,
};

/**
 * An arrow moves and chooses at once, as in a group of native radios. The primitive moves a moment later
 * and chooses only while the key is still down, so that a quick tap, or a second one, was lost.
 */
function chooseByArrow(event: KeyboardEvent<HTMLButtonElement>) {
  const step = STEPS[event.key];
  if (step === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
  event.preventDefault();
  const group = event.currentTarget.closest('[role="radiogroup"]');
  const marks = [...(group?.querySelectorAll<HTMLElement>('[role="radio"]:not(:disabled)') ?? [])];
  const here = marks.indexOf(event.currentTarget);
  const next = marks[(here + step + marks.length) % marks.length];
  next?.focus();
  next?.click();
}

/** One of a few, a line for each, with room for more than its name. */
export function RadioLines<Value extends string>(props: RadioLinesProps<Value>) {
  const { label, name, value, options, onChoose, onAgain, inRow = false, className = '' } = props;
  return (
    <RadioGroup.Root
      aria-label={name ?? (typeof label === 'string' ? label : undefined)}
      value={value ?? ''}
      onValueChange={(chosen) => {
        const option = options.find((one) => one.value === chosen);
        if (option) onChoose(option.value);
      }}
      className={`${inRow ? 'flex flex-wrap items-center gap-x-6' : 'block'} ${className}`}
    >
      <span aria-hidden="true" className="block font-semibold">
        {label}
      </span>
      {options.map((option) => (
        <label
          key={option.value}
          className={`flex min-h-12 items-center ${inRow ? 'gap-2' : 'gap-3 py-0.5'}`}
        >
          <RadioGroup.Item
            value={option.value}
            aria-keyshortcuts={option.shortcut}
            onKeyDown={chooseByArrow}
            onClick={() => option.value === value && onAgain?.(value)}
            className="grid size-6 shrink-0 place-items-center rounded-full border-2 border-ink bg-sheet data-[state=checked]:border-teal"
          >
            <RadioGroup.Indicator className="size-3 rounded-full bg-teal" />
          </RadioGroup.Item>
          {option.text}
        </label>
      ))}
    </RadioGroup.Root>
  );
}
