import { Dialog } from 'radix-ui';
import { PlainButton } from '../shared/plain-button.js';
import { MAP_KEYS } from './keys.js';

/** What every key does on the Map. */
export function KeysHelp({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-lead-black/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 max-h-dvh w-[min(44rem,100vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-part bg-sheet p-7"
        >
          <Dialog.Title className="text-title font-bold">Keys</Dialog.Title>
          <dl className="my-4 grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
            {MAP_KEYS.map(([keys, does]) => (
              <div key={keys} className="contents">
                <dt>
                  <kbd className="rounded-part border-2 border-line px-2 font-mono font-bold whitespace-nowrap">
                    {keys}
                  </kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close asChild>
            <PlainButton look="strong">Close</PlainButton>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
