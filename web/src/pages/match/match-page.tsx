import { SpringsAsked } from '../../parts/springs/springs-asked.js';
import { SEARCH_LETTERS } from '@which-way/core/schema';
import type { MatchedEntry } from '@which-way/contract';
import { circuitOf } from '@which-way/core/machine';
import type { SwitchMap } from '@which-way/core/continuity';
import { liveEvents, refinementOf, type Refinement } from '@which-way/core/log';
import {
  isLoosened,
  proposedSource,
  type NoRequirement,
  type RequirementSource,
} from '@which-way/core/match';
import { useDeferredValue, useEffect, useMemo, useState, type ComponentProps, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useStore } from 'zustand';
import { useJobState, useSession } from '../../job/job-context.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { CandidateView } from './candidate/candidate-view.js';
import { NoCandidate } from './found/no-candidate.js';
import { CandidateList } from './found/candidate-list.js';
import { FoundLine } from '../../parts/finding/found-line.js';
import { useMachineNeed } from './use-machine-need.js';
import { useGain } from './use-gain.js';
import { askedOf, questionOf } from './match-question.js';
import { MatchSearch, shapeOf, type SearchState } from '../../parts/finding/match-search.js';
import { NO_REQUIREMENT_WORDS } from '@which-way/words/match/results';
import { Refinements } from './requirement/refinements.js';
import { anotherName, SourceChoice } from './requirement/source-choice.js';
import { WhatMatters } from './requirement/what-matters.js';
import { MATCH_PAGE_TEXT } from '@which-way/words/screens/pages/match/match-page';
import { Field } from '../../controls/fields/field.js';
import { FittedMain } from '../../controls/frame/fitted-main.js';

const NONE: MatchedEntry[] = [];

/** What is asked, and what was found so far: searched anew whenever what is asked changes. */
function useMatches() {
  const map = useJobState((state) => state.map);
  const proposed = useMemo(() => proposedSource(map), [map]);
  const session = useSession();
  const refinement = useMemo(() => refinementOf(map.log), [map.log]);
  const source = refinement.source ?? proposed;
  const refine = (change: Partial<Refinement>) =>
    session.emit({ kind: 'requirement-refined', refinement: { ...refinement, ...change } });
  const need = useMachineNeed(map, source === 'machine');
  const asked = useMemo(() => askedOf(map, source, refinement, need), [map, source, refinement, need]);
  const [words, setWords] = useState('');
  const sought = useDeferredValue(words);
  const question = useMemo(
    () => questionOf(map, asked, refinement, sought),
    [map, asked, refinement, sought],
  );
  const [search] = useState(() => new MatchSearch());
  const matches = useStore(search.store);
  useEffect(() => {
    if (question) search.start(question);
  }, [search, question]);
  useEffect(() => () => search.stop(), [search]);
  const again = () => question && search.start(question);
  const gain = useGain(map, refinement, { source, proposed, words: sought }, matches);
  const candidates = question && matches.shape === shapeOf(question) ? matches.candidates : NONE;
  return {
    map,
    proposed,
    refinement,
    source,
    refine,
    asked,
    need,
    search,
    matches,
    candidates,
    gain,
    again,
    words,
    setWords,
  };
}

/** How much of what is asked was changed by a person. */
function filtersOf(refinement: Refinement, proposed: RequirementSource, words: string): number {
  const { source, never, jumpers, gaps, spares, returns } = refinement;
  const changed = [
    source !== null && source !== proposed,
    words.trim() !== '',
    isLoosened(refinement),
    jumpers > 0,
    gaps,
    !spares,
    returns,
    never.length > 0,
  ];
  return changed.filter(Boolean).length;
}

/** What it is asked by. */
const needWords = (source: RequirementSource, refinement: Refinement): string =>
  source === 'another'
    ? MATCH_PAGE_TEXT.needsLike(anotherName(refinement) ?? '')
    : MATCH_PAGE_TEXT.needsBy[source];

