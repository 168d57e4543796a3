import { LOAD_SEEN, type Load } from '@which-way/core/log';
import type { LoadId } from '@which-way/core/switch';
import { SEEN_WORDS } from '@which-way/words/machine/seen';
import { PlainButton } from '../../controls/plain-button.js';

export type SeenOfLoad = (typeof LOAD_SEEN)[number];

export interface LoadsSeenProps {
  loads: readonly Load[];
  /** What was said of each already. */
  said?: (load: LoadId) => SeenOfLoad | null;
  onSay: (load: LoadId, seen: SeenOfLoad) => void;
}

/** What each load did, in a tap. */
export function LoadsSeen({ loads, said = () => null, onSay }: LoadsSeenProps) {
  return loads.map(({ id, name, kind }) => (
    <div key={id} role="group" aria-label={name} className="flex flex-wrap items-center gap-2">
      <span className="min-w-24 grow">{name}</span>
      {LOAD_SEEN.filter((one) => one !== 'reversed' || kind === 'motor').map((one) => (
        <PlainButton
          key={one}
          look={said(id) === one ? 'strong' : 'plain'}
          aria-pressed={said(id) === one}
          className="px-2.5"
          onClick={() => onSay(id, one)}
        >
          {SEEN_WORDS[one]}
        </PlainButton>
      ))}
    </div>
  ));
}
