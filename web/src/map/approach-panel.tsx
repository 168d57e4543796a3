import { approachOf, costsOf, holdsItself, namedPairs, ORDINARY_HANDS } from '@which-way/core/planner';
import { PLAIN_APPROACH, type Approach, type HandSeconds } from '@which-way/core/switch';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useSession } from '../job/job-context.js';
import { PlainButton } from '../shared/plain-button.js';
import { ORDER_WORDS } from '../words/approach.js';
import { time } from '../words/time.js';
import { readPairs } from './entry.js';
import { useDesk } from './use-desk.js';
import type { Probing } from './use-probing.js';

/** How it is mapped: the order, how far, clips and the seconds of these hands, each with what it will probably take. */
export function ApproachPanel({
  probing,
  open,
  onOpenChange,
}: {
  probing: Probing;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const now = approachOf(probing.map);
  return (
    <Popover.Root open={open} onOpenChange={onOpenChange}>
      <Popover.Trigger asChild>
        <PlainButton className="px-3">
          {now.extent === 'named-pairs' ? 'Quick check' : ORDER_WORDS[now.order].short}{' '}
          <kbd className="ml-1 font-mono text-small text-quiet">/</kbd>
        </PlainButton>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          role="dialog"
          aria-label="How to map"
          align="end"
          sideOffset={6}
          // The way chosen now has the focus, so that one arrow goes to the next.
          onOpenAutoFocus={(event) => {
            const { currentTarget } = event;
            const chosen =
              currentTarget instanceof HTMLElement &&
              currentTarget.querySelector<HTMLElement>('input:checked');
            if (!chosen) return;
            event.preventDefault();
            chosen.focus();
          }}
          // The hands go on with the probes: the next Enter is for the prompt, not for this button.
          onCloseAutoFocus={(event) => event.preventDefault()}
          className="max-h-(--radix-popover-content-available-height) w-[38rem] max-w-[95vw] overflow-y-auto rounded-part border-2 border-ink bg-sheet p-4"
        >
          {open && <Choices probing={probing} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** The ways of mapping that are offered side by side, with the person's own clips and seconds. */
function waysOf(now: Approach): { key: string; approach: Approach; name: string; hint: string }[] {
  const everything = (order: Approach['order'], clips: number): Approach => ({
    ...now,
    extent: 'everything',
    order,
    clips,
  });
  const clips = Math.max(now.clips, 8);
  return [
    ...(['position', 'pair', 'likely', 'time', 'expected'] as const).map((order) => ({
      key: order,
      approach: everything(order, 0),
      ...ORDER_WORDS[order],
    })),
    {
      key: 'clips',
      approach: everything('time', clips),
      name: `By time, with ${clips} clips`,
      hint: 'Terminals are tied together: one reading settles many pairs.',
    },
    {
      key: 'working',
      approach: { ...now, extent: 'working-pairs' },
      name: 'Working pairs only',
      hint: 'The commons against their throws. Throws are not tested against each other: no pass.',
    },
  ];
}

function isChosen(key: string, now: Approach): boolean {
  if (now.extent === 'named-pairs') return false;
  if (now.extent === 'working-pairs') return key === 'working';
  if (now.order === 'time' && now.clips >= 2) return key === 'clips';
  return key === now.order;
}

function Choices({ probing }: { probing: Probing }) {
  const { map, at } = probing;
  const now = approachOf(map);
  const ways = waysOf(now);
  const { forecasts } = useDesk(
    map,
    at,
    probing.now,
    ways.map(({ approach }) => approach),
  );
  const open = map.structure.actuators.some(({ closed }) => closed === null);
  return (
    <>
      <fieldset>
        <legend className="font-bold">How to map, from the next prompt on</legend>
        {ways.map((way, place) => {
          const expected = forecasts[place];
          return (
            <label key={way.key} className="flex min-h-12 items-start gap-3 py-0.5">
              <input
                type="radio"
                name="approach"
                className="mt-1 size-5 shrink-0 accent-(--teal)"
                checked={isChosen(way.key, now)}
                onChange={() => probing.approach(way.approach)}
              />
              <span className="grow">
                <span className="font-semibold">{way.name}</span>
                <span className="block text-small text-quiet">{way.hint}</span>
              </span>
              <span className="shrink-0 text-right font-mono text-small whitespace-nowrap">
                {expected ? `about ${time(expected.seconds)}` : '…'}
                {expected && <span className="block text-quiet">{expected.touches} touches</span>}
              </span>
            </label>
          );
        })}
      </fieldset>
      <p className="mt-1 text-small text-quiet">
        Times are a forecast for a switch such as this one will probably turn out to be
        {open ? ', in the positions found so far' : ''}.
      </p>
      <Sensing probing={probing} />
      <HoldAid probing={probing} />
      <QuickCheck probing={probing} />
      <Clips probing={probing} />
      <Hands probing={probing} />
    </>
  );
}

/** By ear or by the display. */
function Sensing({ probing: { sense, setSense } }: { probing: Probing }) {
  return (
    <fieldset className="mt-3 flex flex-wrap items-center gap-x-6 border-t border-line pt-1">
      <legend className="sr-only">How it is read</legend>
      <span className="font-semibold" aria-hidden="true">
        Read by
      </span>
      {(['tone', 'ohms'] as const).map((one) => (
        <label key={one} className="flex min-h-12 items-center gap-2">
          <input
            type="radio"
            name="sense"
            className="size-5 accent-(--teal)"
            checked={sense === one}
            onChange={() => setSense(one)}
          />
          {one === 'tone' ? 'tone' : 'ohms on the display'}
        </label>
      ))}
    </fieldset>
  );
}

/** A clamp or tape that holds a sprung handle leaves both hands for the leads. */
function HoldAid({ probing }: { probing: Probing }) {
  const { map } = probing;
  const sprung = map.structure.actuators.some(({ positions }) =>
    positions.some(({ rests }) => rests === 'momentary'),
  );
  if (!sprung) return null;
  const { moveLead, moveBoth, turn, read, clip } = costsOf(map, approachOf(map));
  const aided = holdsItself(map);
  return (
    <label className="flex min-h-12 items-center gap-3">
      <input
        type="checkbox"
        className="size-5 accent-(--teal)"
        checked={aided}
        onChange={() =>
          probing.approach({
            hands: {
              ...{ moveLead, moveBoth, turn, read, clip },
              holdMomentary: aided ? ORDINARY_HANDS.holdMomentary : 0,
            },
          })
        }
      />
      A clamp or tape holds the handle where it springs back
    </label>
  );
}

/** A quick check reads only the pairs that are named here. */
function QuickCheck({ probing }: { probing: Probing }) {
  const { map } = probing;
  const session = useSession();
  const [text, setText] = useState(() =>
    namedPairs(map)
      .map((pair) => pair.map((place) => map.structure.terminals[place]?.label).join('-'))
      .join(', '),
  );
  const [message, setMessage] = useState('');
  const begin = () => {
    const read = readPairs(text, map.structure);
    if (read.kind === 'wrong') return setMessage(read.message);
    setMessage('');
    session.emit({ kind: 'pairs-named', pairs: read.pairs });
    probing.approach({ extent: 'named-pairs' });
  };
  return (
    <form
      className="mt-3 border-t border-line pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        begin();
      }}
    >
      <label className="block font-semibold">
        Quick check: only these pairs
        <span className="flex gap-2">
          <input
            value={text}
            onChange={(event) => setText(event.target.value)}
            placeholder="1-2, 3-4"
            className="min-h-12 min-w-0 grow rounded-part border-2 border-line bg-sheet px-2 font-mono font-normal"
          />
          <PlainButton type="submit">Check these</PlainButton>
        </span>
      </label>
      <p className="text-small text-quiet">
        It proves little: what is not named is not tested. It is never a pass.
      </p>
      {message && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
    </form>
  );
}

function Clips({ probing }: { probing: Probing }) {
  const { clips } = approachOf(probing.map);
  const [message, setMessage] = useState('');
  const set = (text: string) => {
    const given = /^\d{1,2}$/.test(text.trim()) ? Number(text) : 65;
    if (given > 64) return setMessage(`“${text}” is no number of clips. Give a whole number from 0 to 64.`);
    setMessage('');
    if (given !== clips) probing.approach({ clips: given });
  };
  return (
    <div className="mt-3 border-t border-line pt-3">
      <label className="flex items-center gap-3">
        <span className="grow font-semibold">Clips at hand</span>
        <input
          key={clips}
          inputMode="numeric"
          defaultValue={String(clips)}
          onBlur={(event) => set(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && set(event.currentTarget.value)}
          className="min-h-12 w-20 rounded-part border-2 border-line bg-sheet px-2 font-mono"
        />
      </label>
      {message && (
        <p role="alert" className="mt-1 text-brick">
          {message}
        </p>
      )}
    </div>
  );
}

const HAND_WORDS: readonly [keyof HandSeconds, string][] = [
  ['moveLead', 'Move one lead'],
  ['moveBoth', 'Move both leads'],
  ['turn', 'Turn to another position'],
  ['read', 'Read the meter'],
  ['holdMomentary', 'Hold a sprung handle, more'],
  ['clip', 'One clip on or off'],
];

/** Seconds of these hands: learnt from the job, or typed in. */
function Hands({ probing }: { probing: Probing }) {
  const now = approachOf(probing.map);
  const costs = costsOf(probing.map, now);
  const [message, setMessage] = useState('');
  const set = (field: keyof HandSeconds, text: string) => {
    const seconds = Number(text.trim().replace(',', '.'));
    if (text.trim() === '' || !(seconds >= 0 && seconds <= 120))
      return setMessage(`“${text}” is no time. Type seconds from 0 to 120, such as 2,5.`);
    setMessage('');
    const { moveLead, moveBoth, turn, read, holdMomentary, clip } = costs;
    const hands: HandSeconds = { moveLead, moveBoth, turn, read, holdMomentary, clip };
    return probing.approach({ hands: { ...hands, [field]: seconds } });
  };
  return (
    <details className="mt-2">
      <summary className="min-h-12 cursor-pointer py-2 font-semibold">
        Seconds of your hands: {now.hands ? 'as typed in' : 'learnt from this job'}
      </summary>
      {HAND_WORDS.map(([field, words]) => (
        <label key={field} className="flex items-center gap-3 py-0.5">
          <span className="grow">{words}</span>
          <input
            key={costs[field]}
            inputMode="decimal"
            defaultValue={String(costs[field])}
            onBlur={(event) => {
              if (event.target.value !== String(costs[field])) set(field, event.target.value);
            }}
            className="min-h-12 w-20 rounded-part border-2 border-line bg-sheet px-2 font-mono"
          />
        </label>
      ))}
      {message && (
        <p role="alert" className="mt-1 text-brick">
          {message}
        </p>
      )}
      {now.hands && (
        <PlainButton
          className="mt-2 w-full"
          onClick={() => probing.approach({ hands: PLAIN_APPROACH.hands })}
        >
          Learn them from this job again
        </PlainButton>
      )}
    </details>
  );
}
