import { readLabels } from '@which-way/core/switch';
import { useState } from 'react';
import { PlainButton } from '../shared/controls/plain-button.js';

interface NewSwitchFormProps {
  onDescribe: (terminals: number, positions: number | null, labels?: string[]) => void;
}

const INPUT = 'mt-1 min-h-12 w-full rounded-part border-2 border-line bg-sheet px-4 text-large';

/** For a job without a switch yet: how many terminals, or their labels, and how many positions. */
export function NewSwitchForm({ onDescribe }: NewSwitchFormProps) {
  const [terminals, setTerminals] = useState('');
  const [positions, setPositions] = useState('?');
  const [message, setMessage] = useState('');
  const describe = () => {
    const count = /^\d{1,2}$/.test(terminals.trim()) ? Number(terminals) : null;
    const read = readLabels(terminals);
    const labels = count === null && read.ok ? read.labels : undefined;
    const size = count ?? labels?.length ?? 0;
    if (size < 2 || size > 48)
      return setMessage(
        'Give how many terminals there are, from 2 to 48, or their labels such as 1-5, 7-11.',
      );
    const unknown = ['', '?'].includes(positions.trim());
    const places = unknown ? null : Number(positions);
    if (places !== null && !(Number.isInteger(places) && places >= 1 && places <= 24))
      return setMessage('Give how many positions there are, from 1 to 24, or ? if you do not know.');
    return onDescribe(size, places, labels);
  };
  return (
    <form
      className="grid max-w-xl gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        describe();
      }}
    >
      <h1 className="text-title font-bold">Terminals and handle</h1>
      <label>
        How many terminals, or their labels?
        <input
          value={terminals}
          placeholder="8, or 1-5, 7-11"
          onChange={({ target }) => setTerminals(target.value)}
          className={`${INPUT} placeholder:text-quiet`}
        />
      </label>
      <label>
        How many positions?
        <input value={positions} onChange={({ target }) => setPositions(target.value)} className={INPUT} />
        <span className="text-small text-quiet">? is an answer: they are found on the way.</span>
      </label>
      {message && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
      <PlainButton type="submit" look="strong" className="min-h-14 justify-self-start text-large">
        Lay them out
      </PlainButton>
    </form>
  );
}
