import type { ButtonHTMLAttributes } from 'react';

const LOOKS = {
  plain: 'border-edge bg-sheet text-ink hover:border-ink',
  strong: 'border-enamel bg-enamel text-on-enamel hover:bg-enamel-lift dark:border-brass',
  quiet: 'border-transparent bg-transparent text-ink underline underline-offset-4 hover:border-line',
};

/** An ordinary button. */
export function PlainButton({
  look = 'plain',
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: keyof typeof LOOKS }) {
  return (
    <button
      type="button"
      {...rest}
      className={`min-h-12 rounded-part border-2 py-1.5 font-semibold disabled:opacity-40 ${LOOKS[look]} ${/(^| )px-/.test(className) ? '' : 'px-4'} ${className}`}
    />
  );
}
