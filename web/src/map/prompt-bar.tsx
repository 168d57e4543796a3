import { useDeferredValue, useMemo, type ReactNode } from 'react';
import { forecast, frameAsk, returnSweep, returnWanted } from '@which-way/core/planner';
import { ACTS_OF, sameAsk, type Ask } from '@which-way/core/log';
import { type EventId } from '@which-way/core/switch';
import { useSession } from '../job/job-context.js';
import { KeyButton } from '../shared/key-button.js';
import { PlainButton } from '../shared/plain-button.js';
import { REASON_WORDS } from '../words/approach.js';
import { settingName } from '../words/terminals.js';
import { time } from '../words/time.js';
import { lastCheck } from '@which-way/core/sense';
import { isJoin } from './task.js';
import { askInShort, promptWords } from './prompt-words.js';
import type { OutlookView } from './use-outlook.js';
import type { Probing } from './use-probing.js';

/** The next thing to do, the biggest thing on the screen, with its answers beside it. */
export function PromptBar({ probing, outlook }: { probing: Probing; outlook: OutlookView }) {
  const words = promptWords(probing, outlook.recheck);
  return (
    <section
      aria-label="What to do next"
      aria-busy={probing.busy}
      className="sticky bottom-0 grid shrink-0 gap-x-6 gap-y-2 border-t-4 border-ink bg-sheet px-5 py-3 lg:min-h-[13.25rem] lg:grid-cols-[12rem_1fr_18rem]"
    >
      <Progress probing={probing} outlook={outlook} />
      <div className="order-first min-w-0 lg:order-none">
        {words.turn && (
          <p
            className="mb-1 border-l-8 border-brass pl-3 text-large font-bold sm:text-title"
            data-testid="turn"
          >
            {words.turn}
          </p>
        )}
        <p
          className="text-title leading-[1.06] font-extrabold text-balance tracking-tight sm:text-prompt"
          data-testid="prompt"
          aria-live="polite"
        >
          {words.big}
        </p>
        <p className="mt-1 flex items-center gap-3 text-large">
          {words.red && (
            <span className="inline-flex h-9 min-w-9 shrink-0 items-center justify-center rounded-full bg-lead-red px-2 font-mono font-bold text-on-lead">
              {words.red}
            </span>
          )}
          <span data-testid="prompt-small">{words.small}</span>
        </p>
        <EntryLine probing={probing} />
        <Foreshadow probing={probing} outlook={outlook} />
      </div>
      <Answers probing={probing} />
    </section>
  );
}

/** The two prompts after this one, so that the hands can plan. */
function Foreshadow({ probing, outlook }: { probing: Probing; outlook: OutlookView }) {
  const { map, task, plan, typed, message } = probing;
  const { followUps } = outlook;
  const foreseen = task?.kind === 'prompt' && plan?.kind === 'ask' && sameAsk(task.prompt.ask, plan.ask);
  if (!foreseen || !followUps || typed !== '' || message) return null;
  const { silent, sounded } = followUps;
  if (!silent && !sounded) return null;
  const words = (ask: Ask | null) => (ask ? askInShort(map, ask) : 'the plan goes on elsewhere');
  return (
    <p className="mt-1 text-base text-quiet max-sm:hidden" data-testid="then">
      Then, if none: {words(silent)}. If it sounds: {words(sounded)}.
    </p>
  );
}

