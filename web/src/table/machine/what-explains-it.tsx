import type { Fault, Machine, RankedFault } from '@which-way/core/circuit';
import { LOAD_SEEN } from '@which-way/core/log';
import type { LoadId } from '@which-way/core/switch';
import { isOfSwitch, SEEN_WORDS } from '@which-way/words/machine';
import { PlainButton } from '../../shared/controls/plain-button.js';

/** Faults less likely than this are not listed. */
const LISTED = 0.03;
const MOST_LISTED = 5;

interface RankedFaultsProps {
  ranked: readonly RankedFault[];
  words: (fault: Fault) => string;
  /** How many looks there are to explain. */
  seen: number;
  /** Said where the likeliest lies elsewhere than in a switch. */
  notTheSwitch: string;
}

/** The likeliest faults, and what each explains. */
export function RankedFaults({ ranked, words, seen, notTheSwitch }: RankedFaultsProps) {
  const listed = ranked.filter(({ chance }) => chance >= LISTED).slice(0, MOST_LISTED);
  const best = listed[0];
  return (
    <>
      <p className="text-quiet">One fault is assumed. Chances, not proof: a look may be wrong.</p>
      <ol aria-label="What may explain it">
        {listed.map(({ fault, explains, chance }) => (
          <li key={words(fault)} className="flex flex-wrap items-baseline gap-x-3 border-b border-line py-1">
            <strong className="grow">{words(fault)}</strong>
            <span className="text-quiet">
              explains {explains} of {seen}, {Math.round(chance * 100)} %
            </span>
          </li>
        ))}
      </ol>
      {best && best.explains < seen && (
        <p className="text-amber-ink">
          It explains not all of it: it may be two faults, or a look was wrong.
        </p>
      )}
      {best && !isOfSwitch(best.fault) && best.fault.kind !== 'none' && (
        <p className="font-semibold">{notTheSwitch}</p>
      )}
    </>
  );
}

export const NEXT_BOX = 'grid gap-2 rounded-part border-2 border-brass bg-sheet p-3';

export type SeenOfLoad = (typeof LOAD_SEEN)[number];

interface LoadsSeenProps {
  machine: Pick<Machine, 'loads'>;
  loads: readonly LoadId[];
  /** What was said of each already. */
  said?: (load: LoadId) => SeenOfLoad | null;
  onSay: (load: LoadId, seen: SeenOfLoad) => void;
}

/** What each load did, in a tap. */
export function LoadsSeen({ machine, loads, said = () => null, onSay }: LoadsSeenProps) {
  return loads.map((id) => {
    const load = machine.loads.find((one) => one.id === id);
    return (
      <div key={id} role="group" aria-label={load?.name} className="flex flex-wrap items-center gap-2">
        <span className="min-w-24 grow">{load?.name}</span>
        {LOAD_SEEN.filter((one) => one !== 'reversed' || load?.kind === 'motor').map((one) => (
          <PlainButton
            key={one}
            look={said(id) === one ? 'strong' : 'plain'}
            aria-pressed={said(id) === one}
            onClick={() => onSay(id, one)}
          >
            {SEEN_WORDS[one]}
          </PlainButton>
        ))}
      </div>
    );
  });
}

/** The look that tells most, answered where it is asked. */
export function LookNext({ at, seconds, ...of }: LoadsSeenProps & { at: string; seconds: number }) {
  return (
    <div className={NEXT_BOX} role="group" aria-label="Look next">
      <p>
        Next, {seconds} s: bring it to <strong>{at}</strong>.
      </p>
      <LoadsSeen {...of} />
    </div>
  );
}

/** A load or a wire by itself: freed at one end, then ohms across it. */
export function TryPart({
  name,
  seconds,
  onSay,
}: {
  name: string;
  seconds: number;
  onSay: (whole: boolean) => void;
}) {
  return (
    <div className={NEXT_BOX} role="group" aria-label="Try next">
      <p>
        Next, about {seconds} s, dead and proved so: free one end of <strong>{name}</strong> and read ohms
        from end to end.
      </p>
      <div className="flex flex-wrap gap-2">
        <PlainButton onClick={() => onSay(true)}>It conducts</PlainButton>
        <PlainButton onClick={() => onSay(false)}>It is open</PlainButton>
      </div>
    </div>
  );
}
