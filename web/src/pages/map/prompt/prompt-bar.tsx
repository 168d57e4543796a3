import { sameAsk, type Ask } from '@which-way/core/log';
import { mostLeft } from '@which-way/core/planner';
import { answersTo, type Act, type Answer } from '@which-way/core/probing';
import { PROMPT_REASON_WORDS } from '@which-way/words/map/approach';
import { answerWords, keyWords } from '@which-way/words/probing/answers';
import { messageWords } from '@which-way/words/probing/messages';
import { askInShort } from '@which-way/words/probing/ask-in-short';
import { promptWords } from '@which-way/words/probing/prompt';
import { settingName } from '@which-way/words/terminals';
import { time } from '@which-way/words/time';
import { useDeferredValue, useMemo } from 'react';
import { Link } from 'react-router';
import { useStore } from 'zustand';
import { KeyButton } from '../../../controls/keys/key-button.js';
import { PlainButton } from '../../../controls/plain-button.js';
import type { OutlookView } from '../probing/use-outlook.js';
import type { Probing } from '../probing/use-probing.js';
import { EarLine, EarStart } from './ear-line.js';
import { MeterLine, MeterStart } from './meter-line.js';
import { OhmsByTouch } from './ohms-by-touch.js';
import { PROMPT_BAR_TEXT } from '@which-way/words/screens/pages/map/prompt/prompt-bar';

/** The ends of a mapping, after which there is nothing that has to be read. */
const ENDS: ReadonlySet<string> = new Set(['done', 'rechecked', 'not-rechecked']);
const isOver = ({ task }: Probing): boolean => task?.kind === 'plan' && ENDS.has(task.plan.kind);

/** The next thing to do, the biggest thing on the screen, with its answers beside it. */
export function PromptBar({ probing, outlook }: { probing: Probing; outlook: OutlookView }) {
  const words = promptWords(probing, outlook.recheck);
  return (
    <section
      aria-label={PROMPT_BAR_TEXT.whatToDoNext}
      aria-busy={probing.busy}
      className="sticky bottom-0 grid shrink-0 gap-x-6 gap-y-2 border-t-4 border-ink bg-sheet px-3 py-2 sm:px-5 sm:py-3 lg:min-h-[13.25rem] lg:grid-cols-[12rem_1fr_18rem]"
    >
      <div className="flex flex-wrap items-center justify-between gap-1 lg:grid lg:content-start lg:justify-start">
        <Progress probing={probing} outlook={outlook} />
        {/* Once all is read a phone needs the room for the drawing. */}
        <div className={`flex flex-wrap gap-1 ${isOver(probing) ? 'max-sm:hidden' : ''}`}>
          {!probing.wired && <EarStart probing={probing} />}
          <MeterStart probing={probing} />
        </div>
      </div>
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
        {!probing.wired && <OhmsByTouch probing={probing} />}
        <Foreshadow probing={probing} outlook={outlook} />
        <EarLine probing={probing} />
        <MeterLine probing={probing} />
      </div>
      <Answers probing={probing} />
    </section>
  );
}

/** The two prompts after this one, so that the hands can plan. */
function Foreshadow({ probing, outlook }: { probing: Probing; outlook: OutlookView }) {
  const { map, task, plan, hands } = probing;
  const { followUps } = outlook;
  const foreseen = task?.kind === 'prompt' && plan?.kind === 'ask' && sameAsk(task.prompt.ask, plan.ask);
  if (!foreseen || !followUps || hands.typed !== '' || hands.message) return null;
  const { silent, sounded } = followUps;
  if (!silent && !sounded) return null;
  const inOhms = hands.sense === 'ohms';
  const words = (ask: Ask | null) => (ask ? askInShort(map, ask) : PROMPT_BAR_TEXT.elsewhere);
  return (
    <p className="mt-1 text-base text-quiet max-sm:hidden" data-testid="then">
      {PROMPT_BAR_TEXT.thenIfNone(inOhms)}
      {words(silent)}
      {PROMPT_BAR_TEXT.ifItSounds(inOhms)}
      {words(sounded)}.
    </p>
  );
}

