import { liveEvents, PLAIN_APPROACH } from '@which-way/core/log';
import { METER_TEXT } from '@which-way/words/screens/parts/meter/meter';
import { ohms } from '@which-way/words/quantity';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/shallow';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { meterNow } from '../../../api/meter-now.js';
import { thisDevice } from '../../../parts/meter/this-device.js';
import type { Probing } from '../probing/use-probing.js';

/** Seconds over range that may count as open; null: only a pedal says so. */
const DWELLS = [null, 1.5, 2.5, 4] as const;

/** What it reads now, as it is worth showing: a few figures. */
function useShown(): string {
  return useStore(meterNow, ({ now }) => {
    const value = now?.reading.value;
    if (!now || !value || value.kind === 'none') return METER_TEXT.nothing;
    if (value.kind === 'ohms') return ohms(value.ohms);
    return now.reading.rangeOhms ? METER_TEXT.overRange(ohms(now.reading.rangeOhms)) : METER_TEXT.over;
  });
}

/** While the bench meter's readings are taken here: what it reads, what over range counts as, and what was set aside. */
export function MeterLine({ probing: { meterDesk: desk, hands } }: { probing: Probing }) {
  const { takes, silent, aside, dwellMs } = useStore(desk.store);
  const {
    standing: told,
    name,
    trouble,
  } = useStore(
    meterNow,
    useShallow(({ now }) => ({
      standing: now?.standing ?? 'off',
      name: now?.name ?? '',
      trouble: now?.trouble ?? null,
    })),
  );
  const shown = useShown();
  if (!takes || hands.sense !== 'ohms') return null;
  const standing = silent && told === 'ready' ? 'late' : told;
  const isReady = standing === 'ready';
  const says = isReady
    ? aside && METER_TEXT.aside[aside]
    : [METER_TEXT.standing[standing], trouble && standing === 'lost' ? METER_TEXT.why(trouble) : '']
        .filter(Boolean)
        .join(' ');
  return (
    <div
      role="group"
      aria-label={METER_TEXT.name(name)}
      className={`flex flex-wrap items-center gap-x-3 rounded-part border-2 bg-sheet px-3 py-1 max-sm:gap-x-1 max-sm:px-2 ${isReady ? 'border-teal' : 'border-amber'}`}
    >
      <span className="font-semibold max-sm:hidden">{METER_TEXT.name(name)}</span>
      <output
        className="min-w-24 font-mono text-large font-bold max-sm:text-base"
        aria-live="off"
        data-testid="meter-reads"
      >
        {isReady ? shown : METER_TEXT.nothing}
      </output>
      <Pick
        quiet
        label={METER_TEXT.openAfter}
        value={dwellMs === null ? '' : String(dwellMs / 1000)}
        options={DWELLS.map((seconds) => ({
          value: seconds === null ? '' : String(seconds),
          text: METER_TEXT.dwell(seconds),
        }))}
        onPick={(chosen) => desk.waits(chosen === '' ? null : Number(chosen) * 1000)}
      />
      <PlainButton look="quiet" className="max-sm:px-1" onClick={() => desk.end()}>
        {METER_TEXT.giveBack}
      </PlainButton>
      <span role="status" className={`text-small ${says ? '' : 'max-sm:hidden'}`}>
        {says || (isReady ? METER_TEXT.steady : '')}
      </span>
    </div>
  );
}

/** Where a bench meter is set, and no beeper is listened to: takes its readings here, or from whoever has them. */
export function MeterStart({ probing: { meterDesk: desk, earDesk, act, hands, map } }: { probing: Probing }) {
  const { takes, trouble } = useStore(desk.store);
  const hears = useStore(earDesk.listener.store, ({ standing }) => standing === 'listening');
  const { isSet, holder } = useStore(
    meterNow,
    useShallow(({ now }) => ({
      isSet: now !== null && now.standing !== 'off' && desk.reads(now.kind),
      holder: now?.holder && now.holder.id !== thisDevice.id ? now.holder.name : null,
    })),
  );
  if (!isSet || hears || (takes && hands.sense === 'ohms')) return null;
  return (
    <div className="grid gap-1">
      <PlainButton
        className="px-2"
        onClick={() => {
          act({ do: 'sense', sense: 'ohms' });
          // A meter answers a row touch by touch; a pair held while the handle turns wants a key in each position.
          if (liveEvents(map.log, 'approached').length === 0) act({ do: 'approach', change: PLAIN_APPROACH });
          void desk.begin();
        }}
      >
        {holder ? METER_TEXT.takeItOver(holder) : METER_TEXT.take}
      </PlainButton>
      {trouble && (
        <span role="alert" className="text-small font-semibold text-brick">
          {trouble}
        </span>
      )}
    </div>
  );
}
