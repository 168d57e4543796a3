import { cordLoop } from '@which-way/core/path';
import { decodeMarking } from '@which-way/core/rating';
import { lastCheckedMeter } from '@which-way/core/log';
import { useState } from 'react';
import { useJobState } from '../job/job-context.js';
import { readAmount } from '../shared/controls/amount.js';

/** The area of one conductor in mm2 from a cord's marking or a bare number; null when it is neither. */
export function areaOf(typed: string): number | null {
  const plain = readAmount(typed.replace(/\s*mm(2|²)?\s*$/i, ''), 1000);
  if (typeof plain === 'number' && plain > 0) return plain;
  return decodeMarking(typed.trim()).cord?.area ?? null;
}

const INPUT = 'mt-1 block min-h-12 w-full rounded-part border-2 border-line bg-sheet px-3 font-mono';

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
    <section aria-label="Cord" className="border-t-2 border-line pt-3">
      <h2 className="font-bold">What should the cord read?</h2>
      <div className="mt-1 grid grid-cols-2 gap-3">
        <label>
          Length in metres
          <input
            inputMode="decimal"
            maxLength={8}
            value={length}
            onChange={({ target }) => setLength(target.value)}
            className={INPUT}
          />
        </label>
        <label>
          Size
          <input
            maxLength={20}
            value={size}
            placeholder="0.75 or 18 AWG"
            onChange={({ target }) => setSize(target.value)}
            className={`${INPUT} placeholder:text-quiet`}
          />
        </label>
      </div>
      <p className="mt-2" aria-live="polite">
        {metres === undefined && 'Give the length as a number, such as 2 or 1,8. '}
        {size.trim() !== '' && area === null && 'Give the size as mm² or gauge: 0.75, 3G1.5, 18 AWG. '}
        {loop &&
          `${metres} m loops to ${milliohm}, far ends joined: ${
            loop.tells
              ? `this meter can tell, to plus or minus ${Math.round(loop.uncertainty * 1000)} milliohm.`
              : `this meter cannot tell. It may be out by ${Math.round(loop.uncertainty * 1000)} milliohm.`
          }`}
      </p>
      <p className="text-small text-quiet">
        Copper at 20 °C. A thinned cord reads high; one that moves when flexed is broken.
      </p>
    </section>
  );
}
