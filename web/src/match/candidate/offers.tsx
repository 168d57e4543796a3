import type { SwitchMap } from '@which-way/core/continuity';
import { mechanicsOf, offersOf, worthOf, type Offer, type Refinement } from '@which-way/core/log';
import {
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
import { toast } from 'sonner';
import { useSession } from '../../job/job-context.js';
import { KeptField } from '../../shared/controls/kept-field.js';
import { PlainButton } from '../../shared/controls/plain-button.js';
import { NO_WORTH } from '../../intake/no-worth.js';
import { neverPairs } from '../match-question.js';
import { OfferForm } from './offer-form.js';

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
    () => offersOf(map.log).filter(({ entry }) => entry === known.id),
    [map.log, known.id],
  );
  const keep = (offer: Offer) => session.emit({ kind: 'offer-noted', offer });
  const take = (offer: Offer) => {
    keep({ ...offer, state: 'taken', reason: '' });
    if (offer.price === null) return;
    session.emit({ kind: 'worth-noted', inputs: { ...(worthOf(map.log) ?? NO_WORTH), part: offer.price } });
    toast.success(`Its price, ${offer.price}, is now the part’s at Repair or replace.`);
  };
  const of = {
    ...{ required: found.requirement, subject, never: neverPairs(map, found, refinement) },
    mechanics: mechanicsOf(map.log),
  };
  return (
    <section aria-label="Offers" className="mt-4 max-w-3xl">
      <h3 className="text-large font-bold">Offers</h3>
      {offers.length === 0 && <p className="text-quiet">None is written down.</p>}
      <ul>
        {offers.map((offer) => {
          const findings = offerFindings(of, known, result, offer);
          const conflicts = offerConflicts(findings, map.structure, found.settings);
          const questions = [
            ...new Set([
              ...findings.gaps.map((gap) =>
                differenceText(gap, map.structure, found.settings, findings.known),
              ),
              ...findings.fitGaps.map(fitQuestion),
            ]),
          ];
          return <OfferLine key={offer.id} {...{ offer, findings, conflicts, questions, keep, take }} />;
        })}
      </ul>
      <details className="mt-2">
        <summary className="min-h-11 cursor-pointer py-2 font-semibold">Write down an offer</summary>
        <OfferForm entry={known.id} onAdd={keep} />
      </details>
    </section>
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

function OfferLine({ offer, findings, conflicts, questions, keep, take }: OfferLineProps) {
  const { seller, link, price, stated, state, reason, asked, answer } = offer;
  const ask = async () => {
    try {
      await navigator.clipboard.writeText(questionsText(findings.known.name, questions));
      toast.success('The questions are copied.');
    } catch {
      toast.error('This browser copies only at a secure address: mark the questions and copy them.');
    }
    keep({
      ...offer,
      questions: questions.map((text) => text.slice(0, REASON_LETTERS)),
      asked: new Date().toISOString(),
    });
  };
  return (
    <li className="grid gap-1 border-b border-line py-2" aria-label={`Offer of ${seller}`}>
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
      {factLines(stated).length > 0 && (
        <p className="text-quiet">
          States{' '}
          {factLines(stated)
            .map(([label, value]) => `${label}: ${value}`)
            .join(' · ')}
        </p>
      )}
      {reason && <p>Rejected: {reason}</p>}
      {conflicts.length > 0 && (
        <ul className="list-disc pl-6 text-brick">
          {conflicts.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      )}
      {questions.length > 0 && (
        <p className="text-quiet">
          {questions.length === 1 ? 'One thing is' : `${questions.length} things are`} not stated:{' '}
          {questions.join(' ')}
        </p>
      )}
      {asked && <p className="text-small text-quiet">Asked on {asked.slice(0, 10)}.</p>}
      {asked && (
        <KeptField
          label={`What ${seller} answered`}
          text={answer}
          maxLength={REASON_LETTERS}
          onKeep={(text) => keep({ ...offer, answer: text })}
        />
      )}
      <div className="flex flex-wrap gap-2">
        {questions.length > 0 && <PlainButton onClick={() => void ask()}>Copy the questions</PlainButton>}
        {state === 'open' && conflicts.length > 0 && (
          <PlainButton
            onClick={() =>
              keep({ ...offer, state: 'rejected', reason: conflicts.join(' ').slice(0, REASON_LETTERS) })
            }
          >
            Reject it: {conflicts.length === 1 ? 'a conflict' : `${conflicts.length} conflicts`}
          </PlainButton>
        )}
        {state === 'open' && (
          <PlainButton disabled={conflicts.length > 0} onClick={() => take(offer)}>
            Take it
          </PlainButton>
        )}
        {state !== 'open' && (
          <PlainButton look="quiet" onClick={() => keep({ ...offer, state: 'open', reason: '' })}>
            Open again
          </PlainButton>
        )}
        <PlainButton look="quiet" onClick={() => keep({ ...offer, removed: true })}>
          Remove
        </PlainButton>
      </div>
    </li>
  );
}
