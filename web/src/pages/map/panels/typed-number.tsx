import { useState } from 'react';
import { TextInput } from '../../../controls/fields/text-input.js';

/** A number that is typed in: taken when the field is left or at Enter; where it is none, what would be right is said. */
export function TypedNumber({
  label,
  value,
  read,
  onGiven,
  shortcut,
  children,
}: {
  label: string;
  value: number;
  /** The number, or a message that says what would be right. */
  read: (text: string) => number | string;
  onGiven: (value: number) => void;
  /** The key that brings the focus here, in a panel with keys. */
  shortcut?: string;
  children?: React.ReactNode;
}) {
  const [message, setMessage] = useState('');
  const take = (text: string) => {
    const given = read(text);
    setMessage(typeof given === 'string' ? given : '');
    if (typeof given === 'number' && given !== value) onGiven(given);
  };
  return (
    <>
      <label className="flex items-center gap-3 py-0.5">
        <span className="grow">
          {label} {children}
        </span>
        <TextInput
          key={value}
          inputMode="decimal"
          aria-keyshortcuts={shortcut}
          defaultValue={String(value)}
          onBlur={(event) => take(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && take(event.currentTarget.value)}
          mono
          className="w-20 shrink-0"
        />
      </label>
      {message && (
        <p role="alert" className="mt-1 text-brick">
          {message}
        </p>
      )}
    </>
  );
}
