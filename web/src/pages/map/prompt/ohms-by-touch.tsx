import { isHeldAsk } from '@which-way/core/probing';
import { OHMS_BY_TOUCH_TEXT } from '@which-way/words/screens/pages/map/prompt/ohms-by-touch';
import { settingName, terminalName } from '@which-way/words/terminals';
import { useState } from 'react';
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

/** Where there are no keys: a field for the ohms that the meter shows, and OL beside it. The same line as typed. */
export function OhmsByTouch({ probing }: { probing: Probing }) {
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState('');
  const options = asked(probing);
  const to = options.find(({ value }) => value === chosen) ?? options[0];
  if (!takesValue(probing) || (probing.many !== null && !to)) return null;
  const give = (value: string) => {
    if (value.trim() === '') return;
    probing.act({ do: 'type-instead', text: to ? `${to.value}=${value}` : value });
    probing.act({ do: 'yes' });
    setTyped('');
    setChosen('');
  };
  return (
    <form
      className="mt-1 flex items-stretch gap-2 lg:not-pointer-coarse:hidden"
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
      <label className="min-w-0 grow">
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
      <PlainButton onClick={() => give('OL')}>{OHMS_BY_TOUCH_TEXT.over}</PlainButton>
    </form>
  );
}