function Progress({ probing: { map, at, plan, task }, outlook }: { probing: Probing; outlook: OutlookView }) {
  const coverage = at ? map.settings.get(at)?.coverage : undefined;
  // Counted when the next prompt is on the screen: it may wait.
  const later = useDeferredValue(map);
  const left = useMemo(() => mostLeft(later), [later]);
  if (!coverage || !at) return <div />;
  const expected = outlook.ways.now;
  const recheck = plan?.kind === 'ask' && plan.why === 'recheck' ? outlook.recheck : null;
  const open = map.structure.actuators.some(({ closed }) => closed === null);
  return (
    <div className="grow basis-40 text-small leading-snug text-quiet max-lg:flex max-lg:flex-wrap max-lg:items-baseline max-lg:gap-x-3 sm:text-base">
      <p className="text-ink">
        <strong className="font-mono text-large">
          {coverage.measured + coverage.follows}
          {PROMPT_BAR_TEXT.ofText}
          {coverage.pairs}
        </strong>{' '}
        {PROMPT_BAR_TEXT.pairs}
        <span className="max-sm:hidden">{PROMPT_BAR_TEXT.settled}</span>
      </p>
      {task?.kind === 'prompt' &&
        plan?.kind === 'ask' &&
        sameAsk(task.prompt.ask, plan.ask) &&
        plan.reason && (
          <p className="max-sm:hidden">
            {PROMPT_BAR_TEXT.whyThis}
            {PROMPT_REASON_WORDS[plan.reason]}
          </p>
        )}
      <p className="max-sm:hidden">
        {PROMPT_BAR_TEXT.at}
        {settingName(map.structure, at)}: {coverage.measured}
        {PROMPT_BAR_TEXT.measured}
        {coverage.follows}
        {PROMPT_BAR_TEXT.follow}
        {coverage.assumed > 0 ? PROMPT_BAR_TEXT.assumed(coverage.assumed) : ''}
      </p>
      {recheck && (
        <p className="font-semibold text-ink">
          {PROMPT_BAR_TEXT.reCheck}
          {PROMPT_BAR_TEXT.reCheckMore(recheck.touches, time(recheck.seconds))}
        </p>
      )}
      {left.readings > 0 && (
        <p>
          {expected && expected.readings > 0
            ? PROMPT_BAR_TEXT.aboutTouchesMore(expected.touches, time(expected.seconds))
            : PROMPT_BAR_TEXT.atMostReadingsMore(left.readings, time(left.seconds))}
          {open && <span className="max-sm:hidden">{PROMPT_BAR_TEXT.inThePositionsFoundSo}</span>}
        </p>
      )}
    </div>
  );
}

function EntryLine({ probing: { hands, map } }: { probing: Probing }) {
  const { typed, message } = hands;
  if (typed === '' && !message) return null;
  return (
    <p className="mt-1 flex flex-wrap items-center gap-3 text-large">
      {typed !== '' && (
        <span
          className="rounded-part border-2 border-brass px-3 py-0.5 font-mono font-bold"
          data-testid="typed"
        >
          {typed}
          <span aria-hidden="true">_</span>
        </span>
      )}
      {message && (
        <span role="status" className="rounded-part bg-amber-wash px-3 py-0.5 text-amber-ink">
          {messageWords(map.structure, message)}
        </span>
      )}
    </p>
  );
}

/** What the hands answer touch by touch. */
const BY_TOUCH: ReadonlySet<Act['do']> = new Set(['yes', 'no', 'step'] as const);

/** Every answer that the hands can give now. */
function Answers({ probing }: { probing: Probing }) {
  const { structure } = probing.map;
  // While clicks lead a sweep the pedal confirms it or undoes it: what a touch by itself would answer is not offered.
  const led = useStore(probing.earDesk.store, ({ sweep }) => sweep !== null);
  const answers = answersTo(probing).filter(({ act }) => !led || !BY_TOUCH.has(act.do));
  const give =
    ({ act }: Answer) =>
    () =>
      probing.act(act);
  const small = answers.filter(({ look }) => look === 'small');
  // Once the map is whole its table is what it was made for: everything else here is a way to be surer.
  const ends = isOver(probing);
  return (
    <div className="grid content-start gap-2 lg:gap-2.5">
      {ends && (
        <Link
          to="../table"
          relative="path"
          className="flex min-h-14 items-center justify-center rounded-part border-2 border-enamel bg-enamel px-4 text-large font-bold text-on-enamel hover:bg-enamel-lift dark:border-brass"
        >
          {PROMPT_BAR_TEXT.seeTheTruthTable}
        </Link>
      )}
      <div
        className={`grid content-start gap-2 lg:grid-flow-row lg:grid-cols-2 lg:gap-2.5 ${ends ? 'grid-cols-2' : 'auto-cols-fr grid-flow-col'}`}
      >
        {answers.map((answer) => {
          const words = answerWords(structure, answer.label);
          if (answer.look === 'small') return null;
          if (answer.look === 'way-on' || answer.key === null)
            return (
              <PlainButton
                key={words}
                look={answer.look === 'main' && !ends ? 'strong' : undefined}
                className={answer.look === 'main' ? 'min-h-16 text-large' : 'col-span-2 min-h-14'}
                onClick={give(answer)}
              >
                {words}
              </PlainButton>
            );
          return (
            <KeyButton
              key={words}
              keys={keyWords(answer.key)}
              strong={answer.look === 'main' && !ends}
              disabled={answer.off}
              onPress={give(answer)}
            >
              {words}
            </KeyButton>
          );
        })}
      </div>
      {small.length > 0 && (
        <div className="flex flex-wrap gap-2">
          {small.map((answer) => (
            <PlainButton
              key={answerWords(structure, answer.label)}
              className="grow px-2"
              aria-pressed={answer.pressed}
              onClick={give(answer)}
            >
              {answerWords(structure, answer.label)}{' '}
              {answer.key && <kbd className="font-mono text-small text-quiet">{answer.key}</kbd>}
            </PlainButton>
          ))}
        </div>
      )}
    </div>
  );
}
