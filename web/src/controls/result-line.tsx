import type { ReactNode } from 'react';

/** How a line of results stands. */
export type ResultLook = 'pass' | 'fail' | 'not-yet' | 'cannot-tell' | 'plain';

const LOOKS: Record<Exclude<ResultLook, 'plain'>, string> = {
  pass: 'bg-sheet border-ink',
  fail: 'bg-ink text-sheet border-ink',
  'not-yet': 'not-known border-line',
  'cannot-tell': 'bg-sheet border-ink border-dashed',
};

interface ResultLineProps {
  id?: string;
  name: string;
  look?: ResultLook;
  /** In a word or two, on its mark: passed, failed. */
  mark?: string;
  result: ReactNode;
  /** What opening it is for. */
  act: string;
  /** Whether it stands open at first. */
  open?: boolean;
  onOpen?: (open: boolean) => void;
  /** Of lines with one group at most one is open. */
  group?: string;
  children: ReactNode;
}

/** One thing that was judged, in a line with its result; what it rests on, and what can be done about it, folded behind. */
export function ResultLine({
  id,
  name,
  look = 'plain',
  mark,
  result,
  act,
  open,
  onOpen,
  group,
  children,
}: ResultLineProps) {
  return (
    <details
      id={id}
      aria-label={name}
      name={group}
      className="group border-b border-line"
      open={open || undefined}
      onToggle={({ currentTarget }) => onOpen?.(currentTarget.open)}
    >
      <summary className="grid min-h-12 cursor-pointer grid-cols-[minmax(var(--names,6.5rem),auto)_minmax(0,1fr)_auto] items-center gap-x-3 py-1.5">
        <span className="font-bold">{name}</span>
        <span className="flex flex-wrap items-center gap-x-2 sm:flex-nowrap">
          {look !== 'plain' && mark && (
            <span
              className={`inline-block min-w-20 shrink-0 rounded-part border px-2 text-center text-small font-semibold ${LOOKS[look]}`}
            >
              {look === 'pass' && '✓ '}
              {/* What was not done is hatched, as it is everywhere; why stands beside it. */}
              {look === 'not-yet' ? <span className="sr-only">{mark}</span> : mark}
              {look === 'not-yet' && <>&nbsp;</>}
            </span>
          )}
          <span className="min-w-0">{result}</span>
        </span>
        <span className="underline underline-offset-4 group-open:no-underline" aria-hidden="true">
          <span className="group-open:hidden">{act}</span>
          <span className="hidden group-open:inline">▴</span>
        </span>
      </summary>
      <div className="pb-3">{children}</div>
    </details>
  );
}
