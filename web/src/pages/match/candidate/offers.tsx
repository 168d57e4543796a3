import type { SwitchMap } from '@which-way/core/continuity';
import { mechanicsOf, type Offer, recordsOf, type Refinement } from '@which-way/core/log';
import {
  OF_THE_OLD_ONE,
  offerFindings,
  type MapRequirement,
  type MatchResult,
  type OfferFindings,
  type Subject,
} from '@which-way/core/match';
import { REASON_LETTERS } from '@which-way/core/schema';
import type { KnownSwitch } from '@which-way/core/switch';
import { differenceText, fitQuestion, offerConflicts, questionsText } from '@which-way/words/match/match';
import { factLines } from '@which-way/words/match/part-facts';
import { useMemo } from 'react';
import { toast } from '../../../controls/toast.js';
import { useSession } from '../../../job/job-context.js';
import { KeptField } from '../../../controls/fields/kept-field.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { NO_WORTH } from '../../../parts/worth/no-worth.js';
import { neverPairs } from '../match-question.js';
import { OfferForm } from './offer-form.js';
import { ResultLine } from '../../../controls/result-line.js';
import { OFFERS_TEXT } from '@which-way/words/screens/pages/match/candidate/offers';
import { useUnits } from '../../../parts/units/units.js';

interface OffersProps {
  map: SwitchMap;
  found: MapRequirement & { kind: 'requirement' };
  known: KnownSwitch;
  result: Extract<MatchResult, { terminals: unknown }>;
  subject: Subject;
  refinement: Refinement;
}

/** Who offers it: a conflict rejects an offer, a gap is asked; the price goes into repair or replace. */
export function Offers({ map, found, known, result, subject, refinement }: OffersProps) {
  const session = useSession();
  const offers = useMemo(
    () => recordsOf(map.log, 'offer-noted').filter(({ entry }) => entry === known.id),
    [map.log, known.id],
  );
  const units = useUnits();
  const keep = (offer: Offer) => session.emit({ kind: 'offer-noted', offer });
  const take = (offer: Offer) => {
    keep({ ...offer, state: 'taken', reason: '' });
    if (offer.price === null) return;
    session.emit({
      kind: 'worth-noted',
      inputs: { ...(recordsOf(map.log, 'worth-noted') ?? NO_WORTH), part: offer.price },
    });
    toast.success(OFFERS_TEXT.itsPriceIsNowThe(offer.price));
  };
  const of = {
    required: found.requirement,
    subject,
    never: neverPairs(map, found, refinement),
    mechanics: mechanicsOf(map.log),
  };
  return (
    <ResultLine
      name={OFFERS_TEXT.offers}
      result={offers.length === 0 ? OFFERS_TEXT.noneIsWrittenDown : OFFERS_TEXT.count(offers.length)}
      act={OFFERS_TEXT.writeDown}
      open={offers.length > 0}
    >
      <ul>
        {offers.map((offer) => {
          const findings = offerFindings(of, known, result, offer);
          const conflicts = offerConflicts(findings, map.structure, found.settings, units);
          const questions = [
            ...new Set([
              ...findings.gaps
                .filter(({ code }) => !OF_THE_OLD_ONE.has(code))
                .map((gap) => differenceText(gap, map.structure, found.settings, findings.known)),
              ...findings.fitGaps.map((gap) => fitQuestion(gap, units)),
            ]),
          ];
          return <OfferLine key={offer.id} {...{ offer, findings, conflicts, questions, keep, take }} />;
        })}
      </ul>
      <h3 className="mt-2 font-semibold">{OFFERS_TEXT.writeDownAnOffer}</h3>
      <OfferForm entry={known.id} onAdd={keep} />
    </ResultLine>
  );
}

interface OfferLineProps {
  offer: Offer;
  findings: OfferFindings;
  conflicts: string[];
  questions: string[];
  keep: (offer: Offer) => void;
  take: (offer: Offer) => void;
}

const STATE_WORDS: Record<Offer['state'], string> = { open: '', rejected: 'rejected', taken: 'taken' };

