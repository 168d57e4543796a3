import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';

/** One of a list. An empty value stands for none. */
export interface PickOption {
  value: string;
  text: string;
}

/** Options under a heading. */
export interface PickGroup {
  heading: string;
  options: readonly PickOption[];
}

interface PickProps {
  label: string;
  /** The label is said, and stands nowhere. */
  quiet?: boolean;
  value: string;
  options: readonly (PickOption | PickGroup)[];
  onPick: (value: string) => void;
  /** What stands there while the value is none of the options. */
  placeholder?: string;
  autoFocus?: boolean;
  className?: string;
  onFocus?: () => void;
}

/** Radix keeps the empty value for itself. */
const NONE = '-none-';
const inside = (value: string): string => (value === '' ? NONE : value);

/** Chooses one of a list that is too long to stand in sight. */
export function Pick({
  label,
  quiet = false,
  value,
  options,
  onPick,
  placeholder = '',
  autoFocus,
  className = '',
  onFocus,
}: PickProps) {
  const all = options.flatMap((one) => ('options' in one ? one.options : [one]));
  const known = all.some((option) => option.value === value);
  const trigger = (
    <Select.Root
      value={known ? inside(value) : ''}
      onValueChange={(chosen) => onPick(chosen === NONE ? '' : chosen)}
    >
      <Select.Trigger
        aria-label={label}
        autoFocus={autoFocus}
        onFocus={onFocus}
        className={`flex min-h-12 min-w-0 items-center justify-between gap-1 rounded-part border-2 border-edge bg-sheet px-2 text-left font-normal hover:border-ink ${className}`}
      >
        <span className="truncate">
          <Select.Value placeholder={placeholder} />
        </span>
        <Select.Icon>
          <ChevronDown size={18} aria-hidden="true" />
        </Select.Icon>
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={4}
          collisionPadding={8}
          className="z-40 max-h-(--radix-select-content-available-height) min-w-(--radix-select-trigger-width) overflow-hidden rounded-part border-2 border-ink bg-sheet"
        >
          <Select.Viewport>
            {options.map((one) =>
              'options' in one ? (
                <Select.Group key={one.heading}>
                  <Select.Label className="px-3 pt-2 text-small font-semibold text-quiet">
                    {one.heading}
                  </Select.Label>
                  {one.options.map((option) => (
                    <Item key={option.value} {...option} />
                  ))}
                </Select.Group>
              ) : (
                <Item key={one.value} {...one} />
              ),
            )}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
  if (quiet) return trigger;
  return (
    <div className="grid gap-1">
      <span aria-hidden="true">{label}</span>
      {trigger}
    </div>
  );
}

const Item = ({ value, text }: PickOption) => (
  <Select.Item
    value={inside(value)}
    className="flex min-h-11 cursor-pointer items-center justify-between gap-4 px-3 outline-none data-highlighted:bg-ink data-highlighted:text-sheet"
  >
    <Select.ItemText>{text}</Select.ItemText>
    <Select.ItemIndicator>
      <Check size={16} aria-hidden="true" />
    </Select.ItemIndicator>
  </Select.Item>
);
