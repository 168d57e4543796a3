import { lastCheckedMeter } from '@which-way/core/log';
import { EAR_TEXT } from '@which-way/words/screens/parts/ear/ear';
import { SlidersHorizontal } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useEffect, useEffectEvent, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useStore } from 'zustand';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { PopoverPanel } from '../../../controls/popover-panel.js';
import { EarLevel } from '../../../parts/ear/ear-level.js';
import { beepsBelow, keepTaughtEar, useTaughtEar } from '../../../parts/ear/taught-ears.js';
import { LESSON_DWELL_MS, listensAtOnce } from '../../../parts/ear/listens-at-once.js';
import { TeachEar } from '../../../parts/ear/teach-ear.js';
import type { TerminalId } from '@which-way/core/switch';
import { terminalList, terminalName } from '@which-way/words/terminals';
import type { BeeperFault } from '../probing/simulated-hand.js';
import type { Probing } from '../probing/use-probing.js';

/** Seconds without a beep that may count as silent; null: only a pedal says so. */
const DWELLS = [null, 1.5, 2.5, 4] as const;

/** Milliseconds from click to click: leads drawn along the lugs, or dabbed on each; null: no clicks. */
const PACES = [null, 0.7, 1, 1.5] as const;
const FAULTS: readonly BeeperFault[] = ['none', 'clip-off', 'asleep'];

/** Where a sweep is that clicks lead, and what the hand does next; the pedal and two buttons answer it. */
function SweepLine({ probing: { earDesk: ear, map } }: { probing: Probing }) {
  const { sweep } = useStore(ear.store);
  if (!sweep) return null;
  const clip = terminalName(map.structure, sweep.clip);
  const named = (lugs: readonly TerminalId[]) => terminalList(map.structure, lugs);
  const { clipFirst, leading, clipLast, rest, agree, again, voided } = EAR_TEXT.sweep;
  const says = {
    'clip-first': sweep.voided ? voided[sweep.voided](clip) : clipFirst(clip),
    leading: sweep.again.length > 0 ? again(named(sweep.again)) : leading,
    'clip-last': clipLast(clip),
    closed: rest,
    rest,
    agree: agree(named(sweep.beeped)),
  }[sweep.stage];
  return (
    <div className="flex basis-full flex-wrap items-center gap-x-3" data-testid="sweep">
      <p role="status" className="min-w-0 grow text-large font-bold">
        {says}
        {sweep.stage === 'leading' && sweep.beeped.length > 0 && (
          <span className="ml-3 font-mono font-normal">{named(sweep.beeped)}</span>
        )}
      </p>
      {sweep.stage === 'agree' && (
        <PlainButton look="strong" onClick={() => ear.pedal(false)}>
          {EAR_TEXT.sweep.confirm}
        </PlainButton>
      )}
      {sweep.stage !== 'clip-first' && (
        <PlainButton look="quiet" onClick={() => ear.pedal(true)}>
          {EAR_TEXT.sweep.undo}
        </PlainButton>
      )}
    </div>
  );
}

/** While the meter is heard: a clear sign, how loud it is, where a sweep is, and what was set aside. */
export function EarLine({ probing }: { probing: Probing }) {
  const { earDesk: ear } = probing;
  const { standing } = useStore(ear.listener.store);
  const { aside, flickered } = useStore(ear.store);
  const says = aside
    ? EAR_TEXT.aside[aside]
    : flickered && EAR_TEXT.flickered(flickered.times, flickered.gapMs);
  if (standing !== 'listening') return null;
  return (
    <div
      role="group"
      aria-label={EAR_TEXT.listening}
      className="flex flex-wrap items-center gap-x-3 rounded-part border-2 border-teal bg-sheet px-3 py-1 max-sm:gap-x-2 max-sm:px-2"
    >
      <span className="size-3 shrink-0 rounded-full bg-teal" aria-hidden="true" />
      <span className="font-semibold max-sm:sr-only">{EAR_TEXT.listening}</span>
      <EarLevel listener={ear.listener} />
      <EarOptions probing={probing} />
      <PlainButton look="quiet" className="px-2" onClick={() => ear.end()}>
        {EAR_TEXT.stop}
      </PlainButton>
      <SweepLine probing={probing} />
      {says && (
        <span role="status" className="text-small">
          {says}
        </span>
      )}
    </div>
  );
}

