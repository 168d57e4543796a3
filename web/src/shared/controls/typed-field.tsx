interface TypedFieldProps {
  label: string;
  value: string;
  maxLength: number;
  onType: (value: string) => void;
  /** Takes what room there is in a row. */
  grow?: boolean;
}

/** A line of text under its label, kept by whoever asks for it. */
export function TypedField({ label, value, maxLength, onType, grow = false }: TypedFieldProps) {
  return (
    <label className={`grid gap-1 ${grow ? 'grow' : ''}`}>
      {label}
      <input
        value={value}
        maxLength={maxLength}
        onChange={({ target }) => onType(target.value)}
        className="min-h-12 min-w-0 rounded-part border-2 border-line bg-sheet px-3"
      />
    </label>
  );
}
