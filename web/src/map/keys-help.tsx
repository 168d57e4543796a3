import { DialogPanel } from '../shared/dialog-panel.js';
import { PlainButton } from '../shared/plain-button.js';
import { MAP_KEYS } from './keys.js';

/** What every key does on the Map. */
export function KeysHelp({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <DialogPanel open={open} onOpenChange={onOpenChange} title="Keys">
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
      <PlainButton look="strong" onClick={() => onOpenChange(false)}>
        Close
      </PlainButton>
    </DialogPanel>
  );
}
