import { recordsOf, REFIT_WAYS } from '@which-way/core/log';
import { chosenOf, isTicked, transferCard, wayOf, type CardLine } from '@which-way/core/refit';
import { judge } from '@which-way/core/verdict';
import { verdictHeadline } from '@which-way/words/judge/headline';
import { cardLineMore, cardLineWords, endWork, REFIT_WAY_WORDS } from '@which-way/words/refit';
import { fastenerWords } from '@which-way/words/tag/wires';
import { settingName } from '@which-way/words/terminals';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useJobState, useSession } from '../../../job/job-context.js';
import { useHandsFree } from '../../../parts/hands/hands-free.js';
import { play, say } from '../../../parts/hands/sounds.js';
import { useWakeLock } from '../../../parts/hands/use-wake-lock.js';
import { Choice } from '../../../controls/fields/choice.js';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { photoUrl, thumbUrl } from '../../../parts/photos/photo-url.js';
import { BareEnds } from '../../../parts/safety/bare-ends.js';
import { useAnswerKeys } from '../../../parts/hands/answer-keys.js';
import { LinePicture } from './line-picture.js';
import { CardList } from './card-list.js';
import { TransferSketch } from './transfer-sketch.js';
import { ANSWER_CAPS } from '@which-way/words/probing/keys';
import { TRANSFER_PAGE_TEXT } from '@which-way/words/screens/pages/refit/card/transfer-page';
import { useUnits } from '../../../parts/units/units.js';
import { FittedMain } from '../../../controls/frame/fitted-main.js';

/** Every wire from its old terminal to its new one, one at a time in big type, and the whole card beside it. */
export function TransferPage() {
  const map = useJobState((state) => state.map);
  const real = useJobState(({ job }) => job !== null && job.simulation === null);
  const session = useSession();
  const card = useMemo(() => transferCard(map), [map]);
  const [asked, setAsked] = useState<string | null>(null);
  const way = wayOf(map);
  const chosen = chosenOf(map);
  const ways = REFIT_WAYS.filter((one) => one !== 'part' || chosen?.part);
  const next =
    card.lines.find((line) => line.key === asked) ?? card.lines.find((line) => !isTicked(card, line));
  const tick = (line: CardLine, done: boolean) => {
    // A bare end finds something: nothing else is done before it is capped.
    if (done && line.kind !== 'cap' && card.uncapped > 0) {
      setAsked(card.lines.find((one) => one.kind === 'cap' && !isTicked(card, one))?.key ?? null);
      return;
    }
    session.emit({ kind: 'line-ticked', line: line.key, done });
    setAsked(null);
  };
  useAnswerKeys({
    ...(next && { yes: () => tick(next, true) }),
    undo: () => session.undo(new Set(['line-ticked'])),
  });
  useWakeLock(next !== undefined);
  useHeard(next, card.left);
  return (
    <FittedMain
      shape="beside"
      className="gap-x-8 gap-y-4 px-4 sm:px-6 lg:grid-cols-[minmax(0,7fr)_minmax(0,5fr)]"
    >
      <section
        aria-label={TRANSFER_PAGE_TEXT.whatToDoNext}
        className="no-print grid min-w-0 content-start gap-3 pt-3 lg:overflow-y-auto lg:pb-3"
      >
        <h1 className="sr-only">{TRANSFER_PAGE_TEXT.wiresBack}</h1>
        <Choice
          label={TRANSFER_PAGE_TEXT.whatGoesBack}
          value={way}
          options={ways.map((value) => ({
            value,
            text: value === 'part' && chosen ? chosen.name : REFIT_WAY_WORDS[value].name,
          }))}
          onChoose={(value) => session.emit({ kind: 'refit-begun', way: value })}
        />
        <p className="text-quiet">
          {REFIT_WAY_WORDS[way].about}
          {TRANSFER_PAGE_TEXT.deadAndProvedSoSupply}
        </p>
        {way === 'same' && <Doubts />}
        {card.lines.length === 0 ? (
          <Notice look="plain" title={TRANSFER_PAGE_TEXT.noWireIsTagged}>
            {TRANSFER_PAGE_TEXT.tagThemAt}{' '}
            <Link to="../tag/wires" relative="path" className="underline">
              {TRANSFER_PAGE_TEXT.wiresAndJumpers}
            </Link>
            {TRANSFER_PAGE_TEXT.thenEachHasALine}
          </Notice>
        ) : next ? (
          <NextLine line={next} done={isTicked(card, next)} onTick={(done) => tick(next, done)} />
        ) : (
          <Notice look="plain" title={TRANSFER_PAGE_TEXT.everyLineOfTheCard}>
            <Link to="check" relative="path" className="underline">
              {TRANSFER_PAGE_TEXT.nowTheCheckBeforePower}
            </Link>
            {TRANSFER_PAGE_TEXT.fewReadingsAndAnySingle}
          </Notice>
        )}
        {next && card.refit && <LinePicture map={map} refit={card.refit} line={next} />}
      </section>
      <div className="grid min-w-0 content-start gap-4 pb-3 lg:overflow-y-auto lg:pt-3">
        {!window.isSecureContext && <p className="text-quiet">{TRANSFER_PAGE_TEXT.leaveThisPageOpenOver}</p>}
        {real && <BareEnds quietOnceSaid />}
        {card.uncapped > 0 && (
          <Notice
            look="amber"
            title={TRANSFER_PAGE_TEXT.toCapBeforeAnythingElse(
              card.uncapped === 1
                ? TRANSFER_PAGE_TEXT.oneBareEnd
                : TRANSFER_PAGE_TEXT.bareEnds(card.uncapped),
            )}
          >
            {TRANSFER_PAGE_TEXT.anEndThatGoesNowhere}
          </Notice>
        )}
        {card.refit && <TransferSketch map={map} refit={card.refit} lines={card.lines} />}
        <CardList card={card} at={next?.key ?? ''} onGo={setAsked} onTick={tick} />
        <Positions />
        <Assembly />
      </div>
    </FittedMain>
  );
}

