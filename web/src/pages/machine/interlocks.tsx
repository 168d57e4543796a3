import { recordsOf, standingKey, type SettingOfJob } from '@which-way/core/log';
import { standingsAt } from '@which-way/core/machine';
import type { MachineNames } from '@which-way/words/machine/places';
import { handleName, standingName } from '@which-way/words/machine/handles';
import { INTERLOCKS_TEXT } from '@which-way/words/screens/pages/machine/interlocks';
import { useJobState, useSession } from '../../job/job-context.js';
import { PlainButton } from '../../controls/plain-button.js';
import type { MachineView } from './use-view.js';

/** How switches cannot stand together: said for two of them as they stand now, and taken back. */
export function Interlocks({
  view: { machine, standing },
  names,
}: {
  view: MachineView;
  names: MachineNames;
}) {
  const session = useSession();
  const log = useJobState((state) => state.map.log);
  const said = recordsOf(log, 'interlock-said');
  const here = standingsAt(machine, standing);
  const keys = machine.handles.map((handle) =>
    handle.settings.map((setting) => standingKey(standingsAt({ ...machine, handles: [handle] }, [setting]))),
  );
  const nameOf = (one: SettingOfJob): string => {
    const key = standingKey([one]);
    const at = keys.findIndex((list) => list.includes(key));
    const handle = machine.handles[at];
    const setting = handle?.settings[keys[at]?.indexOf(key) ?? 0];
    return handle && setting ? `${handleName(handle, names.job)} at ${standingName(handle, setting)}` : '?';
  };
  const words = (at: readonly SettingOfJob[]) => at.map(nameOf).join(INTERLOCKS_TEXT.and);
  const known = new Set(said.map(({ at }) => standingKey(at)));
  const pairs = here.flatMap((one, at) =>
    here.slice(at + 1).flatMap((other) => (known.has(standingKey([one, other])) ? [] : [[one, other]])),
  );
  if (machine.handles.length < 2) return null;
  return (
    <details open={said.length > 0 || undefined}>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">
        {INTERLOCKS_TEXT.mechanicalInterlock}
      </summary>
      <ul className="grid gap-1">
        {said.map(({ at }) => (
          <li key={standingKey(at)} className="flex flex-wrap items-center gap-3">
            {INTERLOCKS_TEXT.never(words(at))}
            <PlainButton
              look="quiet"
              onClick={() => session.emit({ kind: 'interlock-said', at, keeps: false })}
            >
              {INTERLOCKS_TEXT.remove}
            </PlainButton>
          </li>
        ))}
      </ul>
      <p className="text-quiet">{INTERLOCKS_TEXT.asTheyStandNow}</p>
      <div className="flex flex-wrap gap-2 pt-1">
        {pairs.map((at) => (
          <PlainButton
            key={standingKey(at)}
            onClick={() => session.emit({ kind: 'interlock-said', at: [...at], keeps: true })}
          >
            {INTERLOCKS_TEXT.never(words(at))}
          </PlainButton>
        ))}
      </div>
    </details>
  );
}
