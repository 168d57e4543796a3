import type { MachineHandle, SwitchHandle } from '@which-way/core/machine';
import type { SettingId } from '@which-way/core/switch';
import { contactWords, DEVICE_WORDS, standingName } from '@which-way/words/machine/handles';
import { Link } from 'react-router';
import { linksOf } from '../../parts/drawings/links.js';
import { Choice } from '../../controls/fields/choice.js';
import { Pick } from '../../controls/fields/pick.js';
import { PlainButton } from '../../controls/plain-button.js';
import { ActuatorDrawing } from '../../parts/drawings/actuator-drawing.js';
import { SwitchDrawing } from '../../parts/drawings/switch-drawing.js';
import { useViewSide } from '../../parts/drawings/view-side.js';
import { HANDLE_CARD_TEXT } from '@which-way/words/screens/pages/machine/handle-card';

interface HandleCardProps {
  handle: MachineHandle;
  name: string;
  /** Why nothing of it counts. */
  why: string | null;
  setting: SettingId;
  onTurn: (setting: SettingId) => void;
  onTakeAway: () => void;
}

/** More positions than these are chosen from a list. */
const IN_A_ROW = 5;

/** A switch or a device with how it stands; a tap turns it. */
export function HandleCard({ handle, name, why, setting, onTurn, onTakeAway }: HandleCardProps) {
  const { settings } = handle;
  const next = settings[(settings.indexOf(setting) + 1) % settings.length] as SettingId;
  const options = settings.map((one) => ({ value: one as string, text: standingName(handle, one) }));
  const turn = (value: string) => {
    const chosen = settings.find((one) => one === value);
    if (chosen) onTurn(chosen);
  };
  return (
    <li className="grid min-w-0 content-start gap-2 rounded-part border-2 border-line bg-sheet p-3">
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="min-w-0 font-bold">
          {handle.of === 'switch' ? (
            <Link to={`/jobs/${handle.job}/table`} className="underline underline-offset-4">
              {name}
            </Link>
          ) : (
            name
          )}
        </h2>
        <PlainButton
          look="quiet"
          className="!min-h-11 shrink-0 !px-2 whitespace-nowrap"
          onClick={onTakeAway}
          aria-label={HANDLE_CARD_TEXT.takeAway(name)}
        >
          {HANDLE_CARD_TEXT.takeAway2}
        </PlainButton>
      </div>
      {why && (
        <p className="text-amber-ink">
          {HANDLE_CARD_TEXT.nothingOfItCounts}
          {why}.
        </p>
      )}
      {handle.of === 'device' ? (
        <p className="text-quiet">
          {DEVICE_WORDS[handle.device.kind]}: {contactWords(handle.device.kind, handle.device.contact)}
        </p>
      ) : (
        handle.map && (
          // A tap on the drawing turns it on by one; keys have the row of positions below.
          <div
            onClick={() => onTurn(next)}
            className="grid cursor-pointer grid-cols-[minmax(0,3fr)_minmax(0,2fr)] items-center gap-2 rounded-part hover:bg-paper"
          >
            <Drawn handle={{ ...handle, map: handle.map }} setting={setting} name={name} />
          </div>
        )
      )}
      {settings.length > 1 &&
        (settings.length <= IN_A_ROW ? (
          <Choice
            label={HANDLE_CARD_TEXT.standsAt(name)}
            value={setting as string}
            options={options}
            onChoose={turn}
          />
        ) : (
          <Pick
            quiet
            label={HANDLE_CARD_TEXT.standsAt(name)}
            value={setting}
            options={options}
            onPick={turn}
          />
        ))}
    </li>
  );
}

interface DrawnProps {
  handle: SwitchHandle;
  setting: SettingId;
  name: string;
}

function Drawn({ handle: { map }, setting, name }: DrawnProps) {
  const { side } = useViewSide();
  const at = map.structure.settings.find(({ id }) => id === setting)?.at ?? {};
  const links = linksOf(map, setting, () => undefined).filter(({ faint }) => !faint);
  return (
    <>
      <span className="pointer-events-none block max-h-44 overflow-hidden">
        <SwitchDrawing
          {...map.structure}
          side={side}
          links={links}
          caption={HANDLE_CARD_TEXT.itsContacts(name)}
        />
      </span>
      <span className="pointer-events-none block">
        {map.structure.actuators.slice(0, 2).map((actuator) => (
          <ActuatorDrawing key={actuator.id} actuator={actuator} at={at[actuator.id] ?? null} side={side} />
        ))}
      </span>
    </>
  );
}
