import type { TruthTable } from '@which-way/core/table';
import { useState, type KeyboardEvent } from 'react';
import type { Inspected } from '../../parts/facts/inspector.js';
import { PlainButton } from '../../controls/plain-button.js';
import { SettingPicture } from './setting-picture.js';
import { ONE_LARGE_TEXT } from '@which-way/words/screens/pages/table/one-large';

interface OneLargeProps {
  table: TruthTable;
  onPick: (about: Inspected) => void;
}

/** One setting, large; the arrow keys go through them. */
export function OneLarge({ table, onPick }: OneLargeProps) {
  const [at, setAt] = useState(0);
  const all = table.settings.length;
  const place = Math.min(at, all - 1);
  const setting = table.settings[place];
  if (!setting) return null;
  const go = (step: number) => setAt((place + step + all) % all);
  const onKeyDown = (event: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    go(step);
  };
  return (
    <div
      role="group"
      aria-label={ONE_LARGE_TEXT.oneSettingLargeArrowsGo}
      tabIndex={0}
      onKeyDown={onKeyDown}
      className="outline-offset-4"
    >
      <ul className="[&_svg]:max-h-[52dvh]" aria-live="polite">
        <SettingPicture setting={setting} index={place} table={table} onPick={onPick} />
      </ul>
      <div className="flex items-center justify-center gap-3">
        <PlainButton onClick={() => go(-1)}>
          ←<span className="sr-only">{ONE_LARGE_TEXT.theSettingBefore}</span>
        </PlainButton>
        {place + 1}
        {ONE_LARGE_TEXT.ofText}
        {all}
        <PlainButton onClick={() => go(1)}>
          →<span className="sr-only">{ONE_LARGE_TEXT.theNextSetting}</span>
        </PlainButton>
      </div>
    </div>
  );
}
