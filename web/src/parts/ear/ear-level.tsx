import { EAR_TEXT } from '@which-way/words/screens/parts/ear/ear';
import { useStore } from 'zustand';
import type { Listener } from './listener.js';

/** How loud it is, and whether the beeper is heard. */
export function EarLevel({ listener }: { listener: Listener }) {
  const { level, sounding, beeps } = useStore(listener.store);
  return (
    <span className="inline-flex items-center gap-2">
      <span
        role="meter"
        aria-label={EAR_TEXT.level}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(100 * level)}
        className="h-3 w-28 overflow-hidden max-sm:w-14 rounded-full border border-line bg-sheet"
      >
        <span
          className={`block h-full ${sounding ? 'bg-teal' : 'bg-quiet'}`}
          style={{ width: `${Math.round(100 * level)}%` }}
        />
      </span>
      <span
        data-heard={beeps}
        className={`font-semibold ${sounding ? 'text-teal' : 'invisible max-sm:hidden'}`}
      >
        {EAR_TEXT.heardIt}
      </span>
    </span>
  );
}
