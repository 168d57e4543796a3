import { Popover } from 'radix-ui';
import type { ComponentProps } from 'react';

interface PopoverPanelProps extends Omit<ComponentProps<typeof Popover.Content>, 'role' | 'aria-label'> {
  /** What it is, to whoever hears it. */
  label: string;
}

/** What opens over the page at the control that was pressed: as high as there is room, and scrolled beyond. */
export function PopoverPanel({ label, className = 'p-4', ...rest }: PopoverPanelProps) {
  return (
    <Popover.Portal>
      <Popover.Content
        role="dialog"
        aria-label={label}
        sideOffset={6}
        collisionPadding={8}
        className={`z-30 max-h-(--radix-popover-content-available-height) max-w-[94vw] overflow-y-auto rounded-part border-2 border-ink bg-sheet ${className}`}
        {...rest}
      />
    </Popover.Portal>
  );
}
