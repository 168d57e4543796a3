import { taughtBy, type NotTaught, type Taught, type TaughtPiece } from '@which-way/core/sense/ear';
import { EAR_TEXT } from '@which-way/words/screens/parts/ear/ear';
import { useEffect, useRef, useState } from 'react';
import { useStore } from 'zustand';
import { DialogPanel } from '../../controls/dialog-panel.js';
import { PlainButton } from '../../controls/plain-button.js';
import { Pick } from '../../controls/fields/pick.js';
import { TRIED_OHMS, type TaughtEar } from './taught-ears.js';
import { EarLevel } from './ear-level.js';
import type { Listener } from './listener.js';
import type { SoundDoor } from './microphone.js';

const PARTS = ['long', 'short', 'quick', 'keys'] as const;
type Part = (typeof PARTS)[number];
/** Clicks of the part that is touched on clicks, and milliseconds between them. */
const [CLICKS, BETWEEN_MS] = [3, 2000];

interface TeachEarProps {
  listener: Listener;
  door: SoundDoor;
  onTaught: (taught: TaughtEar) => void;
  onClose: () => void;
}

/** What was heard so far, part by part. */
const nothingYet = () => ({
  ...({ long: [], short: [], quick: [], keys: [] } as Record<Part, TaughtPiece[]>),
  clicks: [] as number[],
});

/** Teaches the ear one beeper: a long touch, three on clicks, two quick ones, and what is no answer. */
export function TeachEar({ listener, door, onTaught, onClose }: TeachEarProps) {
  const { standing } = useStore(listener.store);
  const [at, setAt] = useState<Part | null>(null);
  const [found, setFound] = useState<Taught | null>(null);
  const [silentOhms, setSilentOhms] = useState<number | null>(null);
  const [wrong, setWrong] = useState<NotTaught | null>(null);
  const lesson = useRef(nothingYet());
  const part = useRef<Part | null>(null);
  const timers = useRef<ReturnType<typeof setTimeout>[]>([]);
  useEffect(
    () => () => {
      for (const one of timers.current) clearTimeout(one);
    },
    [],
  );
  const go = (to: Part) => {
    part.current = to;
    setAt(to);
    lesson.current[to] = [];
    if (to !== 'short') return;
    lesson.current.clicks = [];
    timers.current = Array.from({ length: CLICKS }, (_, place) =>
      setTimeout(() => lesson.current.clicks.push(listener.click()), BETWEEN_MS * (place + 0.5)),
    );
  };
  const begin = async () => {
    lesson.current = nothingYet();
    setWrong(null);
    setFound(null);
    await listener.teach(door, (piece) => {
      if (part.current) lesson.current[part.current].push(piece);
    });
    if (listener.store.getState().standing === 'teaching') go('long');
  };
  const next = () => {
    const following = PARTS[PARTS.indexOf(at as Part) + 1];
    if (following) return go(following);
    part.current = null;
    setAt(null);
    listener.stop();
    const taught = taughtBy(lesson.current);
    if (typeof taught === 'string') setWrong(taught);
    else setFound(taught);
    return undefined;
  };
  const trouble = standing in EAR_TEXT.standing ? EAR_TEXT.standing[standing as 'refused'] : null;
  return (
    <DialogPanel open onOpenChange={(open) => !open && onClose()} title={EAR_TEXT.teach}>
      <div className="grid gap-4 pt-3">
        {at && standing === 'teaching' ? (
          <>
            <p className="text-large font-semibold" aria-live="polite">
              {PARTS.indexOf(at) + 1}/{PARTS.length} {EAR_TEXT[at]}
            </p>
            <EarLevel listener={listener} />
            <PlainButton look="strong" className="justify-self-start" onClick={next} data-first-focus>
              {EAR_TEXT.next}
            </PlainButton>
          </>
        ) : found ? (
          <>
            <p className="text-large font-semibold">{EAR_TEXT.learnt(found.pitchHz, found.delayMs)}</p>
            <p>{EAR_TEXT.gap(found.holdMs)}</p>
            <p>{EAR_TEXT.tryResistors}</p>
            <Pick
              label={EAR_TEXT.smallestSilent}
              value={silentOhms === null ? '' : String(silentOhms)}
              options={[
                { value: '', text: EAR_TEXT.noneTried },
                ...TRIED_OHMS.map((ohms) => ({ value: String(ohms), text: `${ohms} Ω` })),
              ]}
              onPick={(chosen) => setSilentOhms(chosen === '' ? null : Number(chosen))}
            />
            <PlainButton
              look="strong"
              className="justify-self-start"
              onClick={() => onTaught({ ...found, silentOhms })}
            >
              {EAR_TEXT.done}
            </PlainButton>
          </>
        ) : (
          <>
            <p>{EAR_TEXT.once}</p>
            {(wrong ?? trouble) && (
              <p role="alert" className="font-semibold text-brick">
                {wrong ? EAR_TEXT.notTaught[wrong] : trouble}
              </p>
            )}
            <PlainButton look="strong" className="justify-self-start" onClick={() => void begin()}>
              {EAR_TEXT.begin}
            </PlainButton>
          </>
        )}
      </div>
    </DialogPanel>
  );
}