/** What can take its place: wiring first, and all else that is known of it. */
export function MatchPage() {
  const {
    map,
    proposed,
    refinement,
    source,
    refine,
    asked,
    need,
    search,
    matches,
    candidates,
    gain,
    again,
    words,
    setWords,
  } = useMatches();
  const [picked, setPicked] = useState<string | null>(null);
  const [filtering, setFiltering] = useState(false);
  const chosen = liveEvents(map.log, 'chosen').at(-1)?.what.replacement ?? null;
  const hasMachine = useMemo(() => circuitOf(map) !== null, [map]);
  const choice = <SourceChoice {...{ source, proposed, refinement, hasMachine }} onRefine={refine} />;
  const { whole, found } = asked;
  if (whole.kind === 'none' || found.kind === 'none') {
    const because =
      whole.kind === 'none' ? whole.because : found.kind === 'none' ? found.because : 'nothing-joins';
    return (
      <NothingToMatch because={because}>
        {choice}
        {whole.kind !== 'none' && <WhatMatters {...{ map, whole, refinement }} onRefine={refine} />}
      </NothingToMatch>
    );
  }
  const loosened = source === 'machine' ? 'machine' : isLoosened(refinement);
  const shown =
    candidates.find(({ known }) => known.id === (picked ?? chosen?.entry)) ??
    candidates.find(({ result }) => result.kind === 'same-wiring' || result.kind === 'fits-so-far');
  const { requirement, settings, unsettledPairs } = found;
  return (
    <FittedMain shape="beside" least={30} className="lg:grid-cols-[25rem_1fr]">
      <section
        aria-label={MATCH_PAGE_TEXT.candidates}
        className="border-line px-6 py-4 lg:overflow-y-auto lg:border-r-2"
      >
        <div className="flex flex-wrap items-center justify-between gap-2">
          <h1 className="text-large font-bold">{MATCH_PAGE_TEXT.whatCanTakeItsPlace}</h1>
          <PlainButton aria-expanded={filtering} onClick={() => setFiltering(!filtering)}>
            {MATCH_PAGE_TEXT.filters(filtersOf(refinement, proposed, words))}
          </PlainButton>
        </div>
        <p className="text-quiet">
          {needWords(source, refinement)}: {requirement.terminals.length}
          {MATCH_PAGE_TEXT.terminalsAnd}
          {settings.length}{' '}
          {settings.length === 1 ? MATCH_PAGE_TEXT.position : MATCH_PAGE_TEXT.positionsInThisOrder}.
          {source === 'machine' && need.capped && MATCH_PAGE_TEXT.moreWouldDoThanWas}
        </p>
        {filtering && (
          <Filters {...{ map, whole, refinement, words }} onRefine={refine} onWords={setWords}>
            {choice}
          </Filters>
        )}
        <SpringsAsked />
        {requirement.known && <NotAll map={map} source={source} unsettledPairs={unsettledPairs} />}
        <Troubles {...{ matches, words }} onAgain={again} />
        <FoundLine
          // What came by asking for less is said once.
          matches={gain === null ? matches : { ...matches, change: null }}
          onStop={() => search.stop()}
        />
        {gain !== null && <p className="font-semibold">{gain}</p>}
        <CandidateList
          {...{ candidates, found, loosened }}
          ruledOut={matches.counts?.no ?? 0}
          shown={shown?.known.id ?? null}
          chosen={chosen?.entry ?? null}
          onPick={setPicked}
        />
      </section>
      {shown ? (
        <CandidateView
          key={shown.known.id}
          {...{ candidate: shown, map, chosen, source, refinement, found, loosened }}
          subject={asked.subject}
          like={source === 'another' ? anotherName(refinement) : null}
        />
      ) : (
        <NoCandidate {...{ matches, requirement, words: words.trim() }} joined={refinement.jumpers > 0} />
      )}
    </FittedMain>
  );
}

interface FiltersProps {
  map: SwitchMap;
  whole: ComponentProps<typeof WhatMatters>['whole'];
  refinement: Refinement;
  words: string;
  onRefine: (change: Partial<Refinement>) => void;
  onWords: (words: string) => void;
  children: ReactNode;
}

/** What narrows the list, behind one button: by what, by name, what matters, how far it may be adapted. */
function Filters({ map, whole, refinement, words, onRefine, onWords, children }: FiltersProps) {
  return (
    <div className="my-2 rounded-part border-2 border-line px-4 py-3">
      {children}
      <Field
        label={MATCH_PAGE_TEXT.onlyThoseThatAreCalled}
        className="mt-2"
        type="search"
        value={words}
        maxLength={SEARCH_LETTERS}
        placeholder={MATCH_PAGE_TEXT.nameMakerNumberMarkingFamily}
        onType={onWords}
      />
      <WhatMatters {...{ map, whole, refinement }} onRefine={onRefine} />
      <Refinements map={map} refinement={refinement} onRefine={onRefine} />
    </div>
  );
}

function Troubles({ matches, words, onAgain }: { matches: SearchState; words: string; onAgain: () => void }) {
  const { trouble, done, all } = matches;
  return (
    <>
      {trouble && (
        <div className="mt-3">
          <Notice look="amber" title={trouble.message}>
            {trouble.hint}{' '}
            <PlainButton look="quiet" onClick={onAgain}>
              {MATCH_PAGE_TEXT.lookAgain}
            </PlainButton>
          </Notice>
        </div>
      )}
      {done && all === 0 && words === '' && (
        <div className="mt-3">
          <Notice look="plain" title={MATCH_PAGE_TEXT.theLibraryIsEmpty}>
            {MATCH_PAGE_TEXT.takeInACatalogueOr}{' '}
            <Link to="/library" className="underline">
              {MATCH_PAGE_TEXT.library}
            </Link>
            .
          </Notice>
        </div>
      )}
    </>
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
        title={mapped ? MATCH_PAGE_TEXT.theMapIsNotComplete : MATCH_PAGE_TEXT.notEverythingIsSaidOf}
      >
        {unsettledPairs}
        {MATCH_PAGE_TEXT.pairs}
        {mapped ? MATCH_PAGE_TEXT.areNotSettled : MATCH_PAGE_TEXT.bindNothing}
        {mapped && map.structure.actuators[0]?.closed === null ? MATCH_PAGE_TEXT.andThereMayBeMore : ''}
        {MATCH_PAGE_TEXT.aCandidateCanBeRuled}
      </Notice>
    </div>
  );
}

/** Why there is nothing to match, and the ways on. */
function NothingToMatch({ because, children }: { because: NoRequirement; children: ReactNode }) {
  return (
    <main className="mx-auto w-full max-w-3xl p-8">
      <h1 className="sr-only">{MATCH_PAGE_TEXT.match}</h1>
      <Notice look="plain" title={NO_REQUIREMENT_WORDS[because]}>
        <Link to="../map" relative="path" className="underline">
          {MATCH_PAGE_TEXT.goToTheMap}
        </Link>{' '}
        {MATCH_PAGE_TEXT.orSayAt}{' '}
        <Link to="../verify" relative="path" className="underline">
          {MATCH_PAGE_TEXT.verify}
        </Link>{' '}
        {MATCH_PAGE_TEXT.whatItShouldDoA}
      </Notice>
      {children}
    </main>
  );
}
