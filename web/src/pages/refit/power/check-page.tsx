import type { CheckReading } from '@which-way/core/refit';
import {
  blindSpots,
  checkStanding,
  isBlind,
  keptUnder,
  type Check,
  type Mistake,
  type Refit,
} from '@which-way/core/refit';
import { capital, mistakeWords, nodeShort, nodeWords } from '@which-way/words/refit';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useJobState, useSession } from '../../../job/job-context.js';
import { useHandsFree } from '../../../parts/hands/hands-free.js';
import { play, say } from '../../../parts/hands/sounds.js';
import { useWakeLock } from '../../../parts/hands/use-wake-lock.js';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { useAnswerKeys } from '../../../parts/hands/answer-keys.js';
import { PowerRecords } from './power-records.js';
import { useCheck, type CheckAtWork } from './use-check.js';
import { ANSWER_CAPS } from '@which-way/words/probing/keys';
import { CHECK_PAGE_TEXT } from '@which-way/words/screens/pages/refit/power/check-page';
import { FittedMain } from '../../../controls/frame/fitted-main.js';

/** The fewest readings that would show any single mistake, then insulation and earth. */
export function CheckPage() {
  const map = useJobState((state) => state.map);
  const atWork = useCheck(map);
  const { refit, check } = atWork;
  return (
    <FittedMain shape="beside" className="gap-x-6 gap-y-5 px-4 sm:px-6 lg:grid-cols-2">
      <section
        aria-label={CHECK_PAGE_TEXT.checkBeforePower}
        className="grid min-w-0 content-start gap-3 py-3 lg:overflow-y-auto"
      >
        <h1 className="text-large font-bold">
          {refit && isBlind(refit)
            ? CHECK_PAGE_TEXT.beforePowerNotAllShows
            : CHECK_PAGE_TEXT.beforePowerAnySingleMistake}
        </h1>
        {refit && <Blind refit={refit} />}
        {!refit ? (
          <Notice look="plain" title={CHECK_PAGE_TEXT.nothingGoesBackYet}>
            {CHECK_PAGE_TEXT.sayAt}{' '}
            <Link to=".." relative="path" className="underline">
              {CHECK_PAGE_TEXT.wiresBack}
            </Link>{' '}
            {CHECK_PAGE_TEXT.whatGoesBack}
          </Notice>
        ) : !check ? (
          <AtWork {...atWork} />
        ) : check.readings.length === 0 ? (
          <Notice look="plain" title={CHECK_PAGE_TEXT.thereIsNothingThatA}>
            {CHECK_PAGE_TEXT.noWireGoesToA}
          </Notice>
        ) : (
          <Checking refit={refit} check={check} />
        )}
      </section>
      <PowerRecords refit={refit} />
    </FittedMain>
  );
}

/** How far it is worked out, and Stop; or that it was stopped. */
function AtWork({ done, again, stop }: Pick<CheckAtWork, 'done' | 'again' | 'stop'>) {
  if (again)
    return (
      <Notice look="plain" title={CHECK_PAGE_TEXT.stopped}>
        {CHECK_PAGE_TEXT.notWorkedOut} <PlainButton onClick={again}>{CHECK_PAGE_TEXT.workItOut}</PlainButton>
      </Notice>
    );
  return (
    <div className="flex flex-wrap items-center gap-3" role="status">
      <span className="grow">
        {CHECK_PAGE_TEXT.workingOutWhichReadingsIt}
        <progress
          className="mt-1 block h-2 w-full"
          aria-label={CHECK_PAGE_TEXT.howFar}
          max={1}
          value={done > 0 ? done : undefined}
        />
      </span>
      <PlainButton onClick={stop}>{CHECK_PAGE_TEXT.stop}</PlainButton>
    </div>
  );
}

/** What no reading of this check can show: then it is no pass. */
function Blind({ refit }: { refit: Refit }) {
  const { untagged, unread } = blindSpots(refit);
  if (untagged.length + unread.length === 0) return null;
  return (
    <Notice look="amber" title={CHECK_PAGE_TEXT.whatItCantShow}>
      {untagged.length > 0 && (
        <p>
          {CHECK_PAGE_TEXT.noTaggedWire(untagged.join(', '))}{' '}
          <Link to="../../tag/wires" relative="path" className="underline">
            {CHECK_PAGE_TEXT.tagThem}
          </Link>
        </p>
      )}
      {unread.length > 0 && <p>{CHECK_PAGE_TEXT.notKnownInFull(unread.join(', '))}</p>}
    </Notice>
  );
}

