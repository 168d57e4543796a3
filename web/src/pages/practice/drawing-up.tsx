import { PlainButton } from '../../controls/plain-button.js';
import { MOST_DRAWN, type DrawnSwitch } from './drawn-pattern.js';
import { TextInput } from '../../controls/fields/text-input.js';
import { DRAWING_UP_TEXT } from '@which-way/words/screens/pages/practice/drawing-up';

/** A switch of one's own for practice: its lugs, and position by position what joins. */
export function DrawingUp({
  drawn,
  onChange,
}: {
  drawn: DrawnSwitch;
  onChange: (drawn: DrawnSwitch) => void;
}) {
  const { terminals, positions } = drawn;
  return (
    <fieldset className="mt-3 border-l-4 border-line pl-4">
      <legend className="sr-only">{DRAWING_UP_TEXT.yourOwnSwitch}</legend>
      <label className="flex items-center gap-3">
        {DRAWING_UP_TEXT.lugs}
        <TextInput
          inputMode="numeric"
          value={terminals}
          onChange={(event) => onChange({ ...drawn, terminals: event.target.value })}
          mono
          className="w-20"
        />
      </label>
      {positions.map((text, at) => (
        <label key={at} className="mt-2 flex items-center gap-3">
          <span className="w-24 shrink-0">
            {DRAWING_UP_TEXT.position}
            {at + 1}
          </span>
          <TextInput
            value={text}
            placeholder={at === 0 ? '1-2, 4-5' : DRAWING_UP_TEXT.nothingJoins}
            onChange={(event) => onChange({ ...drawn, positions: positions.with(at, event.target.value) })}
            mono
            className="min-w-0 grow"
          />
        </label>
      ))}
      <div className="mt-2 flex gap-2">
        <PlainButton
          disabled={positions.length >= MOST_DRAWN.positions}
          onClick={() => onChange({ ...drawn, positions: [...positions, ''] })}
        >
          {DRAWING_UP_TEXT.oneMorePosition}
        </PlainButton>
        <PlainButton
          disabled={positions.length <= 1}
          onClick={() => onChange({ ...drawn, positions: positions.slice(0, -1) })}
        >
          {DRAWING_UP_TEXT.oneFewer}
        </PlainButton>
      </div>
      <p className="mt-1 text-quiet">{DRAWING_UP_TEXT.whatJoinsWithADash}</p>
    </fieldset>
  );
}
