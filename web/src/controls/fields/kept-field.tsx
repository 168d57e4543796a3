import { useEffect, useId, useRef } from 'react';
import { TextInput, TextLines } from './text-input.js';
import { useDraft } from './use-draft.js';
import { KEPT_FIELD_TEXT } from '@which-way/words/screens/controls/fields/kept-field';

/** A field is kept when the hands rest this long, so that a reload or a crash loses a word at most. */
const KEEP_AFTER_MS = 700;

interface KeptFieldProps {
  label: string;
  hint?: string;
  /** More than one line makes it a text area. */
  lines?: number;
  text: string;
  maxLength: number;
  mono?: boolean;
  unit?: string | null;
  /** The label stands before the field, the hint in it: a line of a list. */
  inLine?: boolean;
  onKeep: (text: string) => void;
}

/** A text that is kept by itself, on leaving the field or when the hands rest; reloaded before that, it is there again. */
export function KeptField({
  label,
  hint,
  lines = 1,
  text,
  maxLength,
  mono = false,
  unit,
  inLine = false,
  onKeep,
}: KeptFieldProps) {
  const [typed, setTyped] = useDraft(label);
  const id = useId();
  const latest = useRef(onKeep);
  useEffect(() => {
    latest.current = onKeep;
  });
  useEffect(() => {
    if (typed === null || typed === text) return undefined;
    const timer = setTimeout(() => latest.current(typed), KEEP_AFTER_MS);
    return () => clearTimeout(timer);
  }, [typed, text]);
  const common = {
    id,
    maxLength,
    value: typed ?? text,
    autoComplete: 'off',
    onBlur: () => {
      if (typed !== null && typed !== text) onKeep(typed);
      setTyped(null);
    },
    mono,
    placeholder: inLine ? hint : undefined,
    className: inLine ? 'w-full' : 'mt-1 w-full',
  };
  return (
    <div className={inLine ? 'grid items-center gap-x-4 sm:grid-cols-[14rem_1fr]' : ''}>
      <label htmlFor={id} className="font-semibold">
        {label}
        {unit && (
          <span className="font-normal text-quiet">
            {KEPT_FIELD_TEXT.inText}
            {unit}
          </span>
        )}
      </label>
      {lines > 1 ? (
        <TextLines {...common} rows={lines} onChange={(event) => setTyped(event.target.value)} />
      ) : (
        <TextInput {...common} onChange={(event) => setTyped(event.target.value)} />
      )}
      {hint && !inLine && <span className="block text-small text-quiet">{hint}</span>}
    </div>
  );
}