function Checking({ refit, check }: { refit: Refit; check: Check }) {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const { done, left, likely, splits } = useMemo(() => checkStanding(map, refit, check), [map, refit, check]);
  const [again, setAgain] = useState<CheckReading | null>(null);
  const next = again ?? splits ?? left[0] ?? null;
  const { sounds, speech } = useHandsFree();
  const answer = (joins: boolean) => {
    if (!next) return;
    session.emit({ kind: 'check-read', ...keptUnder(refit, next), joins });
    if (sounds) play(joins === next.joins ? (joins ? 'joined' : 'none') : 'contradiction');
    setAgain(null);
  };
  // Hands that put one thing right may have moved another: nothing that was read before counts.
  const anew = () => {
    for (const one of done) session.emit({ kind: 'check-read', ...keptUnder(refit, one), joins: null });
    setAgain(null);
  };
  useAnswerKeys({
    ...(next && { yes: () => answer(true), no: () => answer(false) }),
    undo: () => session.undo(new Set(['check-read'])),
  });
  useWakeLock(next !== null);
  const where = next ? `At ${refit.positions[next.position]?.name}` : '';
  const words = next ? capital(`${nodeShort(refit, next.a)} to ${nodeShort(refit, next.b)}`) : '';
  useEffect(() => {
    if (speech && words !== '') say(`${where}. ${words}`);
  }, [speech, where, words]);
  return (
    <>
      {next && !likely && (
        <p role="status" className="text-title leading-tight font-bold">
          {CHECK_PAGE_TEXT.readSoFar(done.length, done.length + left.length)}
        </p>
      )}
      <p className="text-quiet">
        {CHECK_PAGE_TEXT.readings(check.readings.length)}
        {check.atLeast < check.readings.length
          ? CHECK_PAGE_TEXT.atLeastItMustBe(check.atLeast)
          : CHECK_PAGE_TEXT.andFewerWouldNotDo}
        {CHECK_PAGE_TEXT.deadTheFarEndsFreed}
      </p>
      {likely && (
        <Failed refit={refit} likely={likely}>
          <PlainButton className="mt-2" onClick={anew}>
            {CHECK_PAGE_TEXT.itIsPutRightRead}
          </PlainButton>
        </Failed>
      )}
      {next ? (
        <div className="grid gap-2 rounded-part border-t-4 border-ink bg-sheet p-4">
          <p className="border-l-8 border-brass pl-3 text-large font-bold sm:text-title" data-testid="turn">
            {where}
          </p>
          <p
            data-testid="prompt"
            aria-live="polite"
            className="text-title leading-[1.06] font-extrabold text-balance tracking-tight sm:text-prompt"
          >
            {words}
          </p>
          {next === splits && <p className="font-semibold">{CHECK_PAGE_TEXT.thisOneTellsMostOf}</p>}
          <p className="text-large">
            {CHECK_PAGE_TEXT.oneLeadAtThe}
            {nodeWords(refit, next.a)}
            {CHECK_PAGE_TEXT.theOtherAtThe}
            {nodeWords(refit, next.b)}.
          </p>
          <div className="flex flex-wrap gap-2">
            <PlainButton look="strong" className="min-h-16 text-large" onClick={() => answer(true)}>
              {CHECK_PAGE_TEXT.itJoins}
              <kbd className="ml-3 font-mono text-base font-normal">{ANSWER_CAPS.yes}</kbd>
            </PlainButton>
            <PlainButton className="min-h-16 text-large" onClick={() => answer(false)}>
              {CHECK_PAGE_TEXT.itDoesNot}
              <kbd className="ml-3 font-mono text-base font-normal">{ANSWER_CAPS.no}</kbd>
            </PlainButton>
          </div>
        </div>
      ) : (
        !likely && (
          <Notice
            look="plain"
            title={isBlind(refit) ? CHECK_PAGE_TEXT.readAsItMustSoFar : CHECK_PAGE_TEXT.allReadAsItMust}
          >
            {CHECK_PAGE_TEXT.aWireOnAWrong}
          </Notice>
        )
      )}
      <Readings {...{ refit, done, left }} onAgain={setAgain} />
      <Cannot refit={refit} cannot={check.cannot} />
    </>
  );
}

