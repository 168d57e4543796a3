import { isOfSwitch, type Fault, type LikelyFault } from '@which-way/core/circuit';

/** Faults less likely than this are not listed. */
const LISTED = 0.03;
const MOST_LISTED = 5;
/** With less than this left for the switch it is said not to be the switch. */
const HARDLY = 0.05;

interface RankedFaultsProps {
  ranked: readonly LikelyFault[];
  words: (fault: Fault) => string;
  /** How many looks there are to explain. */
  seen: number;
  /** Said where it hardly lies in a switch any more. */
  notTheSwitch: string;
}

/** The likeliest faults, and what each explains. */
export function RankedFaults({ ranked, words, seen, notTheSwitch }: RankedFaultsProps) {
  const listed = ranked.filter(({ chance }) => chance >= LISTED).slice(0, MOST_LISTED);
  const best = listed[0];
  const more = ranked.filter(({ chance }) => chance >= LISTED).length - listed.length;
  const inSwitch = ranked
    .filter(({ fault }) => isOfSwitch(fault) || fault.kind === 'none')
    .reduce((sum, { chance }) => sum + chance, 0);
  return (
    <>
      <p className="text-quiet">One fault is assumed. Chances, not proof: a look may be wrong.</p>
      <ol aria-label="What may explain it">
        {listed.map(({ fault, explains, chance }) => (
          <li key={words(fault)} className="flex flex-wrap items-baseline gap-x-3 border-b border-line py-1">
            <strong className="grow first-letter:uppercase">{words(fault)}</strong>
            <span className="text-quiet">
              explains {explains} of {seen}, {Math.round(chance * 100)} %
            </span>
          </li>
        ))}
      </ol>
      {best && best.explains < seen && (
        <p className="text-amber-ink">
          The likeliest explains not all of it: it may be two faults, or a look was wrong.
        </p>
      )}
      {more > 0 && <p className="text-quiet">and {more} more that may be it.</p>}
      {best && inSwitch < HARDLY && <p className="font-semibold">{notTheSwitch}</p>}
    </>
  );
}
