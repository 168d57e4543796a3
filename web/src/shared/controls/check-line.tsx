import type { ReactNode } from 'react';

interface CheckLineProps {
  checked: boolean;
  onChange: (checked: boolean) => void;
  /** Something dangerous is said by it. */
  hazard?: boolean;
  children: ReactNode;
}

/** A line to tick, large enough for a thumb. */
export function CheckLine({ checked, onChange, hazard = false, children }: CheckLineProps) {
  return (
    <label className="flex min-h-12 items-center gap-3">
      <input
        type="checkbox"
        className={`size-6 shrink-0 ${hazard ? 'accent-(--brick)' : 'accent-(--teal)'}`}
        checked={checked}
        onChange={({ target }) => onChange(target.checked)}
      />
      <span>{children}</span>
    </label>
  );
}
