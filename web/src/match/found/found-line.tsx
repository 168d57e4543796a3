import { PlainButton } from '../../shared/controls/plain-button.js';
import type { ListChange, SearchState } from '../match-search.js';

/** How far the search is, and what came of it. */
export function FoundLine({ matches, onStop }: { matches: SearchState; onStop: () => void }) {
  const { counts, looked, all, candidates, running, done, change } = matches;
  if (running)
    return (
      <div className="mt-3 flex min-h-12 flex-wrap items-center gap-3 text-quiet" role="status">
        <span className="grow">
          Looking through the library{all > 0 && `: ${looked} of ${all}`}.
          <progress
            className="mt-1 block h-2 w-full"
            aria-label="How far the search is"
            max={all || 1}
            value={all > 0 ? looked : undefined}
          />
        </span>
        <PlainButton onClick={onStop}>Stop</PlainButton>
      </div>
    );
  // What an empty library means is said beside it.
  if (!counts || (done && all === 0)) return null;
  const may = counts['same-wiring'] + counts['fits-so-far'];
  return (
    <div className="mt-3 text-quiet" role="status">
      {done ? (
        <p>
          {all} in the library: {may} may do, {counts.no} do not, {counts.undecided} undecided. {looked} were
          compared pair by pair, the others are too small.
          {candidates.length < all && ` The first ${candidates.length} are listed.`}
        </p>
      ) : (
        <p>
          Stopped after {looked} of {all}: {may} may do so far.
        </p>
      )}
      {change && <ChangeLines change={change} />}
    </div>
  );
}

/** Names that stand in a line; the others are counted. */
const NAMED = 4;
const listed = (names: readonly string[]) =>
  `${names.slice(0, NAMED).join(', ')}${names.length > NAMED ? ` and ${names.length - NAMED} more` : ''}`;

/** What the last change of what is asked did to the list. */
function ChangeLines({ change: { come, go } }: { change: ListChange }) {
  if (come.length + go.length === 0) return <p data-testid="change">None comes and none goes by that.</p>;
  return (
    <ul data-testid="change" className="font-semibold text-ink">
      {come.length > 0 && (
        <li>
          {come.length} {come.length === 1 ? 'comes' : 'come'}: {listed(come)}.
        </li>
      )}
      {go.length > 0 && (
        <li>
          {go.length} {go.length === 1 ? 'goes' : 'go'}: {listed(go)}.
        </li>
      )}
    </ul>
  );
}
