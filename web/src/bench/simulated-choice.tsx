import { LibrarySelect } from '../shared/controls/library-select.js';

const INPUT = 'mt-1 min-h-14 w-full rounded-part border-2 border-line bg-sheet px-4 text-large';

interface SimulatedChoiceProps {
  entry: string;
  setEntry: (id: string) => void;
  seed: string;
  setSeed: (seed: string) => void;
}

/** Which switch of the library is simulated, and how its terminals are mixed. */
export function SimulatedChoice({ entry, setEntry, seed, setSeed }: SimulatedChoiceProps) {
  return (
    <div className="grid gap-4 sm:grid-cols-[1fr_8rem]">
      <div>
        <LibrarySelect
          label="Wired like"
          autoFocus
          sized
          large
          value={entry}
          onChange={setEntry}
          placeholder="Choose one of the library"
        />
        <span className="text-small text-quiet">
          Its terminals are mixed up, so that there is something to find.
        </span>
      </div>
      <label>
        Seed
        <input
          value={seed}
          inputMode="numeric"
          onChange={(event) => setSeed(event.target.value)}
          className={INPUT}
        />
        <span className="text-small text-quiet">Another number, another mix.</span>
      </label>
    </div>
  );
}
