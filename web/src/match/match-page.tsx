import {
  proposedSource,
  requirementBy,
  type NoRequirement,
  type RequirementSource,
} from '@which-way/core/match';
import type { SwitchMap } from '@which-way/core/continuity';
import { liveEvents, refinementOf, type Refinement } from '@which-way/core/log';
import type { MatchedEntry } from '@which-way/contract';
import { requiredSettings } from '@which-way/core/switch';
import { nearWords } from '@which-way/words/match';
import { expectedOf } from '@which-way/core/verify';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useStore } from 'zustand';
import { useJobState, useSession } from '../job/job-context.js';
import { Choice } from '../shared/controls/choice.js';
import { Notice } from '../shared/controls/notice.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { CandidateView } from './candidate-view.js';
import { NO_REQUIREMENT_WORDS, resultWords } from './match-words.js';
import { MatchSearch, type SearchState } from './match-search.js';
import { questionOf } from './match-question.js';
import { Refinements } from './refinements.js';

/** What can take its place: by the wiring alone, and says so. */
export function MatchPage() {
  const map = useJobState((state) => state.map);
  const proposed = useMemo(() => proposedSource(map), [map]);
  const session = useSession();
  const refinement = useMemo(() => refinementOf(map.log), [map.log]);
  const source = refinement.source ?? proposed;
  const refine = (change: Partial<Refinement>) =>
    session.emit({ kind: 'requirement-refined', refinement: { ...refinement, ...change } });
  const found = useMemo(() => requirementBy(map, source), [map, source]);
  const question = useMemo(() => questionOf(map, found, refinement), [map, found, refinement]);
  const [search] = useState(() => new MatchSearch());
  const matches = useStore(search.store);
  useEffect(() => {
    if (question) search.start(question);
  }, [search, question]);
  useEffect(() => () => search.stop(), [search]);
  const [picked, setPicked] = useState<string | null>(null);
  const chosen = liveEvents(map.log, 'chosen').at(-1)?.what.replacement ?? null;
  if (found.kind === 'none')
    return (
      <NothingToMatch because={found.because}>
        {expectedOf(map) && (
          <SourceChoice
            source={source}
            proposed={proposed}
            onChoose={(chosenSource) => refine({ source: chosenSource })}
          />
        )}
      </NothingToMatch>
    );
  const shown =
    matches.candidates.find(({ known }) => known.id === (picked ?? chosen?.entry)) ??
    matches.candidates.find(({ result }) => result.kind === 'same-wiring' || result.kind === 'fits-so-far');
  const { requirement, settings, unsettledPairs } = found;
  return (
    <main
      data-fits
      className="grid grow content-start lg:min-h-[30rem] lg:basis-0 lg:grid-cols-[27rem_1fr] lg:grid-rows-[minmax(0,1fr)] lg:content-stretch"
    >
      <section aria-label="Candidates" className="border-line px-6 py-4 lg:overflow-y-auto lg:border-r-2">
        <h1 className="text-title font-bold">What can take its place</h1>
        <SourceChoice
          source={source}
          proposed={proposed}
          onChoose={(chosenSource) => refine({ source: chosenSource })}
        />
        <p className="mt-2">
          Needs {requirement.terminals.length} terminals and {settings.length}{' '}
          {settings.length === 1 ? 'position' : 'positions in this order'}. Wiring, returns, ratings and what
          is stated are compared; how it fits is not.
        </p>
        <Refinements map={map} refinement={refinement} onRefine={refine} />
        {requirement.known && <NotAll map={map} source={source} unsettledPairs={unsettledPairs} />}
        {matches.trouble && (
          <div className="mt-3">
            <Notice look="amber" title={matches.trouble.message}>
              {matches.trouble.hint}{' '}
              <PlainButton look="quiet" onClick={() => question && search.start(question)}>
                Look again
              </PlainButton>
            </Notice>
          </div>
        )}
        {matches.counts && matches.all === 0 && (
          <div className="mt-3">
            <Notice look="plain" title="The library is empty.">
              Take in a file with known switches and parts on the bench page.
            </Notice>
          </div>
        )}
        <Progress matches={matches} onStop={() => search.stop()} />
        <CandidateList
          candidates={matches.candidates}
          shown={shown?.known.id ?? null}
          chosen={chosen?.entry ?? null}
          onPick={setPicked}
        />
      </section>
      {shown ? (
        <CandidateView key={shown.known.id} {...{ candidate: shown, map, settings, chosen, source }} />
      ) : (
        <p className="p-8 text-quiet">
          {matches.running
            ? 'Searching.'
            : `None of the library has this wiring${refinement.jumpers === 0 ? ' without an added junction' : ''}. The list says why for each, and what comes near.`}
        </p>
      )}
    </main>
  );
}