function Progress({ probing: { map, at, plan, task }, outlook }: { probing: Probing; outlook: OutlookView }) {
  const coverage = at ? map.settings.get(at)?.coverage : undefined;
  // Counted when the next prompt is on the screen: it may wait.
  const later = useDeferredValue(map);
  const left = useMemo(() => forecast(later), [later]);
  if (!coverage || !at) return <div />;
  const expected = outlook.forecasts[0];
  const recheck = plan?.kind === 'ask' && plan.why === 'recheck' ? outlook.recheck : null;
  const open = map.structure.actuators.some(({ closed }) => closed === null);
  return (
    <div className="text-base leading-snug text-quiet max-sm:hidden">
      <p className="text-ink">
        <strong className="font-mono text-large">
          {coverage.measured + coverage.follows} of {coverage.pairs}
        </strong>{' '}
        pairs settled
      </p>
      {task?.kind === 'prompt' &&
        plan?.kind === 'ask' &&
        sameAsk(task.prompt.ask, plan.ask) &&
        plan.reason && <p>Why this: {REASON_WORDS[plan.reason]}</p>}
      <p>
        at {settingName(map.structure, at)}: {coverage.measured} measured, {coverage.follows} follow
        {coverage.assumed > 0 ? `, ${coverage.assumed} assumed` : ''}
      </p>
      {recheck && (
        <p className="font-semibold text-ink">
          Re-check: {recheck.touches} touches more, {time(recheck.seconds)}
        </p>
      )}
      {left.readings > 0 && (
        <p>
          {expected && expected.readings > 0
            ? `About ${expected.touches} touches more, ${time(expected.seconds)}`
            : `At most ${left.touches} touches more, ${time(left.seconds)}`}
          {open ? ', in the positions found so far' : ''}
        </p>
      )}
    </div>
  );
}

function EntryLine({ probing: { typed, message } }: { probing: Probing }) {
  if (typed === '' && !message) return null;
  return (
    <p className="mt-1 flex flex-wrap items-center gap-3 text-large">
      {typed !== '' && (
        <span
          className="rounded-part border-2 border-brass px-3 py-0.5 font-mono font-bold"
          data-testid="typed"
        >
          {typed}
          <span aria-hidden="true" className="animate-pulse motion-reduce:animate-none">
            _
          </span>
        </span>
      )}
      {message && (
        <span role="status" className="rounded-part bg-amber-wash px-3 py-0.5 text-amber-ink">
          {message}
        </span>
      )}
    </p>
  );
}

function Answers({ probing }: { probing: Probing }) {
  const { task, instrument, sense, found, typed, many } = probing;
  const check = lastCheck(probing.map.log);
  const sounded = [...found.values()].filter((value) => isJoin(value, check)).length;
  const box =
    'grid auto-cols-fr grid-flow-col content-start gap-2 lg:grid-flow-row lg:grid-cols-2 lg:gap-2.5';
  const undo = (
    <KeyButton
      keys="Backspace"
      onPress={probing.undo}
      disabled={!probing.map.log.undo.some(({ what }) => ACTS_OF.map.has(what.kind))}
    >
      Undo
    </KeyButton>
  );
  const yes = (label: string) => (
    <KeyButton keys="Enter" strong onPress={probing.yes}>
      {typed !== '' ? 'Take it' : label}
    </KeyButton>
  );
  if (!task) return <div className={box}>{undo}</div>;
  if (task.kind === 'plan') return <PlanAnswers {...{ probing, yes, undo, box }} />;
  if (task.kind === 'clips')
    return (
      <div className={box}>
        {yes(instrument ? 'Touch each' : found.size === 0 ? 'All sounded' : `${found.size} silent`)}
        <KeyButton keys="↓" onPress={() => probing.skip()}>
          Skip
        </KeyButton>
        {undo}
      </div>
    );
  if (instrument) {
    return (
      <div className={box}>
        {yes(many ? (many.kind === 'sweep' ? 'Sweep with the meter' : 'Turn with the meter') : 'Probe')}
        {task.kind === 'prompt' && <Skip probing={probing} />}
        {undo}
      </div>
    );
  }
  return (
    <div className={box}>
      {many
        ? yes(sounded === 0 ? 'Done' : `${sounded} sounded, done`)
        : sense === 'tone' || typed !== ''
          ? yes('It sounds')
          : null}
      <KeyButton keys="Space" onPress={probing.no} disabled={many !== null && found.size > 0}>
        {many ? 'None' : sense === 'tone' ? 'Silent' : 'OL'}
      </KeyButton>
      {task.kind === 'prompt' && <Skip probing={probing} />}
      {undo}
    </div>
  );
}

