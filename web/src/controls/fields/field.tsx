import type { ComponentProps, ReactNode } from 'react';
import { TextInput } from './text-input.js';

interface FieldProps extends Omit<ComponentProps<typeof TextInput>, 'onChange'> {
  label: ReactNode;
  onType?: (text: string) => void;
  /** Place and width of the line itself; `className` is that of the whole. */
  box?: string;
}

/** A line to type into under its label. */
export function Field({ label, onType, box = '', className = '', ...input }: FieldProps) {
  return (
    <label className={`grid content-start gap-1 ${className}`}>
      {label}
      <TextInput
        {...input}
        {...(onType && { onChange: ({ target }) => onType(target.value) })}
        className={box}
      />
    </label>
  );
}
