import type { Requirement } from '@which-way/core/match';
import { kindWords } from '@which-way/words/kinds';
import { type AskedOf } from '../../../parts/beside/beside.js';
import { useBeside } from '../../../parts/beside/use-beside.js';
import type { MattersDesk } from '../matters-desk.js';
import { openMatters } from '../use-machine-need.js';
import type { SearchState } from '../../../parts/finding/match-search.js';
import { MATCH_PAGE_TEXT } from '@which-way/words/screens/pages/match/match-page';

/** Why no candidate stands here, and which ordinary kinds would do. */
export function NoCandidate({
  matches,
  requirement,
  words,
  joined,
}: {
  matches: SearchState;
  requirement: Requirement;
  words: string;
  joined: boolean;
}) {
  const because = matches.running
    ? MATCH_PAGE_TEXT.searching
    : matches.all > 0
      ? MATCH_PAGE_TEXT.noneOfTheLibraryHas(joined ? '' : MATCH_PAGE_TEXT.withoutJunction)
      : words === ''
        ? MATCH_PAGE_TEXT.whatCanTakeItsPlace2
        : MATCH_PAGE_TEXT.noneIsCalledSo(words);
  return (
    <div className="grid content-start gap-4 p-8">
      <p className="text-quiet">{because}</p>
      {!matches.running && <KindsThatDo requirement={requirement} />}
    </div>
  );
}

const ask = (desk: AskedOf<MattersDesk>, required: Requirement) => desk.kinds(required);

/** Ordinary kinds with this wiring, where the library has none: patterns, of whose ratings nothing is known. */
function KindsThatDo({ requirement }: { requirement: Requirement }) {
  const { answer: kinds = null } = useBeside(openMatters, requirement, ask);
  if (!kinds || kinds.length === 0) return null;
  return (
    <section aria-label={MATCH_PAGE_TEXT.kindsThatWouldDo} className="grid gap-2">
      <h2 className="font-bold">{MATCH_PAGE_TEXT.kindsThatWouldDo}</h2>
      <ul className="grid gap-1">
        {[...new Set(kinds.map(({ kind, poles, ways }) => kindWords(kind, poles, ways)))].map((name) => (
          <li key={name}>{`${name.charAt(0).toUpperCase()}${name.slice(1)}`}</li>
        ))}
      </ul>
      <p className="text-quiet">{MATCH_PAGE_TEXT.everyRatingIsAQuestion}</p>
    </section>
  );
}
