import { Check } from 'lucide-react';
import { Checkbox } from 'radix-ui';
import type { ReactNode } from 'react';

interface CheckLineProps {
  checked: boolean;
  onChange: (checked: boolean) => void;
  /** Something dangerous is said by it. */
  hazard?: boolean;
  /** It stands in a row with others. */
  tight?: boolean;
  disabled?: boolean;
  /** The key that ticks it in an open panel. */
  shortcut?: string;
  className?: string;
  children: ReactNode;
}

/** A line to tick, large enough for a thumb. */
export function CheckLine(props: CheckLineProps) {
  const {
    checked,
    onChange,
    hazard = false,
    tight = false,
    disabled,
    shortcut,
    className = '',
    children,
  } = props;
  return (
    <label className={`flex min-h-12 items-center ${tight ? 'gap-2' : 'gap-3'} ${className}`}>
      <Checkbox.Root
        checked={checked}
        onCheckedChange={(now) => onChange(now === true)}
        disabled={disabled}
        aria-keyshortcuts={shortcut}
        className={`grid size-6 shrink-0 place-items-center rounded-part border-2 border-ink bg-sheet disabled:border-line ${
          hazard
            ? 'data-[state=checked]:border-brick data-[state=checked]:bg-brick data-[state=checked]:text-sheet'
            : 'data-[state=checked]:border-teal data-[state=checked]:bg-teal data-[state=checked]:text-on-teal'
        }`}
      >
        <Checkbox.Indicator>
          <Check size={18} strokeWidth={3} aria-hidden="true" />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <span>{children}</span>
    </label>
  );
}