/** Something binds nothing: what is not known, or not said. */
function NotAll({
  map,
  source,
  unsettledPairs,
}: {
  map: SwitchMap;
  source: RequirementSource;
  unsettledPairs: number;
}) {
  const mapped = source === 'as-mapped';
  return (
    <div className="mt-3">
      <Notice
        look="amber"
        title={mapped ? 'The map is not complete' : 'Not everything is said of what it should do'}
      >
        {unsettledPairs} pairs {mapped ? 'are not settled' : 'bind nothing'}
        {mapped && map.structure.actuators[0]?.closed === null ? ', and there may be more positions' : ''}. A
        candidate can be ruled out, but none is a match yet.
      </Notice>
    </div>
  );
}

/** Why there is nothing to match, and the ways on. */
function NothingToMatch({ because, children }: { because: NoRequirement; children: ReactNode }) {
  return (
    <main className="mx-auto w-full max-w-3xl p-8">
      <h1 className="sr-only">Match</h1>
      <Notice look="plain" title={NO_REQUIREMENT_WORDS[because]}>
        <Link to="../map" relative="path" className="underline">
          Go to the Map
        </Link>{' '}
        or say at{' '}
        <Link to="../verify" relative="path" className="underline">
          Verify
        </Link>{' '}
        what it should do: a dead switch is matched by that.
      </Notice>
      {children}
    </main>
  );
}

/** Where the requirement comes from; the other source is one tap away. */
function SourceChoice({
  source,
  proposed,
  onChoose,
}: {
  source: RequirementSource;
  proposed: RequirementSource;
  onChoose: (source: RequirementSource) => void;
}) {
  return (
    <div className="mt-2">
      <Choice<RequirementSource>
        label="What a replacement has to do"
        shown
        value={source}
        options={[
          { value: 'should-be', text: 'as it should be' },
          { value: 'as-mapped', text: 'as mapped' },
        ]}
        onChoose={onChoose}
      />
      {proposed === 'should-be' && source === 'as-mapped' && (
        <p className="mt-1 text-amber-ink">The map differs from what it should do, or is not complete.</p>
      )}
    </div>
  );
}

function Progress({ matches, onStop }: { matches: SearchState; onStop: () => void }) {
  const { counts, looked, all, candidates, running } = matches;
  if (running)
    return (
      <div className="mt-3 flex min-h-12 items-center gap-3 text-quiet" role="status">
        Looking through the library.
        <PlainButton onClick={onStop}>Stop</PlainButton>
      </div>
    );
  if (!counts) return null;
  const may = counts['same-wiring'] + counts['fits-so-far'];
  return (
    <p className="mt-3 min-h-12 text-quiet" role="status">
      {all} in the library: {may} may do, {counts.no} do not, {counts.undecided} undecided. {looked} were
      compared pair by pair, the others are too small.
      {candidates.length < all && ` The first ${candidates.length} are listed.`}
    </p>
  );
}

interface CandidateListProps {
  candidates: MatchedEntry[];
  shown: string | null;
  chosen: string | null;
  onPick: (id: string) => void;
}

function CandidateList({ candidates, shown, chosen, onPick }: CandidateListProps) {
  const may = candidates.filter(({ result }) => result.kind !== 'no');
  const not = candidates.slice(may.length);
  const line = (candidate: MatchedEntry) => (
    <CandidateLine
      key={candidate.known.id}
      {...candidate}
      here={shown === candidate.known.id}
      chosen={chosen === candidate.known.id}
      onPick={onPick}
    />
  );
  return (
    <>
      <ul className="mt-2" aria-label="Library, best first">
        {may.map(line)}
      </ul>
      {not.length > 0 && (
        <details className="mt-2" open={may.length === 0}>
          <summary className="flex min-h-12 cursor-pointer items-center font-semibold text-quiet">
            Why {not.length === 1 ? 'one does' : `${not.length} do`} not
          </summary>
          <ul aria-label="Ruled out">{not.map(line)}</ul>
        </details>
      )}
    </>
  );
}

interface CandidateLineProps extends MatchedEntry {
  here: boolean;
  chosen: boolean;
  onPick: (id: string) => void;
}

function CandidateLine({ known, result, differences, near, here, chosen, onPick }: CandidateLineProps) {
  const map = useJobState((state) => state.map);
  const settings = requiredSettings(map.structure).map(({ id }) => id);
  const grave = differences.filter(({ gravity }) => gravity === 'safety').length;
  const asked = differences.filter(({ gravity }) => gravity === 'question').length;
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
          {chosen && <span className="ml-2 rounded-part bg-teal px-2 text-small text-on-teal">chosen</span>}
        </span>
        <span className="block text-small text-quiet">
          {[known.maker, known.family, known.kind === 'switch' ? 'known switch' : '']
            .filter(Boolean)
            .join(' · ')}
        </span>
        <span className="block">{resultWords(result)}</span>
        {near && (
          <span className="block font-semibold">near: {nearWords(near, map.structure, settings)}</span>
        )}
        {grave > 0 && (
          <span className="mr-2 inline-block rounded-part bg-brick px-2 text-small font-semibold text-sheet">
            {grave === 1 ? '1 safety difference' : `${grave} safety differences`}
          </span>
        )}
        {asked > 0 && (
          <span className="text-small text-quiet">
            {asked === 1 ? '1 question' : `${asked} questions`} for the seller
          </span>
        )}
      </button>
    </li>
  );
}
