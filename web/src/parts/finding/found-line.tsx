import { PlainButton } from '../../controls/plain-button.js';
import type { ListChange, Moved, SearchState } from './match-search.js';
import { FOUND_LINE_TEXT } from '@which-way/words/screens/parts/finding/found-line';

/** How far the search is, and what came of it. */
export function FoundLine({ matches, onStop }: { matches: SearchState; onStop: () => void }) {
  const { counts, looked, all, candidates, running, done, change } = matches;
  if (running)
    return (
      <div className="mt-3 flex min-h-12 flex-wrap items-center gap-3 text-quiet" role="status">
        <span className="grow">
          {FOUND_LINE_TEXT.lookingThroughTheLibrary}
          {all > 0 && FOUND_LINE_TEXT.ofText(looked, all)}.
          <progress
            className="mt-1 block h-2 w-full"
            aria-label={FOUND_LINE_TEXT.howFarTheSearchIs}
            max={all || 1}
            value={all > 0 ? looked : undefined}
          />
        </span>
        <PlainButton onClick={onStop}>{FOUND_LINE_TEXT.stop}</PlainButton>
      </div>
    );
  // What an empty library means is said beside it.
  if (!counts || (done && all === 0)) return null;
  const may = counts['same-wiring'] + counts['fits-so-far'];
  const listed = candidates.filter(({ result }) => result.kind !== 'no').length;
  return (
    <div className="mt-3 text-quiet" role="status">
      {done ? (
        <p>
          <strong className="text-large text-ink">{FOUND_LINE_TEXT.possible(may, all)}</strong>{' '}
          {FOUND_LINE_TEXT.ruledOut(counts.no, counts.undecided)}
          {listed < may + counts.undecided && FOUND_LINE_TEXT.theFirstAreListed(listed)}
        </p>
      ) : (
        <p>
          {FOUND_LINE_TEXT.stoppedAfter}
          {looked}
          {FOUND_LINE_TEXT.ofText2}
          {all}: {may}
          {FOUND_LINE_TEXT.mayDoSoFar}
        </p>
      )}
      {change && <ChangeLines change={change} />}
    </div>
  );
}

/** Names that stand in a line; the others are counted. */
const NAMED = 4;
const named = ({ count, names }: Moved) => {
  const shown = names.slice(0, NAMED);
  return shown.length === 0
    ? ''
    : `: ${shown.join(', ')}${count > shown.length ? ` and ${count - shown.length} more` : ''}`;
};

/** What the last change of what is asked did to the list. */
function ChangeLines({ change: { come, go } }: { change: ListChange }) {
  if (come.count + go.count === 0) return <p data-testid="change">{FOUND_LINE_TEXT.noneComesAndNoneGoes}</p>;
  return (
    <ul data-testid="change" className="font-semibold text-ink">
      {come.count > 0 && (
        <li>
          {come.count} {come.count === 1 ? FOUND_LINE_TEXT.comes : FOUND_LINE_TEXT.come}
          {named(come)}.
        </li>
      )}
      {go.count > 0 && (
        <li>
          {go.count} {go.count === 1 ? FOUND_LINE_TEXT.goes : FOUND_LINE_TEXT.go}
          {named(go)}.
        </li>
      )}
    </ul>
  );
}
