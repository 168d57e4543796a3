import type { SwitchMap } from '@which-way/core/continuity';
import type { Passing } from '@which-way/core/log';
import { betweenThrows, type BetweenThrows } from '@which-way/core/table';
import { BETWEEN_NOTE, passingWords } from '@which-way/words/judge/between';
import { settingName, terminalName } from '@which-way/words/terminals';
import { useSession } from '../../job/job-context.js';
import { PlainButton } from '../../controls/plain-button.js';
import { BETWEEN_PANEL_TEXT } from '@which-way/words/screens/pages/table/between-panel';

/** What a moving contact does between two positions, watched from throw to throw, both ways. */
export function BetweenPanel({ map }: { map: SwitchMap }) {
  const steps = betweenThrows(map);
  if (steps.length === 0) return null;
  const tried = steps.filter(({ up, down }) => up !== null || down !== null).length;
  return (
    <details className="border-t border-line pt-1">
      <summary className="min-h-11 cursor-pointer py-2 font-bold">
        {BETWEEN_PANEL_TEXT.betweenPositions}
        {tried === 0 ? BETWEEN_PANEL_TEXT.notTried : BETWEEN_PANEL_TEXT.ofStepsTried(tried, steps.length)}
      </summary>
      <p className="text-quiet">{BETWEEN_NOTE}</p>
      <ul className="mt-1 grid gap-1">
        {steps.map((step) => (
          <li key={`${step.moving} ${step.settings.join()}`} className="border-b border-line py-1">
            {(['up', 'down'] as const).map((way) => (
              <Way key={way} map={map} step={step} way={way} />
            ))}
          </li>
        ))}
      </ul>
    </details>
  );
}

interface WayProps {
  map: SwitchMap;
  step: BetweenThrows;
  way: Passing['way'];
}

/** One step of the handle one way: seen, or one more slow pass in which nothing was seen. */
function Way({ map: { structure }, step, way }: WayProps) {
  const session = useSession();
  const { throws, settings } = step;
  const passing = step[way];
  const say = (passes: number, seen: boolean) =>
    session.emit({ kind: 'passing-probed', passing: { throws, settings, way, passes, seen } });
  const [from, to] = way === 'up' ? settings : [settings[1], settings[0]];
  const name = `${throws.map((id) => terminalName(structure, id)).join('–')}, ${settingName(structure, from)} to ${settingName(structure, to)}`;
  return (
    <div className="flex flex-wrap items-center gap-x-3">
      <span className="min-w-0 grow basis-52">
        {name}: <strong>{passingWords(passing)}</strong>
      </span>
      <PlainButton
        aria-label={BETWEEN_PANEL_TEXT.bothMadeAtOnce(name)}
        onClick={() => say((passing?.passes ?? 0) + 1, true)}
      >
        {BETWEEN_PANEL_TEXT.seen}
      </PlainButton>
      <PlainButton
        aria-label={BETWEEN_PANEL_TEXT.notSeenInOneMore(name)}
        disabled={passing?.seen === true}
        onClick={() => say((passing?.passes ?? 0) + 1, false)}
      >
        {BETWEEN_PANEL_TEXT.oneMorePassNotSeen}
      </PlainButton>
      {passing && (
        <PlainButton
          look="quiet"
          className="!px-2"
          aria-label={BETWEEN_PANEL_TEXT.takeBack(name)}
          onClick={() => say(0, false)}
        >
          {BETWEEN_PANEL_TEXT.takeBack2}
        </PlainButton>
      )}
    </div>
  );
}
