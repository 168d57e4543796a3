import { BENCH_PAGE_TEXT } from '@which-way/words/screens/pages/bench/bench-page';
import { DOORS_TEXT } from '@which-way/words/screens/pages/bench/doors';
import { useState } from 'react';
import { DialogPanel } from '../../controls/dialog-panel.js';
import { PlainButton } from '../../controls/plain-button.js';
import { useBeginSystem } from '../../parts/begin/use-begin-system.js';

/** Several switches of one machine together: said what that is first, and made only then. */
export function Combine() {
  const [open, setOpen] = useState(false);
  const beginSystem = useBeginSystem();
  return (
    <>
      <PlainButton look="quiet" onClick={() => setOpen(true)}>
        {BENCH_PAGE_TEXT.joinSwitches}
      </PlainButton>
      <DialogPanel open={open} onOpenChange={setOpen} title={DOORS_TEXT.combine}>
        <p className="mt-4">{DOORS_TEXT.combineAbout}</p>
        <div className="mt-4 flex gap-3">
          <PlainButton
            look="strong"
            className="min-h-14 grow text-large"
            onClick={() => void beginSystem(DOORS_TEXT.nameOfSystem, [])}
          >
            {DOORS_TEXT.start}
          </PlainButton>
          <PlainButton onClick={() => setOpen(false)}>{DOORS_TEXT.cancel}</PlainButton>
        </div>
      </DialogPanel>
    </>
  );
}
