import { isOfSwitch, type Fault, type LikelyFault } from '@which-way/core/machine';
import { RANKED_FAULTS_TEXT } from '@which-way/words/screens/parts/hunt/ranked-faults';

/** Faults less likely than this are not listed. */
const LISTED = 0.03;
const MOST_LISTED = 5;
/** With less than this left for the switch it is said not to be the switch. */
const HARDLY = 0.05;

interface RankedFaultsProps {
  ranked: readonly LikelyFault[];
  words: (fault: Fault) => string;
  /** What is to be known of a fault besides; null: nothing. */
  note?: (fault: Fault) => string | null;
  /** How many looks there are to explain. */
  seen: number;
  /** Said where it hardly lies in a switch any more. */
  notTheSwitch: string;
}

/** The likeliest faults, and what each explains. */
export function RankedFaults({ ranked, words, note, seen, notTheSwitch }: RankedFaultsProps) {
  const listed = ranked.filter(({ chance }) => chance >= LISTED).slice(0, MOST_LISTED);
  const best = listed[0];
  const more = ranked.filter(({ chance }) => chance >= LISTED).length - listed.length;
  const inSwitch = ranked
    .filter(({ fault }) => isOfSwitch(fault) || fault.kind === 'none')
    .reduce((sum, { chance }) => sum + chance, 0);
  return (
    <>
      <p className="text-quiet">{RANKED_FAULTS_TEXT.oneFaultIsAssumedChances}</p>
      <ol aria-label={RANKED_FAULTS_TEXT.whatMayExplainIt}>
        {listed.map(({ fault, explains, chance }) => (
          <li key={words(fault)} className="flex flex-wrap items-baseline gap-x-3 border-b border-line py-1">
            <strong className="grow first-letter:uppercase">{words(fault)}</strong>
            <span className="text-quiet">
              {RANKED_FAULTS_TEXT.explains}
              {explains}
              {RANKED_FAULTS_TEXT.ofText}
              {seen}, {Math.round(chance * 100)} %
            </span>
            {note?.(fault) && <p className="basis-full text-small">{note(fault)}</p>}
          </li>
        ))}
      </ol>
      {best && best.explains < seen && (
        <p className="text-amber-ink">{RANKED_FAULTS_TEXT.theLikeliestExplainsNotAll}</p>
      )}
      {more > 0 && (
        <p className="text-quiet">
          {RANKED_FAULTS_TEXT.and}
          {more}
          {RANKED_FAULTS_TEXT.moreThatMayBeIt}
        </p>
      )}
      {best && inSwitch < HARDLY && <p className="font-semibold">{notTheSwitch}</p>}
    </>
  );
}
