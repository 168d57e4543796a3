import { NUMBER_LETTERS } from '@which-way/core/schema';
import { REPEATED_UNDER } from '@which-way/core/log';
import {
  CYCLING_KEYS,
  cycleAt,
  cyclingStep,
  endedRun,
  type Cycling,
  type CyclingAct,
} from '@which-way/core/verify';
import { CYCLING_WORDS, UNDER_WORDS } from '@which-way/words/judge/verdict';
import { useEffect, useState, type KeyboardEvent } from 'react';
import { useSession } from '../../../job/job-context.js';
import { readAmount } from '../../../controls/fields/amount.js';
import { DialogPanel } from '../../../controls/dialog-panel.js';
import { KeyButton } from '../../../controls/keys/key-button.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { CYCLING_DIALOG_TEXT } from '@which-way/words/screens/pages/verify/lines/cycling-dialog';
import { TextInput } from '../../../controls/fields/text-input.js';

const clock = () => Date.now();

interface CyclingDialogProps {
  begun: Cycling;
  name: string;
  onDone: () => void;
}

/** The handle is worked at the pace of the number; a key only for what goes wrong, one to end. */
export function CyclingDialog({ begun, name, onDone }: CyclingDialogProps) {
  const [cycling, setCycling] = useState(begun);
  const [now, setNow] = useState(begun.began);
  const [ended, setEnded] = useState<number | null>(null);
  useEffect(() => {
    const timer = setInterval(() => setNow(clock()), 100);
    return () => clearInterval(timer);
  }, []);
  const act = (does: CyclingAct | 'end') => {
    if (does === 'end') setEnded(cycleAt(cycling, clock()));
    else setCycling(cyclingStep(cycling, does, clock()));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const line = CYCLING_KEYS.find(({ key }) => key === event.key);
    if (!line || ended !== null) return;
    event.preventDefault();
    act(line.does);
  };
  return (
    <DialogPanel
      open
      onOpenChange={(open) => !open && onDone()}
      title={CYCLING_DIALOG_TEXT.work(name)}
      onKeyDown={onKeyDown}
    >
      {ended === null ? (
        <>
          <p>{CYCLING_DIALOG_TEXT.oneStrokeOffAndBack}</p>
          <p
            className="text-center font-mono text-[6rem] leading-none font-bold"
            data-testid="cycle"
            aria-live="off"
          >
            {cycleAt(cycling, now)}
          </p>
          <p className="text-center" aria-live="polite">
            {cycling.misses.length}
            {CYCLING_DIALOG_TEXT.missed}
            {cycling.sticks.length}
            {CYCLING_DIALOG_TEXT.stuck}
            {cycling.dropOuts}
            {CYCLING_DIALOG_TEXT.droppedOut}
          </p>
          <div className="mt-3 grid grid-cols-3 gap-2 sm:grid-cols-5">
            {CYCLING_KEYS.map(({ shown, does }) => (
              <KeyButton key={does} keys={shown} strong={does === 'end'} onPress={() => act(does)}>
                {CYCLING_WORDS[does]}
              </KeyButton>
            ))}
          </div>
        </>
      ) : (
        <Ended cycling={cycling} cycles={ended} onChange={setCycling} onDone={onDone} />
      )}
    </DialogPanel>
  );
}

interface EndedProps {
  cycling: Cycling;
  cycles: number;
  onChange: (cycling: Cycling) => void;
  onDone: () => void;
}

/** How many it really were, and under what: then it is kept. */
function Ended({ cycling, cycles, onChange, onDone }: EndedProps) {
  const session = useSession();
  const [typed, setTyped] = useState(String(cycles));
  const read = readAmount(typed, 10_000);
  const count = typeof read === 'number' && Number.isInteger(read) && read >= 1 ? read : null;
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (count === null) return;
        session.emit({ kind: 'contact-repeated', run: endedRun(cycling, count) });
        onDone();
      }}
    >
      <label className="flex items-center gap-2">
        {CYCLING_DIALOG_TEXT.cyclesThatItReallyWere}
        <TextInput
          autoFocus
          value={typed}
          inputMode="numeric"
          maxLength={NUMBER_LETTERS}
          onChange={({ target }) => setTyped(target.value)}
          mono
          className="w-24"
        />
      </label>
      {count === null && (
        <p role="alert" className="text-brick">
          {CYCLING_DIALOG_TEXT.aWholeNumberFromTo}
        </p>
      )}
      <Pick
        label={CYCLING_DIALOG_TEXT.under}
        value={cycling.under}
        options={REPEATED_UNDER.map((under) => ({ value: under, text: UNDER_WORDS[under] }))}
        onPick={(chosen) => {
          const under = REPEATED_UNDER.find((one) => one === chosen);
          if (under) onChange({ ...cycling, under });
        }}
      />
      <PlainButton look="strong" type="submit" disabled={count === null}>
        {CYCLING_DIALOG_TEXT.keepTheRun}
      </PlainButton>
    </form>
  );
}
