import type { ComponentProps } from 'react';

/** How everything that is typed into looks. */
const BOX =
  'min-h-12 min-w-0 rounded-part border-2 border-edge bg-sheet px-2 placeholder:text-quiet aria-invalid:border-brick';

type Looks = {
  /** Figures, labels, codes: letters that are not mistaken for each other. */
  mono?: boolean;
};

/** A line to type into; its label stands with whoever asks for it. `className` says its place and width alone. */
export function TextInput({ mono = false, className = '', ...input }: ComponentProps<'input'> & Looks) {
  return <input {...input} className={`${BOX} ${mono ? 'font-mono' : ''} ${className}`} />;
}

/** Several lines to type into. */
export function TextLines({ mono = false, className = '', ...lines }: ComponentProps<'textarea'> & Looks) {
  return <textarea {...lines} className={`${BOX} py-2 ${mono ? 'font-mono' : ''} ${className}`} />;
}
