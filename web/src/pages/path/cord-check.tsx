import { NUMBER_LETTERS, FIGURE_LETTERS } from '@which-way/core/schema';
import { cordLoop } from '@which-way/core/path';
import { decodeMarking } from '@which-way/core/rating';
import { lastCheckedMeter } from '@which-way/core/log';
import { useState } from 'react';
import { useJobState } from '../../job/job-context.js';
import { readAmount } from '../../controls/fields/amount.js';
import { CORD_CHECK_TEXT } from '@which-way/words/screens/pages/path/cord-check';
import { Field } from '../../controls/fields/field.js';

/** The area of one conductor in mm2 from a cord's marking or a bare number; null when it is neither. */
export function areaOf(typed: string): number | null {
  const plain = readAmount(typed.replace(/\s*mm(2|²)?\s*$/i, ''), 1000);
  if (typeof plain === 'number' && plain > 0) return plain;
  return decodeMarking(typed.trim()).cord?.area ?? null;
}

/** What a sound cord reads there and back, beside what the meter in hand can tell. */
export function CordCheck() {
  const meter = useJobState((state) => lastCheckedMeter(state.map.log));
  const [length, setLength] = useState('');
  const [size, setSize] = useState('');
  const metres = readAmount(length, 1000);
  const area = areaOf(size);
  const loop = metres && area ? cordLoop(metres, area, meter) : null;
  const milliohm =
    loop && (loop.ohms < 10 ? `${Math.round(loop.ohms * 1000)} milliohm` : `${loop.ohms.toFixed(1)} ohm`);
  return (
    <section aria-label={CORD_CHECK_TEXT.cord} className="border-t-2 border-line pt-3">
      <h2 className="font-bold">{CORD_CHECK_TEXT.whatShouldTheCordRead}</h2>
      <div className="mt-1 grid grid-cols-2 gap-3">
        <Field
          label={CORD_CHECK_TEXT.lengthInMetres}
          inputMode="decimal"
          maxLength={NUMBER_LETTERS}
          value={length}
          onType={setLength}
          mono
        />
        <Field
          label={CORD_CHECK_TEXT.size}
          maxLength={FIGURE_LETTERS}
          value={size}
          placeholder={CORD_CHECK_TEXT.orAwg}
          onType={setSize}
          mono
        />
      </div>
      <p className="mt-2" aria-live="polite">
        {metres === undefined && CORD_CHECK_TEXT.giveTheLengthAsA}
        {size.trim() !== '' && area === null && CORD_CHECK_TEXT.giveTheSizeAsMm}
        {loop &&
          CORD_CHECK_TEXT.mLoopsToFarEnds(
            metres ?? 0,
            milliohm ?? '',
            loop.tells
              ? CORD_CHECK_TEXT.thisMeterCanTellTo(Math.round(loop.uncertainty * 1000))
              : CORD_CHECK_TEXT.thisMeterCannotTellIt(Math.round(loop.uncertainty * 1000)),
          )}
      </p>
      <p className="text-small text-quiet">{CORD_CHECK_TEXT.copperAtCAThinned}</p>
    </section>
  );
}