function Skip({ probing }: { probing: Probing }) {
  const { task } = probing;
  const pair = task?.kind === 'prompt' && task.prompt.ask.kind === 'pair' ? task.prompt.ask : null;
  return (
    <>
      <KeyButton keys="↓" onPress={() => probing.skip()}>
        Skip
      </KeyButton>
      <div className="order-last col-span-2 flex gap-2 max-lg:hidden">
        <PlainButton className="grow px-2" onClick={probing.flickers}>
          Flickers <kbd className="font-mono text-small text-quiet">~</kbd>
        </PlainButton>
        <PlainButton className="grow px-2" onClick={() => probing.skip('cannot-reach')}>
          Can’t reach
        </PlainButton>
        {pair && (
          <PlainButton
            className="grow px-2"
            aria-pressed={pair.fromOtherSide === true}
            onClick={probing.otherSide}
          >
            Other side <kbd className="font-mono text-small text-quiet">&lt;</kbd>
          </PlainButton>
        )}
      </div>
    </>
  );
}

interface PlanAnswersProps {
  probing: Probing;
  yes: (label: string) => ReactNode;
  undo: ReactNode;
  box: string;
}

function PlanAnswers({ probing, yes, undo, box }: PlanAnswersProps) {
  const { task, instrument, sense, typed, clickOn, closeList } = probing;
  const session = useSession();
  if (task?.kind !== 'plan') return null;
  switch (task.plan.kind) {
    case 'check-meter':
      return (
        <div className={box}>
          {instrument || sense === 'tone' || typed !== '' ? yes(instrument ? 'Measure' : 'It sounds') : null}
          {task.plan.why !== 'first' && !instrument && (
            <KeyButton keys="Space" onPress={probing.no}>
              {sense === 'tone' ? 'Silent' : 'OL'}
            </KeyButton>
          )}
          {task.plan.why !== 'first' && undo}
        </div>
      );
    case 'find-position':
      return (
        <div className={box}>
          <KeyButton keys="→" strong onPress={clickOn}>
            New position
          </KeyButton>
          <KeyButton keys="End" onPress={() => closeList('stop')}>
            Hit the stop
          </KeyButton>
          <KeyButton keys="Home" onPress={() => closeList('round')}>
            Back at the start
          </KeyButton>
          {undo}
        </div>
      );
    case 'skipped-left': {
      const { skips } = task.plan;
      return (
        <div className={box}>
          <PlainButton
            look="strong"
            className="min-h-16"
            onClick={() => skips.forEach((id: EventId) => session.withdraw(id))}
          >
            Ask them now
          </PlainButton>
          {undo}
        </div>
      );
    }
    case 'named-pairs-done':
    case 'working-pairs-done':
      return (
        <div className={box}>
          <PlainButton
            look="strong"
            className="min-h-16 text-large"
            onClick={() => probing.approach({ extent: 'everything' })}
          >
            Go on to everything
          </PlainButton>
          {undo}
        </div>
      );
    case 'done':
      return (
        <div className={box}>
          <PlainButton
            look="strong"
            className="min-h-16 text-large"
            onClick={() => session.emit({ kind: 'recheck-begun' })}
          >
            Re-check
          </PlainButton>
          {undo}
          <WayBack probing={probing} />
          <ToFrame probing={probing} />
        </div>
      );
    case 'rechecked':
      return (
        <div className={box}>
          {undo}
          <WayBack probing={probing} />
          <ToFrame probing={probing} />
        </div>
      );
    case 'in-circuit-left':
      return (
        <div className={box}>
          <PlainButton
            look="strong"
            className="min-h-16"
            onClick={() => session.emit({ kind: 'wires-off', off: true })}
          >
            The wires are off
          </PlainButton>
          {undo}
        </div>
      );
    default:
      return (
        <div className={box}>
          {probing.settling && yes(`Read ${probing.settling.pair} again`)}
          {undo}
        </div>
      );
  }
}

/** Through the positions once more from the other side, one pair each that tells it. */
function WayBack({ probing: { map } }: { probing: Probing }) {
  const session = useSession();
  if (returnWanted(map) || returnSweep(map).left.length === 0) return null;
  return (
    <PlainButton className="col-span-2 min-h-14" onClick={() => session.emit({ kind: 'return-begun' })}>
      Way back, one pair each
    </PlainButton>
  );
}

/** All contacts tied together against the frame: one reading for each position, for the insulation. */
function ToFrame({ probing }: { probing: Probing }) {
  const ask = frameAsk(probing.map);
  if (!ask) return null;
  return (
    <PlainButton className="col-span-2 min-h-14" onClick={() => probing.show(ask)}>
      All lugs to the frame
    </PlainButton>
  );
}
