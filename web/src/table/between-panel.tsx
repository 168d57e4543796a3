import type { SwitchMap } from '@which-way/core/continuity';
import type { Passing } from '@which-way/core/log';
import { betweenThrows, type BetweenThrows } from '@which-way/core/table';
import { BETWEEN_NOTE, passingWords } from '@which-way/words/judge/between';
import { settingName, terminalName } from '@which-way/words/terminals';
import { useSession } from '../job/job-context.js';
import { PlainButton } from '../shared/controls/plain-button.js';

/** What a moving contact does between two positions, watched from throw to throw, both ways. */
export function BetweenPanel({ map }: { map: SwitchMap }) {
  const steps = betweenThrows(map);
  if (steps.length === 0) return null;
  const tried = steps.filter(({ up, down }) => up !== null || down !== null).length;
  return (
    <details className="border-t border-line pt-1">
      <summary className="min-h-11 cursor-pointer py-2 font-bold">
        Between positions: {tried === 0 ? 'not tried' : `${tried} of ${steps.length} steps tried`}
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
        aria-label={`${name}: both made at once`}
        onClick={() => say((passing?.passes ?? 0) + 1, true)}
      >
        Seen
      </PlainButton>
      <PlainButton
        aria-label={`${name}: not seen in one more pass`}
        disabled={passing?.seen === true}
        onClick={() => say((passing?.passes ?? 0) + 1, false)}
      >
        One more pass, not seen
      </PlainButton>
      {passing && (
        <PlainButton
          look="quiet"
          className="!px-2"
          aria-label={`${name}: take back`}
          onClick={() => say(0, false)}
        >
          Take back
        </PlainButton>
      )}
    </div>
  );
}
