import type { ReactNode } from 'react';

const LOOKS = {
  amber: 'border-amber bg-amber-wash text-amber-ink',
  brick: 'border-brick bg-brick-wash text-brick',
  plain: 'border-line bg-sheet text-ink',
};

/** Something to read: a plain word, something to look at again, or a hazard or a loss. */
export function Notice({
  look,
  title,
  children,
}: {
  look: keyof typeof LOOKS;
  title: string;
  children?: ReactNode;
}) {
  return (
    <section
      role={look === 'plain' ? undefined : 'alert'}
      className={`rounded-part border-2 px-4 py-3 ${LOOKS[look]}`}
    >
      <h2 className="font-bold">{title}</h2>
      {children && <div className="mt-1 text-ink">{children}</div>}
    </section>
  );
}
