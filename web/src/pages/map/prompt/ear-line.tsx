import { lastCheckedMeter } from '@which-way/core/log';
import { EAR_TEXT } from '@which-way/words/screens/parts/ear/ear';
import { useState } from 'react';
import { useStore } from 'zustand';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { EarLevel } from '../../../parts/ear/ear-level.js';
import { beepsBelow, keepTaughtEar, useTaughtEar } from '../../../parts/ear/taught-ears.js';
import { TeachEar } from '../../../parts/ear/teach-ear.js';
import type { TerminalId } from '@which-way/core/switch';
import { terminalList, terminalName } from '@which-way/words/terminals';
import type { BeeperFault } from '../probing/ear-desk.js';
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

/** While the meter is heard: a clear sign, how loud it is, what silence counts as, and what was set aside. */
export function EarLine({ probing }: { probing: Probing }) {
  const { earDesk: ear, map } = probing;
  const { standing } = useStore(ear.listener.store);
  const { aside, dwellMs, paceMs, fault } = useStore(ear.store);
  const taught = ear.knows(useTaughtEar(lastCheckedMeter(map.log).name));
  if (standing !== 'listening') return null;
  return (
    <div
      role="group"
      aria-label={EAR_TEXT.listening}
      className="flex flex-wrap items-center gap-x-3 rounded-part border-2 border-teal bg-sheet px-3 py-1 max-sm:flex-nowrap max-sm:gap-x-2 max-sm:px-2"
    >
      <span className="size-3 rounded-full bg-teal" aria-hidden="true" />
      <span className="font-semibold max-sm:hidden">{EAR_TEXT.listening}</span>
      <EarLevel listener={ear.listener} />
      <Pick
        quiet
        lettingGo
        label={EAR_TEXT.silentAfter}
        value={dwellMs === null ? '' : String(dwellMs / 1000)}
        options={DWELLS.map((seconds) => ({
          value: seconds === null ? '' : String(seconds),
          text: EAR_TEXT.dwell(seconds),
        }))}
        onPick={(chosen) => ear.waits(chosen === '' ? null : Number(chosen) * 1000)}
      />
      <Pick
        quiet
        lettingGo
        label={EAR_TEXT.sweeps}
        value={paceMs === null ? '' : String(paceMs / 1000)}
        options={PACES.map((seconds) => ({
          value: seconds === null ? '' : String(seconds),
          text: EAR_TEXT.pace(seconds),
        }))}
        onPick={(chosen) => ear.leads(chosen === '' ? null : Number(chosen) * 1000)}
      />
      {ear.isSimulated && (
        <Pick
          quiet
          lettingGo
          label={EAR_TEXT.simulatedMeter}
          value={fault}
          options={FAULTS.map((value) => ({ value, text: EAR_TEXT.fault[value] }))}
          onPick={(chosen) => ear.breaks(chosen as BeeperFault)}
        />
      )}
      <PlainButton look="quiet" onClick={() => ear.end()}>
        {EAR_TEXT.stop}
      </PlainButton>
      <SweepLine probing={probing} />
      <span role="status" className={`text-small ${aside ? '' : 'max-sm:hidden'}`}>
        {aside ? EAR_TEXT.aside[aside] : taught && EAR_TEXT.below(beepsBelow(taught))}
      </span>
    </div>
  );
}

/** Off until it is asked: begins to listen, or to be taught. */
export function EarStart({ probing: { earDesk: ear, hands, map, act } }: { probing: Probing }) {
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
  const trouble = standing in EAR_TEXT.standing ? EAR_TEXT.standing[standing as 'refused'] : null;
  if (standing === 'listening') return null;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <PlainButton
        disabled={standing === 'opening'}
        onClick={() => (taught ? void begin(taught) : setTeaching(true))}
      >
        {standing === 'opening' ? EAR_TEXT.opening : EAR_TEXT.listen}
      </PlainButton>
      {hands.sense === 'tone' && taught && (
        <PlainButton look="quiet" onClick={() => setTeaching(true)}>
          {EAR_TEXT.teachAgain}
        </PlainButton>
      )}
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
