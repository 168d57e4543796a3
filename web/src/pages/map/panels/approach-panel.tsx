import { RadioLines } from '../../../controls/fields/radio-lines.js';
import type { SwitchMap } from '@which-way/core/continuity';
import { approachOf, type Expected } from '@which-way/core/planner';
import { liveEvents, type Approach } from '@which-way/core/log';
import { Popover } from 'radix-ui';
import { PlainButton } from '../../../controls/plain-button.js';
import { PopoverPanel } from '../../../controls/popover-panel.js';
import { ORDER_WORDS } from '@which-way/words/map/approach';
import { time } from '@which-way/words/time';
import { AtHand } from './at-hand.js';
import { KeyCap, pressShortcut } from '../keys/panel-keys.js';
import { useForecasts } from '../probing/use-outlook.js';
import type { Probing } from '../probing/use-probing.js';
import { APPROACH_PANEL_TEXT } from '@which-way/words/screens/pages/map/panels/approach-panel';

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
          {now.extent === 'named-pairs' ? APPROACH_PANEL_TEXT.quickCheck : ORDER_WORDS[now.order].short}{' '}
          <kbd className="ml-1 font-mono text-small text-quiet">/</kbd>
        </PlainButton>
      </Popover.Trigger>
      <PopoverPanel
        label={APPROACH_PANEL_TEXT.howToMap}
        align="end"
        // The way chosen now has the focus, so that one arrow goes to the next.
        onOpenAutoFocus={(event) => {
          const { currentTarget } = event;
          const chosen =
            currentTarget instanceof HTMLElement &&
            currentTarget.querySelector<HTMLElement>('[role=radio][aria-checked=true]');
          if (!chosen) return;
          event.preventDefault();
          chosen.focus();
        }}
        onKeyDown={(event) => {
          const pressed = pressShortcut(event);
          if (pressed === 'chosen') onOpenChange(false);
        }}
        // The hands go on with the probes: the next Enter is for the prompt, not for this button.
        onCloseAutoFocus={(event) => event.preventDefault()}
        className="w-[38rem] p-4"
      >
        {open && <Choices probing={probing} onBegun={() => onOpenChange(false)} />}
      </PopoverPanel>
    </Popover.Root>
  );
}

/** Clips to offer where nobody has said how many there are. */
const USUAL_CLIPS = 8;

/** The clips that were last said to be at hand. */
const clipsAtHand = ({ log }: SwitchMap): number =>
  liveEvents(log, 'approached').findLast(({ what }) => what.approach.clips >= 2)?.what.approach.clips ??
  USUAL_CLIPS;

/** The ways of mapping that are offered side by side, with the person's own clips and seconds. */
function waysOf(
  now: Approach,
  clips: number,
): { key: string; approach: Approach; name: string; hint: string }[] {
  const everything = (order: Approach['order'], clips: number): Approach => ({
    ...now,
    extent: 'everything',
    order,
    clips,
  });
  return [
    ...(['position', 'pair', 'likely', 'time', 'expected'] as const).map((order) => ({
      key: order,
      // By time they would be used; elsewhere they are kept for the re-check.
      approach: everything(order, order === 'time' ? 0 : now.clips),
      ...ORDER_WORDS[order],
    })),
    {
      key: 'clips',
      approach: everything('time', clips),
      name: APPROACH_PANEL_TEXT.byTimeWithClips(clips),
      hint: APPROACH_PANEL_TEXT.terminalsAreTiedTogetherOne,
    },
    {
      key: 'working',
      approach: { ...now, extent: 'working-pairs' },
      name: APPROACH_PANEL_TEXT.workingPairsOnly,
      hint: APPROACH_PANEL_TEXT.theCommonsAgainstTheirThrows,
    },
  ];
}

function isChosen(key: string, now: Approach): boolean {
  if (now.extent === 'named-pairs') return false;
  if (now.extent === 'working-pairs') return key === 'working';
  if (now.order === 'time' && now.clips >= 2) return key === 'clips';
  return key === now.order;
}

interface WayProps {
  way: ReturnType<typeof waysOf>[number];
  shortcut: string;
  expected: Expected | null;
  isQuickest: boolean;
  alone: boolean;
}

/** A way of mapping, and what it is expected to cost. */
function Way({ way, shortcut, expected, isQuickest, alone }: WayProps) {
  return (
    <>
      <span className="grow">
        <span className="font-semibold">{way.name}</span> <KeyCap of={shortcut} />
        <span className="block text-small text-quiet">{way.hint}</span>
      </span>
      <span className="shrink-0 text-right font-mono text-small whitespace-nowrap">
        {expected
          ? APPROACH_PANEL_TEXT.about(time(expected.seconds))
          : alone
            ? APPROACH_PANEL_TEXT.noForecast
            : '…'}
        {expected && (
          <span className="block text-quiet">
            {APPROACH_PANEL_TEXT.effort(expected.keys, expected.turns, expected.touches)}
          </span>
        )}
        {isQuickest && <span className="block font-semibold">{APPROACH_PANEL_TEXT.quickest}</span>}
      </span>
    </>
  );
}

/** The way that takes least time of those that settle everything; null until all are forecast, or where nothing is left. */
function quickestOf(
  ways: readonly { key: string; approach: Approach; expected: Expected | null }[],
): string | null {
  const whole = ways.filter(({ key, approach }) => approach.extent === 'everything' && key !== 'expected');
  const known = whole.flatMap(({ key, expected }) => (expected ? [{ key, seconds: expected.seconds }] : []));
  if (known.length < whole.length || known.every(({ seconds }) => seconds === 0)) return null;
  return known.reduce((best, one) => (one.seconds < best.seconds ? one : best)).key;
}

function Choices({ probing, onBegun }: { probing: Probing; onBegun: () => void }) {
  const { map, desk } = probing;
  const now = approachOf(map);
  const ways = waysOf(now, clipsAtHand(map));
  const { of, alone } = useForecasts(
    desk,
    'ways',
    ways.map(({ approach }) => approach),
  );
  const quickest = quickestOf(ways.map(({ key, approach }) => ({ key, approach, expected: of(approach) })));
  const open = map.structure.actuators.some(({ closed }) => closed === null);
  const takes = (key: string) => {
    const way = ways.find((one) => one.key === key);
    if (way) probing.act({ do: 'approach', change: way.approach });
  };
  return (
    <>
      <RadioLines
        label={APPROACH_PANEL_TEXT.howToMapFromThe}
        value={ways.find(({ key }) => isChosen(key, now))?.key ?? null}
        options={ways.map((way, place) => ({
          value: way.key,
          shortcut: String(place + 1),
          text: (
            <Way
              way={way}
              shortcut={String(place + 1)}
              expected={of(way.approach)}
              isQuickest={way.key === quickest}
              alone={alone}
            />
          ),
        }))}
        onChoose={takes}
        onAgain={takes}
      />
      <p className="mt-1 text-small text-quiet">
        {alone
          ? APPROACH_PANEL_TEXT.thisBrowserRunsNoWorker
          : APPROACH_PANEL_TEXT.timesAreAForecastFor(open ? APPROACH_PANEL_TEXT.soFar : '')}
      </p>
      <AtHand probing={probing} onBegun={onBegun} />
    </>
  );
}
