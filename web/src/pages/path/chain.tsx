import { inSeries, type LinkState, type PathVerdict, type SupplyPath } from '@which-way/core/path';
import type { LinkId } from '@which-way/core/switch';
import type { PathLink } from '@which-way/core/log';
import { linkName, STATE_WORDS } from '@which-way/words/before/path';
import { CHAIN_TEXT } from '@which-way/words/screens/pages/path/chain';

const LOOKS: Record<LinkState, { node: string; mark: string; line: string }> = {
  pass: { node: 'border-teal bg-teal text-on-teal', mark: '✓', line: 'border-teal' },
  fail: { node: 'border-ink bg-ink text-sheet', mark: '✕', line: 'border-ink border-dashed' },
  seen: { node: 'border-ink bg-ink text-sheet', mark: '✕', line: 'border-ink border-dashed' },
  leaks: { node: 'border-ink bg-sheet', mark: '⏚', line: 'border-ink' },
  unsteady: { node: 'border-amber bg-amber text-lead-black', mark: '~', line: 'border-amber border-dashed' },
  'at-rest': { node: 'border-teal border-dashed bg-sheet', mark: '', line: 'border-line' },
  unproved: { node: 'border-amber border-dashed bg-sheet', mark: '', line: 'border-line' },
  suspect: { node: 'border-amber bg-amber-wash text-amber-ink', mark: '?', line: 'border-amber' },
  'not-tested': { node: 'border-quiet not-known bg-sheet', mark: '', line: 'border-line' },
};

interface ChainProps {
  path: SupplyPath;
  verdict: PathVerdict;
  picked: LinkId | null;
  onPick: (id: LinkId) => void;
}

/** The way of the current to the load and back, conductor by conductor, and what is known of each link. */
export function Chain({ path, verdict, picked, onPick }: ChainProps) {
  const series = path.links.filter(inSeries);
  const there = series.filter(({ conductor }) => conductor !== 'return');
  const back = series.filter(({ conductor }) => conductor === 'return');
  const beside = path.links.filter((link) => !inSeries(link));
  const item = (link: PathLink) => (
    <Item
      key={link.id}
      link={link}
      state={verdict.states.get(link.id) ?? 'not-tested'}
      picked={link.id === picked}
      onPick={onPick}
    />
  );
  return (
    <div>
      <div className={`grid gap-2 ${back.length > 0 ? 'sm:border-r-4 sm:border-line' : ''}`}>
        <ol className="flex flex-col sm:flex-row sm:flex-wrap sm:gap-y-4" aria-label={CHAIN_TEXT.supplyPath}>
          {there.map(item)}
        </ol>
        {back.length > 0 && (
          // Drawn under the feed, the way back runs towards the supply.
          <ol
            className="flex flex-col sm:flex-row-reverse sm:flex-wrap sm:gap-y-4"
            aria-label={CHAIN_TEXT.theWayBack}
          >
            {back.map(item)}
          </ol>
        )}
      </div>
      {beside.length > 0 && (
        <div className="mt-2 flex flex-wrap items-center gap-x-3">
          <span className="text-small text-quiet">{CHAIN_TEXT.besideThePathTestedAlone}</span>
          <ul className="flex flex-wrap" aria-label={CHAIN_TEXT.besideThePath}>
            {beside.map(item)}
          </ul>
        </div>
      )}
    </div>
  );
}

interface ItemProps {
  link: PathLink;
  state: LinkState;
  picked: boolean;
  onPick: (id: LinkId) => void;
}

function Item({ link, state, picked, onPick }: ItemProps) {
  const { node, mark, line } = LOOKS[state];
  return (
    <li className="sm:min-w-24 sm:flex-1">
      <button
        type="button"
        onClick={() => onPick(link.id)}
        aria-pressed={picked}
        className={`relative flex min-h-14 w-full items-center gap-3 rounded-part px-2 py-1 text-left sm:flex-col sm:gap-1 sm:text-center ${picked ? 'bg-sheet outline-3 outline-brass' : 'hover:bg-sheet'}`}
      >
        <span
          aria-hidden="true"
          className={`absolute top-0 bottom-0 left-6 border-l-4 sm:top-6 sm:right-0 sm:bottom-auto sm:left-0 sm:border-t-4 sm:border-l-0 ${line}`}
        />
        <span
          aria-hidden="true"
          className={`relative flex size-10 shrink-0 items-center justify-center rounded-full border-4 text-large font-bold ${node}`}
        >
          {mark}
        </span>
        <span className="relative">
          <span className="block font-bold">{linkName(link)}</span>
          <span className="block text-small text-quiet">{STATE_WORDS[state]}</span>
        </span>
      </button>
    </li>
  );
}