/** A switch that failed, or that nobody has judged, goes back with that in sight. */
function Doubts() {
  const map = useJobState((state) => state.map);
  const judgement = useMemo(() => judge(map), [map]);
  const { whole } = judgement;
  if (whole === 'passes' || whole === 'wiring-and-contacts-pass') return null;
  return (
    <Notice
      look={whole === 'fails' || whole === 'intermittent' ? 'brick' : 'amber'}
      title={verdictHeadline(judgement)}
    >
      <Link to="../verify" relative="path" className="underline">
        {TRANSFER_PAGE_TEXT.verify}
      </Link>{' '}
      {TRANSFER_PAGE_TEXT.saysWhyPutRightOr}
    </Notice>
  );
}

/** Says the line that is next, where speech is on, and tells by ear that the last one is done. */
function useHeard(next: CardLine | undefined, left: number): void {
  const { sounds, speech } = useHandsFree();
  const words = next ? cardLineWords(next) : '';
  useEffect(() => {
    if (speech && words !== '') say(words);
  }, [speech, words]);
  useEffect(() => {
    if (sounds && left === 0) play('done');
  }, [sounds, left]);
}

function NextLine({
  line,
  done,
  onTick,
}: {
  line: CardLine;
  done: boolean;
  onTick: (done: boolean) => void;
}) {
  const session = useSession();
  const units = useUnits();
  const work = line.kind === 'wire' && line.wire.termination ? endWork(line.wire.termination, units) : null;
  return (
    <div className="grid gap-3 rounded-part border-t-4 border-ink bg-sheet p-4">
      <p
        data-testid="prompt"
        aria-live="polite"
        className="text-title leading-[1.06] font-extrabold text-balance tracking-tight sm:text-prompt"
      >
        {cardLineWords(line)}
      </p>
      <ul className="grid text-large">
        {[...cardLineMore(line), ...(work ? [work] : [])].map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
      {line.kind === 'wire' && line.others.length > 0 && !done && (
        <div
          role="group"
          aria-label={TRANSFER_PAGE_TEXT.anotherLug}
          className="flex flex-wrap items-center gap-2"
        >
          <span>
            {TRANSFER_PAGE_TEXT.joinedWith}
            {line.to}
            {TRANSFER_PAGE_TEXT.theSameThere}
          </span>
          {line.others.map((lug) => (
            <PlainButton
              key={lug}
              onClick={() => session.emit({ kind: 'wire-laid', wire: line.wire.id, lug })}
            >
              {TRANSFER_PAGE_TEXT.putItOn}
              {lug}
            </PlainButton>
          ))}
        </div>
      )}
      <PlainButton
        look="strong"
        className="min-h-16 justify-self-start text-large"
        onClick={() => onTick(!done)}
      >
        {done ? TRANSFER_PAGE_TEXT.notDoneAfterAll : TRANSFER_PAGE_TEXT.done}{' '}
        <kbd className="ml-3 font-mono text-small font-normal">{ANSWER_CAPS.yes}</kbd>
      </PlainButton>
    </div>
  );
}

/** What each position becomes. */
function Positions() {
  const map = useJobState((state) => state.map);
  const chosen = chosenOf(map);
  if (wayOf(map) !== 'part' || !chosen || chosen.positions.length === 0) return null;
  return (
    <section aria-label={TRANSFER_PAGE_TEXT.positionsThenAndNow}>
      <h2 className="text-large font-bold">{TRANSFER_PAGE_TEXT.positionsThenAndNow}</h2>
      <ul>
        {chosen.positions.map(({ from, to }) => (
          <li key={from} className="border-b border-line py-1 font-mono">
            {settingName(map.structure, from)} → {to}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The strip log backwards: how it goes together. */
function Assembly() {
  const units = useUnits();
  const log = useJobState((state) => state.map.log);
  const steps = recordsOf(log, 'stripped').toReversed();
  const before = recordsOf(log, 'photo-taken').filter(({ purpose }) => purpose === 'before');
  if (steps.length + before.length === 0) return null;
  return (
    <section aria-label={TRANSFER_PAGE_TEXT.howItGoesTogether}>
      <h2 className="text-large font-bold">{TRANSFER_PAGE_TEXT.howItGoesTogether}</h2>
      {before.map(({ id, caption }) => (
        <a key={id} href={photoUrl(id)} target="_blank" rel="noreferrer" className="block pb-2">
          <img src={photoUrl(id)} alt="" loading="lazy" className="max-h-64 rounded-part object-contain" />
          <span className="text-quiet underline">
            {TRANSFER_PAGE_TEXT.asItWas}
            {caption ? `: ${caption}` : ''}
          </span>
        </a>
      ))}
      <ol>
        {steps.map(({ id, text, photo, fasteners, loose }) => (
          <li key={id} className="flex items-start gap-3 border-b border-line py-2">
            {photo && <img src={thumbUrl(photo)} alt="" className="size-16 rounded-part object-cover" />}
            <span className="min-w-0">
              {text}
              {fasteners.length > 0 && (
                <span className="block text-quiet">
                  {fasteners.map((one) => fastenerWords(one, units)).join('; ')}
                </span>
              )}
              {loose && (
                <span className="block text-amber-ink">
                  {TRANSFER_PAGE_TEXT.comesLoose}
                  {loose}
                </span>
              )}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