/** What was asked of a seller, and what they answered. */
function Asked({ offer, keep }: Pick<OfferLineProps, 'offer' | 'keep'>) {
  return (
    <>
      <p className="text-small text-quiet">
        {OFFERS_TEXT.askedOn}
        {offer.asked?.slice(0, 10)}.
      </p>
      <KeptField
        label={OFFERS_TEXT.whatAnswered(offer.seller)}
        text={offer.answer}
        maxLength={REASON_LETTERS}
        onKeep={(text) => keep({ ...offer, answer: text })}
      />
    </>
  );
}

function OfferLine({ offer, findings, conflicts, questions, keep, take }: OfferLineProps) {
  const { seller, link, price, stated, state, reason, asked } = offer;
  const units = useUnits();
  const ask = async () => {
    try {
      await navigator.clipboard.writeText(questionsText(findings.known.name, questions));
      toast.success(OFFERS_TEXT.theQuestionsAreCopied);
    } catch {
      toast.error(OFFERS_TEXT.thisBrowserCopiesOnlyAt);
    }
    keep({
      ...offer,
      questions: questions.map((text) => text.slice(0, REASON_LETTERS)),
      asked: new Date().toISOString(),
    });
  };
  return (
    <li className="grid gap-1 border-b border-line py-2" aria-label={OFFERS_TEXT.offerOf(seller)}>
      <p className="flex flex-wrap items-baseline gap-x-3">
        <strong>{seller}</strong>
        {price !== null && <span className="font-mono">{price}</span>}
        {link && (
          <a href={link} target="_blank" rel="noreferrer" className="min-w-0 truncate underline">
            {link}
          </a>
        )}
        {state !== 'open' && (
          <span
            className={`rounded-part px-2 text-small ${state === 'taken' ? 'bg-teal text-on-teal' : 'bg-brick text-sheet'}`}
          >
            {STATE_WORDS[state]}
          </span>
        )}
      </p>
      {factLines(stated, units).length > 0 && (
        <p className="text-quiet">
          {OFFERS_TEXT.states}{' '}
          {factLines(stated, units)
            .map(([label, value]) => `${label}: ${value}`)
            .join(' · ')}
        </p>
      )}
      {reason && (
        <p>
          {OFFERS_TEXT.rejected}
          {reason}
        </p>
      )}
      {conflicts.length > 0 && (
        <ul className="list-disc pl-6 text-brick">
          {conflicts.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      )}
      {questions.length > 0 && (
        <p className="text-quiet">
          {questions.length === 1 ? OFFERS_TEXT.oneThingIs : OFFERS_TEXT.thingsAre(questions.length)}
          {OFFERS_TEXT.notStated} {questions.join(' ')}
        </p>
      )}
      {asked && <Asked {...{ offer, keep }} />}
      <div className="flex flex-wrap gap-2">
        {questions.length > 0 && (
          <PlainButton onClick={() => void ask()}>{OFFERS_TEXT.copyTheQuestions}</PlainButton>
        )}
        {state === 'open' && conflicts.length > 0 && (
          <PlainButton
            onClick={() =>
              keep({ ...offer, state: 'rejected', reason: conflicts.join(' ').slice(0, REASON_LETTERS) })
            }
          >
            {OFFERS_TEXT.rejectIt}
            {conflicts.length === 1 ? OFFERS_TEXT.aConflict : OFFERS_TEXT.conflicts(conflicts.length)}
          </PlainButton>
        )}
        {state === 'open' && (
          <PlainButton disabled={conflicts.length > 0} onClick={() => take(offer)}>
            {OFFERS_TEXT.takeIt}
          </PlainButton>
        )}
        {state !== 'open' && (
          <PlainButton look="quiet" onClick={() => keep({ ...offer, state: 'open', reason: '' })}>
            {OFFERS_TEXT.openAgain}
          </PlainButton>
        )}
        <PlainButton look="quiet" onClick={() => keep({ ...offer, removed: true })}>
          {OFFERS_TEXT.remove}
        </PlainButton>
      </div>
    </li>
  );
}
