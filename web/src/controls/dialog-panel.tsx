import { Dialog } from 'radix-ui';
import type { KeyboardEvent, ReactNode } from 'react';

interface DialogPanelProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  children: ReactNode;
  /** The panel takes keys of its own: it has the focus first, not its first button. */
  onKeyDown?: (event: KeyboardEvent) => void;
}

/** A panel over the page, left with Escape. */
export function DialogPanel({ open, onOpenChange, title, children, onKeyDown }: DialogPanelProps) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-lead-black/60" />
        <Dialog.Content
          aria-describedby={undefined}
          onKeyDown={onKeyDown}
          onOpenAutoFocus={(event) => {
            const panel = event.currentTarget as HTMLElement;
            // Else the first button has the focus, whatever it does.
            const first = onKeyDown ? panel : panel.querySelector<HTMLElement>('[data-first-focus]');
            if (!first) return;
            event.preventDefault();
            first.focus();
          }}
          className="fixed top-1/2 left-1/2 z-50 max-h-dvh w-[min(42rem,100vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-part bg-sheet p-7"
        >
          <Dialog.Title className="text-title font-bold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
