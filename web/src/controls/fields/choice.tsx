import { ToggleGroup } from 'radix-ui';

interface ChoiceProps<Value extends string> {
  label: string;
  value: Value | null;
  options: readonly { value: Value; text: string }[];
  onChoose: (value: Value) => void;
  /** The label is shown beside, not only said. */
  shown?: boolean;
  /** One control of several parts, as in a line of a list. */
  joined?: boolean;
}

/** One of a few, all in sight. */
export function Choice<Value extends string>({
  label,
  value,
  options,
  onChoose,
  shown = false,
  joined = false,
}: ChoiceProps<Value>) {
  return (
    <div>
      {shown && <p className="mb-1 font-semibold">{label}</p>}
      <ToggleGroup.Root
        type="single"
        aria-label={label}
        value={value ?? ''}
        onValueChange={(chosen) => {
          const option = options.find((one) => one.value === chosen);
          if (option) onChoose(option.value);
        }}
        className={
          joined
            ? 'inline-flex divide-x-2 divide-line rounded-part border-2 border-line'
            : 'flex flex-wrap gap-1'
        }
      >
        {options.map((option) => (
          <ToggleGroup.Item
            key={option.value}
            value={option.value}
            className={`min-h-12 bg-sheet px-3 font-semibold data-[state=on]:bg-ink data-[state=on]:text-sheet ${
              joined
                ? 'hover:underline'
                : 'rounded-part border-2 border-edge hover:border-ink data-[state=on]:border-ink'
            }`}
          >
            {option.text}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