/** How it listens, chosen before it does or meanwhile: what silence counts as, how sweeps go, and what a beep of this meter means. */
function EarOptions({ probing, onTeach }: { probing: Probing; onTeach?: () => void }) {
  const { earDesk: ear, map } = probing;
  const { dwellMs, paceMs, fault } = useStore(ear.store);
  const taught = ear.knows(useTaughtEar(lastCheckedMeter(map.log).name));
  const seconds = (ms: number | null) => (ms === null ? '' : String(ms / 1000));
  const milliseconds = (chosen: string) => (chosen === '' ? null : Number(chosen) * 1000);
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <PlainButton className="px-3" aria-label={EAR_TEXT.options}>
          {onTeach ? <SlidersHorizontal className="size-5" aria-hidden="true" /> : EAR_TEXT.options}
        </PlainButton>
      </Popover.Trigger>
      <PopoverPanel
        label={EAR_TEXT.options}
        // A pedal on Space must not open it again.
        onCloseAutoFocus={(event) => event.preventDefault()}
        className="grid w-80 gap-2 p-4"
      >
        <Pick
          label={EAR_TEXT.sweeps}
          value={seconds(paceMs)}
          options={PACES.map((pace) => ({
            value: pace === null ? '' : String(pace),
            text: EAR_TEXT.pace(pace),
          }))}
          onPick={(chosen) => ear.leads(milliseconds(chosen))}
        />
        <Pick
          label={EAR_TEXT.silentAfter}
          value={seconds(dwellMs)}
          options={DWELLS.map((dwell) => ({
            value: dwell === null ? '' : String(dwell),
            text: EAR_TEXT.dwell(dwell),
          }))}
          onPick={(chosen) => ear.waits(milliseconds(chosen))}
        />
        {ear.isSimulated && (
          <Pick
            label={EAR_TEXT.simulatedMeter}
            value={fault}
            options={FAULTS.map((value) => ({ value, text: EAR_TEXT.fault[value] }))}
            onPick={(chosen) => ear.breaks(chosen as BeeperFault)}
          />
        )}
        <p className="text-small text-quiet">{taught && EAR_TEXT.below(beepsBelow(taught))}</p>
        {onTeach && (
          <Popover.Close asChild>
            <PlainButton look="quiet" onClick={onTeach}>
              {EAR_TEXT.teachAgain}
            </PlainButton>
          </Popover.Close>
        )}
      </PopoverPanel>
    </Popover.Root>
  );
}

/** Begins by itself where the Map was opened to be heard; once, and not again after a reload. */
function useListensAtOnce(may: boolean, begin: () => void): void {
  const navigate = useNavigate();
  const { state } = useLocation();
  const wanted = may && listensAtOnce(state);
  const start = useEffectEvent(() => {
    void navigate('.', { replace: true, state: null });
    begin();
  });
  useEffect(() => {
    if (wanted) start();
  }, [wanted]);
}

/** Off until it is asked: begins to listen, or to be taught. */
export function EarStart({ probing }: { probing: Probing }) {
  const { earDesk: ear, map, act } = probing;
  const { standing } = useStore(ear.listener.store);
  const { name } = lastCheckedMeter(map.log);
  const taught = ear.knows(useTaughtEar(name));
  const [teaching, setTeaching] = useState(false);
  const begin = async (known: NonNullable<typeof taught>) => {
    setTeaching(false);
    act({ do: 'sense', sense: 'tone' });
    await ear.begin(known);
  };
  const close = () => {
    setTeaching(false);
    ear.end();
  };
  useListensAtOnce(ear.isSimulated && taught !== null && standing === 'off', () => {
    ear.waits(LESSON_DWELL_MS);
    if (taught) void begin(taught);
  });
  const trouble = standing in EAR_TEXT.standing ? EAR_TEXT.standing[standing as 'refused'] : null;
  if (standing === 'listening') return null;
  return (
    <div className="flex flex-wrap items-center gap-1">
      <PlainButton
        disabled={standing === 'opening'}
        onClick={() => (taught ? void begin(taught) : setTeaching(true))}
      >
        {standing === 'opening' ? EAR_TEXT.opening : EAR_TEXT.listen}
      </PlainButton>
      {taught && <EarOptions probing={probing} onTeach={() => setTeaching(true)} />}
      {trouble && !teaching && (
        <span role="alert" className="text-small font-semibold text-brick">
          {trouble}
        </span>
      )}
      {teaching && (
        <TeachEar
          listener={ear.listener}
          door={ear.door}
          onTaught={(learnt) => {
            keepTaughtEar(name, learnt);
            void begin(learnt);
          }}
          onClose={close}
        />
      )}
    </div>
  );
}
