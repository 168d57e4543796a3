import { LOAD_COMPLAINTS, type LoadComplaint } from '@which-way/core/machine';
import type { Load } from '@which-way/core/log';
import type { LoadId } from '@which-way/core/switch';
import { COMPLAINT_WORDS } from '@which-way/words/machine/seen';
import { PlainButton } from '../../controls/plain-button.js';
import { COMPLAINT_TAPS_TEXT } from '@which-way/words/screens/parts/hunt/complaint-taps';

interface ComplaintTapsProps {
  loads: readonly Load[];
  /** Complaints that the customer's story has already, to stand first. */
  told: ReadonlySet<LoadComplaint>;
  /** Whether all that a complaint says of a load was said. */
  isSaid: (load: LoadId, complaint: LoadComplaint) => boolean;
  onSay: (load: LoadId, complaint: LoadComplaint, said: boolean) => void;
}

/** What is wrong with each load, whatever the setting, in a tap; tapped again it is not said any more. */
export function ComplaintTaps({ loads, told, isSaid, onSay }: ComplaintTapsProps) {
  const order = LOAD_COMPLAINTS.toSorted((one, other) => Number(told.has(other)) - Number(told.has(one)));
  return loads.map(({ id, name, kind }) => (
    <div
      key={id}
      role="group"
      aria-label={COMPLAINT_TAPS_TEXT.whatIsWrongWith(name)}
      className="flex flex-wrap items-center gap-2"
    >
      <span className="min-w-24 grow font-semibold">{name}</span>
      {order
        .filter((one) => one !== 'wrong-way' || kind === 'motor')
        .map((one) => {
          const said = isSaid(id, one);
          return (
            <PlainButton
              key={one}
              look={said ? 'strong' : 'plain'}
              aria-pressed={said}
              className="px-2.5"
              onClick={() => onSay(id, one, !said)}
            >
              {COMPLAINT_WORDS[one]}
            </PlainButton>
          );
        })}
    </div>
  ));
}
