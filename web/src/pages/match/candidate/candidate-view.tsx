import type { SwitchMap } from '@which-way/core/continuity';
import type { MatchedEntry } from '@which-way/contract';
import type { ChosenReplacement, Refinement } from '@which-way/core/log';
import type { MapRequirement, MatchResult, RequirementSource, Subject } from '@which-way/core/match';
import type { PartFacts, SettingId, TerminalId } from '@which-way/core/switch';
import { strandOf } from '@which-way/drawing/strand';
import { nearWords } from '@which-way/words/match/match';
import { factLines } from '@which-way/words/match/part-facts';
import { settingName } from '@which-way/words/terminals';
import { useSession } from '../../../job/job-context.js';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { StrandSample } from '../../../parts/drawings/strand-sample.js';
import { positionName, resultWords, spareWords } from '@which-way/words/match/results';
import { ResultLine } from '../../../controls/result-line.js';
import { LookAlike } from './look-alike.js';
import { MechanicsFit } from './mechanics-fit.js';
import { Offers } from './offers.js';
import { Differences, useAccepted } from './part-differences.js';
import { useAllDifferences } from './all-differences.js';
import { SideBySideView } from './side-by-side-view.js';
import { CANDIDATE_VIEW_TEXT } from '@which-way/words/screens/pages/match/candidate/candidate-view';
import { useUnits } from '../../../parts/units/units.js';

type FitOf = Extract<MatchResult, { terminals: unknown }>;

interface CandidateViewProps {
  candidate: MatchedEntry;
  source: RequirementSource;
  /** The job or entry that it should do as; null: another source. */
  like: string | null;
  map: SwitchMap;
  found: MapRequirement & { kind: 'requirement' };
  refinement: Refinement;
  subject: Subject;
  loosened: boolean | 'machine';
  chosen: ChosenReplacement | null;
}

/** One candidate: what it is, what differs, how it is wired in, whether it fits, who offers it. */
export function CandidateView(props: CandidateViewProps) {
  const { candidate, map, found, loosened } = props;
  const { known, result, near } = candidate;
  if (result.kind === 'no' || result.kind === 'undecided')
    return (
      <section aria-label={CANDIDATE_VIEW_TEXT.candidate} className="px-6 py-4 lg:overflow-y-auto">
        <Heading candidate={candidate} />
        <p className="mt-3 text-large">{resultWords(result, loosened)}.</p>
        {near && (
          <p className="text-large font-semibold">
            {CANDIDATE_VIEW_TEXT.near}
            {nearWords(near, map.structure, found.settings)}.
          </p>
        )}
      </section>
    );
  return <Fitting {...props} known={known} result={result} />;
}

function Heading({ candidate: { known } }: { candidate: MatchedEntry }) {
  return (
    <>
      <h2 className="text-title font-bold">{known.name}</h2>
      <p className="text-quiet">{[known.maker, known.family].filter(Boolean).join(' · ')}</p>
      {known.note && <p>{known.note}</p>}
      <Stated facts={known.facts ?? {}} />
    </>
  );
}

const SOURCE_WORDS: Record<RequirementSource, string> = {
  'should-be': 'as it should be',
  'as-mapped': 'as mapped',
  another: 'like another',
  machine: 'by what the machine needs',
};