interface FailedProps {
  refit: Refit;
  likely: readonly Mistake[];
  children: ReactNode;
}

function Failed({ refit, likely, children }: FailedProps) {
  return (
    <Notice look="brick" title={CHECK_PAGE_TEXT.stopSomethingIsNotWhere}>
      {likely.length === 0 ? (
        <p>{CHECK_PAGE_TEXT.noSingleMistakeExplainsIt}</p>
      ) : (
        <>
          <p>
            {likely.length === 1
              ? CHECK_PAGE_TEXT.oneMistakeExplainsIt
              : CHECK_PAGE_TEXT.anyOneOfTheseExplains}
          </p>
          <ul className="list-disc pl-5 font-semibold" aria-label={CHECK_PAGE_TEXT.whatMayBeWrong}>
            {likely.slice(0, 6).map((mistake) => (
              <li key={JSON.stringify(mistake)}>{mistakeWords(refit, mistake)}</li>
            ))}
          </ul>
          {likely.length > 6 && (
            <p>
              {CHECK_PAGE_TEXT.and}
              {likely.length - 6}
              {CHECK_PAGE_TEXT.moreTheReadingsToCome}
            </p>
          )}
        </>
      )}
      {children}
    </Notice>
  );
}

interface ReadingsProps {
  refit: Refit;
  done: ReturnType<typeof checkStanding>['done'];
  left: readonly CheckReading[];
  onAgain: (reading: CheckReading) => void;
}

function Readings({ refit, done, left, onAgain }: ReadingsProps) {
  return (
    <ol aria-label={CHECK_PAGE_TEXT.readingsOfTheCheck} className="border-t-2 border-line">
      {[...done, ...left.map((one) => ({ ...one, read: null }))].map((one) => {
        const { position, a, b, joins, read } = one;
        const words = `${refit.positions[position]?.name}: ${nodeShort(refit, a)} to ${nodeShort(refit, b)}`;
        const wrong = read !== null && read !== joins;
        return (
          <li key={words} className="flex min-h-12 flex-wrap items-center gap-2 border-b border-line">
            <span className="w-full sm:w-auto sm:grow">{words}</span>
            <span
              className={`ml-auto ${wrong ? 'font-bold text-brick' : read === null ? 'text-quiet' : 'font-semibold'}`}
            >
              {read === null
                ? CHECK_PAGE_TEXT.toBeRead
                : wrong
                  ? CHECK_PAGE_TEXT.must(read ? 'joins' : 'apart', joins ? 'join' : 'be apart')
                  : read
                    ? CHECK_PAGE_TEXT.joins
                    : CHECK_PAGE_TEXT.apart}
            </span>
            {read !== null && (
              <PlainButton
                look="quiet"
                aria-label={CHECK_PAGE_TEXT.readAgain(words)}
                onClick={() => onAgain(one)}
              >
                {CHECK_PAGE_TEXT.again}
              </PlainButton>
            )}
          </li>
        );
      })}
    </ol>
  );
}

/** Mistakes that nothing can show: named, never hidden. */
function Cannot({ refit, cannot }: { refit: Refit; cannot: readonly Mistake[] }) {
  if (cannot.length === 0) return null;
  return (
    <details>
      <summary className="min-h-11 cursor-pointer font-semibold">
        {CHECK_PAGE_TEXT.nothingCanShow}
        {cannot.length === 1 ? CHECK_PAGE_TEXT.thisOne : CHECK_PAGE_TEXT.these(cannot.length)}
        {CHECK_PAGE_TEXT.lookWithYourEyes}
      </summary>
      <ul className="list-disc pl-5">
        {cannot.map((mistake) => (
          <li key={JSON.stringify(mistake)}>{mistakeWords(refit, mistake)}</li>
        ))}
      </ul>
    </details>
  );
}
