import { PlainButton } from '../shared/controls/plain-button.js';
import { MOST_DRAWN, type DrawnSwitch } from './drawn-pattern.js';

/** A switch of one's own for practice: its lugs, and position by position what joins. */
export function DrawingUp({
  drawn,
  onChange,
}: {
  drawn: DrawnSwitch;
  onChange: (drawn: DrawnSwitch) => void;
}) {
  const { terminals, positions } = drawn;
  const field = 'min-h-12 rounded-part border-2 border-line bg-sheet px-3 font-mono';
  return (
    <fieldset className="mt-3 border-l-4 border-line pl-4">
      <legend className="sr-only">Your own switch</legend>
      <label className="flex items-center gap-3">
        Lugs
        <input
          inputMode="numeric"
          value={terminals}
          onChange={(event) => onChange({ ...drawn, terminals: event.target.value })}
          className={`${field} w-20`}
        />
      </label>
      {positions.map((text, at) => (
        <label key={at} className="mt-2 flex items-center gap-3">
          <span className="w-24 shrink-0">Position {at + 1}</span>
          <input
            value={text}
            placeholder={at === 0 ? '1-2, 4-5' : 'nothing joins'}
            onChange={(event) => onChange({ ...drawn, positions: positions.with(at, event.target.value) })}
            className={`${field} min-w-0 grow`}
          />
        </label>
      ))}
      <div className="mt-2 flex gap-2">
        <PlainButton
          disabled={positions.length >= MOST_DRAWN.positions}
          onClick={() => onChange({ ...drawn, positions: [...positions, ''] })}
        >
          One more position
        </PlainButton>
        <PlainButton
          disabled={positions.length <= 1}
          onClick={() => onChange({ ...drawn, positions: positions.slice(0, -1) })}
        >
          One fewer
        </PlainButton>
      </div>
      <p className="mt-1 text-quiet">
        What joins, with a dash between. The lugs are shuffled before you get it.
      </p>
    </fieldset>
  );
}
