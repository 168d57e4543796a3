import type { SettingId } from '@which-way/core/switch';
import { useState } from 'react';
import { PlainButton } from '../../controls/plain-button.js';
import { PART_OF_POSITIONS_TEXT } from '@which-way/words/screens/parts/facts/part-of-positions';

/** The part of the settings that is shown: it goes with the handle until another one is chosen. */
export function usePart(settings: readonly SettingId[], at: SettingId | null, most: number) {
  const [chosen, choose] = useState<{ at: SettingId | null; from: number } | null>(null);
  const here = Math.max(0, at === null ? 0 : settings.indexOf(at));
  const from = chosen && chosen.at === at ? chosen.from : here - (here % most);
  return {
    from,
    to: Math.min(settings.length, from + most),
    show: (next: number) => choose({ at, from: next }),
  };
}

interface PartLineProps {
  from: number;
  to: number;
  most: number;
  all: number;
  show: (from: number) => void;
}

/** Which positions are shown of how many, and the way to the others; nothing where all are. */
export function PartLine({ from, to, most, all, show }: PartLineProps) {
  if (to - from >= all) return null;
  return (
    <p className="no-print flex items-center gap-2 text-small">
      <PlainButton className="!px-3" disabled={from === 0} onClick={() => show(Math.max(0, from - most))}>
        ‹<span className="sr-only">{PART_OF_POSITIONS_TEXT.positionsBefore}</span>
      </PlainButton>
      <span className="grow text-center">
        {PART_OF_POSITIONS_TEXT.positions}
        {from + 1}
        {PART_OF_POSITIONS_TEXT.to}
        {to}
        {PART_OF_POSITIONS_TEXT.ofText}
        {all}
      </span>
      <PlainButton className="!px-3" disabled={to === all} onClick={() => show(from + most)}>
        ›<span className="sr-only">{PART_OF_POSITIONS_TEXT.positionsAfter}</span>
      </PlainButton>
    </p>
  );
}
