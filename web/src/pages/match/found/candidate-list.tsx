import type { MatchedEntry } from '@which-way/contract';
import type { MapRequirement } from '@which-way/core/match';
import type { SettingId } from '@which-way/core/switch';
import { differenceText, nearWords, questionsForSeller } from '@which-way/words/match/match';
import { useListedDifferences } from '../candidate/all-differences.js';
import { useJobState } from '../../../job/job-context.js';
import { resultWords } from '@which-way/words/match/results';
import { CANDIDATE_LIST_TEXT } from '@which-way/words/screens/pages/match/found/candidate-list';

interface CandidateListProps {
  found: MapRequirement & { kind: 'requirement' };
  /** Something was said not to matter: then it is not ‘the same wiring’. */
  loosened: boolean | 'machine';
  candidates: MatchedEntry[];
  /** How many were ruled out in all, of which only the first are among the candidates. */
  ruledOut: number;
  shown: string | null;
  chosen: string | null;
  onPick: (id: string) => void;
}

/** Those that may do, best first, and why the others do not. */
export function CandidateList(props: CandidateListProps) {
  const { candidates, ruledOut, found, loosened, shown, chosen, onPick } = props;
  const map = useJobState((state) => state.map);
  const differencesOf = useListedDifferences(map, found, candidates);
  const { settings } = found;
  const may = candidates.filter(({ result }) => result.kind !== 'no');
  const not = candidates.slice(may.length);
  const line = (candidate: MatchedEntry) => (
    <CandidateLine
      key={candidate.known.id}
      {...candidate}
      differences={[...differencesOf(candidate)]}
      {...{ settings, loosened }}
      here={shown === candidate.known.id}
      chosen={chosen === candidate.known.id}
      onPick={onPick}
    />
  );
  return (
    <>
      <ul className="mt-2" aria-label={CANDIDATE_LIST_TEXT.libraryBestFirst}>
        {may.map(line)}
      </ul>
      {not.length > 0 && (
        <details className="mt-2" open={may.length === 0}>
          <summary className="flex min-h-12 cursor-pointer items-center font-semibold text-quiet">
            {CANDIDATE_LIST_TEXT.ruledOutCount(Math.max(ruledOut, not.length), not.length)}
          </summary>
          <ul aria-label={CANDIDATE_LIST_TEXT.ruledOut}>{not.map(line)}</ul>
        </details>
      )}
    </>
  );
}

interface CandidateLineProps extends MatchedEntry {
  settings: readonly SettingId[];
  loosened: boolean | 'machine';
  here: boolean;
  chosen: boolean;
  onPick: (id: string) => void;
}

function CandidateLine({
  known,
  result,
  differences,
  near,
  settings,
  loosened,
  here,
  chosen,
  onPick,
}: CandidateLineProps) {
  const map = useJobState((state) => state.map);
  const safety = differences.filter(({ gravity }) => gravity === 'safety');
  const [worst] = safety;
  const grave = safety.length;
  const asked = questionsForSeller(differences, map.structure, settings, known).length;
  const no = result.kind === 'no';
  return (
    <li>
      <button
        type="button"
        aria-current={here}
        onClick={() => onPick(known.id)}
        className={`block w-full border-b border-l-8 border-b-line px-4 py-2 text-left hover:bg-sheet ${
          here ? 'border-l-brass bg-sheet' : 'border-l-transparent'
        }`}
      >
        <span className={`block text-large font-bold ${no ? 'text-quiet' : ''}`}>
          {known.name}
          {chosen && (
            <span className="ml-2 rounded-part bg-teal px-2 text-small text-on-teal">
              {CANDIDATE_LIST_TEXT.chosen}
            </span>
          )}
        </span>
        <span className="block text-small text-quiet">
          {[known.maker, known.family, known.kind === 'switch' ? 'known switch' : '']
            .filter(Boolean)
            .join(' · ')}
        </span>
        <span className="block">{resultWords(result, loosened)}</span>
        {near && (
          <span className="block font-semibold">
            {CANDIDATE_LIST_TEXT.near}
            {nearWords(near, map.structure, settings)}
          </span>
        )}
        {worst && (
          <span className="line-clamp-2 text-brick">
            {differenceText(worst, map.structure, settings, known)}
          </span>
        )}
        {grave > 1 && (
          <span className="mr-2 inline-block rounded-part bg-brick px-2 text-small font-semibold text-sheet">
            {CANDIDATE_LIST_TEXT.safetyDifferences(grave)}
          </span>
        )}
        {asked > 0 && (
          <span className="text-small text-quiet">
            {asked === 1 ? CANDIDATE_LIST_TEXT.question : CANDIDATE_LIST_TEXT.questions(asked)}
            {CANDIDATE_LIST_TEXT.forTheSeller}
          </span>
        )}
      </button>
    </li>
  );
}
