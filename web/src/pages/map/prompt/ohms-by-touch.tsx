import type { SwitchMap } from '@which-way/core/continuity';
import { deedsOf } from '@which-way/core/log';
import { answersTo, isHeldAsk } from '@which-way/core/probing';
import { ohms } from '@which-way/words/quantity';
import { OHMS_BY_TOUCH_TEXT } from '@which-way/words/screens/pages/map/prompt/ohms-by-touch';
import { settingName, terminalName } from '@which-way/words/terminals';
import { useMemo, useState } from 'react';
import { Pick, type PickOption } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import type { Probing } from '../probing/use-probing.js';

/** What a value is given to where several are asked at once: lugs of a sweep, or positions of a held pair; empty: one value is asked. */
function asked({ map: { structure }, many, found, implied }: Probing): PickOption[] {
  if (!many) return [];
  if (isHeldAsk(many))
    return many.settings
      .filter((id) => !found.has(id))
      .map((id) => ({
        value: String(structure.settings.findIndex((setting) => setting.id === id) + 1),
        text: settingName(structure, id),
      }));
  return [many.black]
    .flat()
    .filter((id) => !found.has(id) && !implied.has(id))
    .map((id) => ({ value: terminalName(structure, id), text: terminalName(structure, id) }));
}

/** Whether ohms are asked for: of a pair, of several, or of the leads held together. Tones have buttons, and are tapped. */
function takesValue({ task, hands }: Probing): boolean {
  if (hands.sense === 'tone') return false;
  if (task?.kind === 'plan') return task.plan.kind === 'check-meter';
  return task?.kind === 'prompt' || task?.kind === 'correct';
}

/** Values that are offered: more are not found faster than typed. */
const MOST_RECENT = 4;

/** The ohms that were read in this job, the newest first: most contacts of a switch read alike. */
function recentOhms({ log }: SwitchMap): number[] {
  const found = new Set<number>();
  for (const { readings } of deedsOf(log, 'answered').toReversed()) {
    for (const { value } of readings.toReversed()) if (value.kind === 'ohms') found.add(value.ohms);
    if (found.size >= MOST_RECENT) break;
  }
  return [...found].slice(0, MOST_RECENT);
}

/** Where there are no keys: a field for the ohms that the meter shows, and OL beside it. The same line as typed. */
export function OhmsByTouch({ probing }: { probing: Probing }) {
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState('');
  const recent = useMemo(() => recentOhms(probing.map), [probing.map]);
  const options = asked(probing);
  const to = options.find(({ value }) => value === chosen) ?? options[0];
  if (!takesValue(probing) || (probing.many !== null && !to)) return null;
  // Of one value the large answer says it already; of several that one means the rest, and this one lug.
  const isOverOffered = !to && answersTo(probing).some(({ act }) => act.do === 'no');
  const give = (value: string) => {
    if (value.trim() === '') return;
    probing.act({ do: 'type-instead', text: to ? `${to.value}=${value}` : value });
    probing.act({ do: 'yes' });
    setTyped('');
    setChosen('');
  };
  return (
    <form
      className="mt-1 flex flex-wrap items-stretch gap-2 lg:not-pointer-coarse:hidden"
      aria-label={OHMS_BY_TOUCH_TEXT.form}
      onSubmit={(event) => {
        event.preventDefault();
        give(typed);
      }}
    >
      {to && (
        <Pick
          label={OHMS_BY_TOUCH_TEXT.to}
          quiet
          value={to.value}
          options={options}
          onPick={setChosen}
          className="max-w-28 shrink-0"
        />
      )}
      <label className="min-w-24 flex-1">
        <span className="sr-only">{OHMS_BY_TOUCH_TEXT.ohms}</span>
        <input
          placeholder={OHMS_BY_TOUCH_TEXT.ohms}
          inputMode="decimal"
          autoComplete="off"
          enterKeyHint="done"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
          className="min-h-12 w-full rounded-part border-2 border-ink bg-sheet px-2 font-mono text-large placeholder:text-quiet"
        />
      </label>
      <PlainButton type="submit" look="strong" disabled={typed.trim() === ''}>
        {OHMS_BY_TOUCH_TEXT.enter}
      </PlainButton>
      {!isOverOffered && <PlainButton onClick={() => give('OL')}>{OHMS_BY_TOUCH_TEXT.over}</PlainButton>}
      {recent.length > 0 && (
        <div
          role="group"
          aria-label={OHMS_BY_TOUCH_TEXT.recent}
          className="flex basis-full gap-2 overflow-hidden"
        >
          {recent.map((value) => (
            <PlainButton key={value} className="font-mono" onClick={() => give(String(value))}>
              {ohms(value)}
            </PlainButton>
          ))}
        </div>
      )}
    </form>
  );
}