/** One that may do. */
function Fitting({
  candidate,
  map,
  found,
  chosen,
  source,
  like,
  refinement,
  subject,
  loosened,
  known,
  result,
}: CandidateViewProps & { known: MatchedEntry['known']; result: FitOf }) {
  const differences = useAllDifferences(map, found, candidate);
  const { settings } = found;
  const accepted = useAccepted(differences, chosen?.entry === known.id ? chosen : null);
  const session = useSession();
  const old = (place: number) => map.structure.terminals[place]?.id as TerminalId;
  const replacement: ChosenReplacement = {
    entry: known.id,
    name: known.name,
    terminals: result.terminals.map(({ from, to }) => ({ from: old(from), to: known.terminals[to] ?? '' })),
    positions: result.positions.map(({ from, to }) => ({
      from: settings[from] as SettingId,
      to: positionName(known, to),
    })),
    source,
    accepted: accepted.list,
    part: known,
  };
  const isChosen = chosen?.entry === known.id && JSON.stringify(chosen) === JSON.stringify(replacement);
  const stale = chosen?.entry === known.id && !isChosen;
  return (
    <section aria-label={CANDIDATE_VIEW_TEXT.candidate} className="px-6 pb-4 lg:overflow-y-auto">
      <div className="sticky top-0 z-[5] -mx-6 flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-line bg-paper px-6 py-3">
        <div className="min-w-0 grow basis-80">
          <h2 className="text-title leading-tight font-bold">{known.name}</h2>
          <p>
            {resultWords(result, loosened)},{' '}
            {like === null ? SOURCE_WORDS[source] : CANDIDATE_VIEW_TEXT.like(like)}
            {accepted.open > 0 && (
              <strong className="text-brick">
                {accepted.open === 1
                  ? CANDIDATE_VIEW_TEXT.oneSafetyDifferenceIs
                  : CANDIDATE_VIEW_TEXT.safetyDifferencesAre(accepted.open)}
              </strong>
            )}
          </p>
        </div>
        {isChosen ? (
          <PlainButton onClick={() => session.emit({ kind: 'chosen', replacement: null })}>
            {CANDIDATE_VIEW_TEXT.chosenTakeItBack}
          </PlainButton>
        ) : (
          <PlainButton
            look="strong"
            className="min-h-14 text-large"
            disabled={result.kind !== 'same-wiring' || accepted.open > 0}
            onClick={() => session.emit({ kind: 'chosen', replacement })}
          >
            {CANDIDATE_VIEW_TEXT.chooseThisOne}
          </PlainButton>
        )}
      </div>
      <Differences {...{ differences, accepted, known, settings }} structure={map.structure} />
      {stale && <p className="text-amber-ink">{CANDIDATE_VIEW_TEXT.itWasChosenWithAnother}</p>}
      <Spares known={known} result={result} />
      <SideBySideView laid={{ map, found, known, result }} />
      <div className="mt-3 border-t border-line">
        <ResultLine
          name={CANDIDATE_VIEW_TEXT.itself}
          result={[known.maker, known.family].filter(Boolean).join(' · ')}
          act={CANDIDATE_VIEW_TEXT.see}
        >
          {known.note && <p>{known.note}</p>}
          <Stated facts={known.facts ?? {}} />
        </ResultLine>
        <ResultLine
          name={CANDIDATE_VIEW_TEXT.positionByPosition}
          result={CANDIDATE_VIEW_TEXT.positions(result.positions.length)}
          act={CANDIDATE_VIEW_TEXT.see}
        >
          <Positions map={map} known={known} result={result} settings={settings} />
        </ResultLine>
        <MechanicsFit map={map} facts={known.facts ?? {}} />
        <Offers {...{ map, found, known, result, subject, refinement }} />
        <ResultLine
          name={CANDIDATE_VIEW_TEXT.beforeFitting}
          result={CANDIDATE_VIEW_TEXT.sameWiringIsNotYet}
          act={CANDIDATE_VIEW_TEXT.see}
        >
          <p className="max-w-2xl">{CANDIDATE_VIEW_TEXT.onlyLoadsThatWereNamed}</p>
          <LookAlike {...{ map, known }} />
        </ResultLine>
      </div>
    </section>
  );
}

/** What is stated of it besides its wiring; all else is not. */
function Stated({ facts }: { facts: PartFacts }) {
  const lines = factLines(facts, useUnits());
  if (lines.length === 0)
    return <p className="text-quiet">{CANDIDATE_VIEW_TEXT.nothingIsStatedBesidesIts}</p>;
  return <p className="text-quiet">{lines.map(([label, value]) => `${label}: ${value}`).join(' · ')}</p>;
}

/** What each position becomes, and what the handle can come to besides. */
function Positions({
  map,
  known,
  result,
  settings,
}: {
  map: SwitchMap;
  known: MatchedEntry['known'];
  result: FitOf;
  settings: readonly SettingId[];
}) {
  return (
    <div className="grid max-w-2xl gap-4">
      <table aria-label={CANDIDATE_VIEW_TEXT.positionByPosition} className="w-full">
        <tbody>
          {result.positions.map(({ from, to }, index) => (
            <tr key={from} className="border-b border-line">
              <td className="py-1.5">
                <span className="flex items-center gap-3 font-semibold">
                  <StrandSample strand={strandOf(index)} />
                  {settingName(map.structure, settings[from] as SettingId)}
                </span>
              </td>
              <td className="px-3 text-quiet">{CANDIDATE_VIEW_TEXT.isNow}</td>
              <td className="font-semibold">
                {positionName(known, to)}
                {known.positions[to]?.rests === 'momentary' && CANDIDATE_VIEW_TEXT.springsBack}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Where the handle can go that the old one could not: said before it is drawn. */
function Spares({ known, result }: { known: MatchedEntry['known']; result: FitOf }) {
  if (result.sparePositions.length === 0) return null;
  return (
    <div className="mt-3 max-w-2xl">
      <Notice look="amber" title={CANDIDATE_VIEW_TEXT.positionsToSpare}>
        <p>
          {CANDIDATE_VIEW_TEXT.theHandleCanGoWhere}{' '}
          {result.sparePositions.map((index) => spareWords(known, index)).join('; ')}.{' '}
          {result.between.length > 0
            ? CANDIDATE_VIEW_TEXT.someLieBetweenNoStop
            : CANDIDATE_VIEW_TEXT.fitAStopOrKnow}
        </p>
      </Notice>
    </div>
  );
}
