import {
  ACTUATOR_FORMS,
  addedHandle,
  addedPosition,
  type Actuator,
  type ActuatorForm,
  type Pose,
  type Position,
  type PositionId,
} from '@which-way/core/switch';
import { HANDLE_NAME_LETTERS, MOST_SETTINGS, POSITION_NAME_LETTERS } from '@which-way/core/schema';
import { useState } from 'react';
import { useJobState, useSession } from '../job/job-context.js';
import { newId } from '../job/new-id.js';
import { angleOf } from '@which-way/core/switch';
import { turnWords } from '@which-way/words/handles';
import { ActuatorDrawing } from '../shared/actuator-drawing.js';
import { PlainButton } from '../shared/plain-button.js';
import { useViewSide } from '../shared/view-side.js';
import { FORM_WORDS } from '@which-way/words/layouts';
import { CheckLine } from '../shared/check-line.js';

const INPUT = 'min-h-12 min-w-0 rounded-part border-2 border-line bg-sheet px-2';

/** What the hand moves: drawn as what it is, with what the front says and where it points. */
export function HandleSection() {
  const { actuators } = useJobState((state) => state.map.structure);
  return (
    <section aria-label="Handle" className="grid gap-4">
      <h2 className="text-large font-bold">{actuators.length > 1 ? 'Handles' : 'Handle'}</h2>
      {actuators.map((actuator) => (
        <OneHandle key={actuator.id} actuator={actuator} />
      ))}
      <AddHandle />
    </section>
  );
}

function OneHandle({ actuator }: { actuator: Actuator }) {
  const session = useSession();
  const structure = useJobState((state) => state.map.structure);
  const { side } = useViewSide();
  const [at, setAt] = useState<PositionId | null>(actuator.positions[0]?.id ?? null);
  const describe = (part: { name?: string; form?: ActuatorForm }) =>
    session.restructure({
      change: 'actuator-described',
      actuator: actuator.id,
      name: part.name ?? actuator.name,
      form: part.form ?? actuator.form,
    });
  const addPosition = () =>
    session.restructure(addedPosition(structure, actuator, 'every-combination', newId));
  return (
    <div className="grid gap-3 border-t-2 border-line pt-3">
      <div className="grid gap-3 sm:grid-cols-2">
        <div>
          <ActuatorDrawing actuator={actuator} at={at} side={side} />
          <p className="text-center text-small text-quiet">{turnWords(actuator, side)}</p>
        </div>
        <div className="grid content-start gap-3">
          <label>
            What it is
            <select
              value={actuator.form}
              onChange={({ target }) => describe({ form: formOf(target.value) })}
              className={`${INPUT} mt-1 w-full`}
            >
              {ACTUATOR_FORMS.map((form) => (
                <option key={form} value={form}>
                  {FORM_WORDS[form]}
                </option>
              ))}
            </select>
          </label>
          <label>
            Name
            <input
              key={actuator.name}
              defaultValue={actuator.name}
              maxLength={HANDLE_NAME_LETTERS}
              onBlur={({ target }) =>
                target.value.trim() !== '' &&
                target.value.trim() !== actuator.name &&
                describe({ name: target.value.trim() })
              }
              className={`${INPUT} mt-1 w-full`}
            />
          </label>
          <EndsChoice actuator={actuator} />
        </div>
      </div>
      <ol className="grid gap-2" aria-label={`Positions of ${actuator.name}`}>
        {actuator.positions.map((position, index) => (
          <PositionRow
            key={position.id}
            {...{ actuator, position, index }}
            here={position.id === at}
            onLook={() => setAt(position.id)}
          />
        ))}
      </ol>
      {actuator.form === 'key-bank' && (
        <p className="text-small text-quiet">Keys that are down: 2, or 1 3 for two at once, 0 for all out.</p>
      )}
      <PlainButton className="justify-self-start" onClick={addPosition}>
        One more position
      </PlainButton>
    </div>
  );
}

const formOf = (value: string): ActuatorForm => ACTUATOR_FORMS.find((form) => form === value) ?? 'rotary';

/** Stops at both ends, or turns for ever. */
function EndsChoice({ actuator }: { actuator: Actuator }) {
  const session = useSession();
  if (actuator.form !== 'rotary' && actuator.form !== 'pot-switch') return null;
  const close = (by: 'stop' | 'round') =>
    session.restructure({ change: 'positions-closed', actuator: actuator.id, by });
  return (
    <div className="flex flex-wrap gap-2">
      <PlainButton
        aria-pressed={actuator.closed === 'stop'}
        className="aria-pressed:border-ink"
        onClick={() => close('stop')}
      >
        Has stops
      </PlainButton>
      <PlainButton
        aria-pressed={actuator.closed === 'round'}
        className="aria-pressed:border-ink"
        onClick={() => close('round')}
      >
        Endless
      </PlainButton>
    </div>
  );
}

interface PositionRowProps {
  actuator: Actuator;
  position: Position;
  index: number;
  here: boolean;
  onLook: () => void;
}

function PositionRow({ actuator, position, index, here, onLook }: PositionRowProps) {
  const session = useSession();
  const pose = (part: Partial<Pick<Position, 'rests' | 'returnsTo' | 'pose'>>) => {
    const { rests, returnsTo, pose: now } = { ...position, ...part };
    session.restructure({ change: 'position-posed', position: position.id, rests, returnsTo, pose: now });
  };
  const rename = (name: string) => {
    if (name.trim() !== (position.name ?? ''))
      session.restructure({ change: 'position-renamed', position: position.id, name: name.trim() || null });
  };
  const others = actuator.positions.filter(({ id }) => id !== position.id);
  return (
    <li
      className={`grid grid-cols-[2.75rem_1fr_1fr_6rem] items-center gap-2 rounded-part border-2 p-1 ${here ? 'border-brass' : 'border-transparent'}`}
    >
      <PlainButton className="!px-0 font-mono" aria-label={`Show position ${index + 1}`} onClick={onLook}>
        {index + 1}
      </PlainButton>
      <input
        key={position.name}
        aria-label={`What the front says at position ${index + 1}`}
        placeholder="no name"
        defaultValue={position.name ?? ''}
        maxLength={HANDLE_NAME_LETTERS}
        onFocus={onLook}
        onBlur={({ target }) => rename(target.value)}
        className={`${INPUT} placeholder:text-quiet`}
      />
      <select
        aria-label={`Position ${index + 1} rests or springs back`}
        value={position.rests === 'maintained' ? 'stays' : (position.returnsTo ?? 'springs')}
        onFocus={onLook}
        onChange={({ target: { value } }) =>
          value === 'stays'
            ? pose({ rests: 'maintained', returnsTo: null })
            : pose({ rests: 'momentary', returnsTo: others.find(({ id }) => id === value)?.id ?? null })
        }
        className={INPUT}
      >
        <option value="stays">stays</option>
        <option value="springs">springs back</option>
        {others.map(({ id, name }) => (
          <option key={id} value={id}>
            springs to {name ?? actuator.positions.findIndex((one) => one.id === id) + 1}
          </option>
        ))}
      </select>
      <PoseField {...{ actuator, position, index }} onPose={(given) => pose({ pose: given })} />
    </li>
  );
}

interface PoseFieldProps {
  actuator: Actuator;
  position: Position;
  index: number;
  onPose: (pose: Pose | null) => void;
}

/** Where the handle points, in degrees from the top; or which keys are down. */
function PoseField({ actuator, position, index, onPose }: PoseFieldProps) {
  const keys = actuator.form === 'key-bank';
  const turns = ['rotary', 'pot-switch', 'key', 'lever'].includes(actuator.form);
  const [wrong, setWrong] = useState(false);
  if (!keys && !turns) return <span />;
  const shown =
    position.pose?.kind === 'angle'
      ? String(position.pose.degrees)
      : position.pose?.kind === 'keys'
        ? position.pose.down.join(' ') || '0'
        : '';
  const keep = (text: string) => {
    const pose = keys ? readKeys(text) : readAngle(text);
    setWrong(pose === undefined);
    if (pose !== undefined && JSON.stringify(pose) !== JSON.stringify(position.pose)) onPose(pose);
  };
  return (
    <input
      key={shown}
      aria-label={keys ? `Keys down at position ${index + 1}` : `Degrees at position ${index + 1}`}
      title={
        keys
          ? 'Keys that are down: 2, or 1 3 for two at once, 0 for none'
          : 'Degrees clockwise from the top, from the front'
      }
      placeholder={keys ? `key ${index + 1}` : `${Math.round(angleOf(actuator, position))}°`}
      defaultValue={shown}
      aria-invalid={wrong}
      maxLength={20}
      onBlur={({ target }) => keep(target.value)}
      className={`${INPUT} font-mono placeholder:text-quiet aria-invalid:border-brick`}
    />
  );
}

/** Degrees from what was typed; null for nothing; undefined for what is no angle. */
export function readAngle(text: string): Pose | null | undefined {
  const typed = text.trim().replace(/°$/, '').replace('−', '-');
  if (typed === '') return null;
  return /^-?\d{1,3}$/.test(typed) && Math.abs(Number(typed)) <= 360
    ? { kind: 'angle', degrees: Number(typed) }
    : undefined;
}

/** Keys from what was typed: '2', '1 3', '0' for all out; null for nothing; undefined for what are no keys. */
export function readKeys(text: string): Pose | null | undefined {
  const parts = text.split(/[\s,+]+/).filter((part) => part !== '');
  if (parts.length === 0) return null;
  if (!parts.every((part) => /^\d{1,2}$/.test(part) && Number(part) <= 24)) return undefined;
  const down = [...new Set(parts.map(Number))].filter((key) => key > 0).sort((one, other) => one - other);
  return { kind: 'keys', down };
}

/** One more handle on the same switch: a pull on a knob, a key beside a lever. */
function AddHandle() {
  const structure = useJobState((state) => state.map.structure);
  const { settings } = structure;
  const session = useSession();
  const [open, setOpen] = useState(false);
  const [form, setForm] = useState<ActuatorForm>('push-pull');
  const [names, setNames] = useState('in, out');
  const [every, setEvery] = useState(true);
  const list = names.split(',').map((name) => name.trim());
  const extra = (list.length - 1) * (every ? settings.length : 1);
  const tooMany = settings.length + extra > MOST_SETTINGS;
  const wrong =
    list.length < 2 ||
    list.length > 24 ||
    list.some((name) => name === '' || [...name].length > POSITION_NAME_LETTERS) ||
    tooMany;
  const add = () => {
    const [first, ...more] = list;
    if (first === undefined) return;
    const handle = {
      name: FORM_WORDS[form],
      form,
      positionNames: [first, ...more],
      everyCombination: every,
    } as const;
    session.restructure(addedHandle(structure, handle, newId));
    setOpen(false);
  };
  if (!open) {
    return (
      <PlainButton className="justify-self-start" onClick={() => setOpen(true)}>
        There is one more handle
      </PlainButton>
    );
  }
  return (
    <form
      className="grid gap-3 rounded-part border-2 border-line bg-sheet p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (!wrong) add();
      }}
    >
      <label>
        What it is
        <select
          value={form}
          onChange={({ target }) => setForm(formOf(target.value))}
          className={`${INPUT} mt-1 w-full`}
        >
          {ACTUATOR_FORMS.map((one) => (
            <option key={one} value={one}>
              {FORM_WORDS[one]}
            </option>
          ))}
        </select>
      </label>
      <label>
        Its positions, with commas between; first the one that all readings so far were taken in
        <input
          value={names}
          onChange={({ target }) => setNames(target.value)}
          className={`${INPUT} mt-1 w-full`}
        />
      </label>
      <CheckLine checked={every} onChange={setEvery}>
        Every combination matters
      </CheckLine>
      <p className="text-small text-quiet">
        {tooMany
          ? 'That is more than 256 settings. Take fewer combinations.'
          : `${extra} more ${extra === 1 ? 'setting' : 'settings'} to map.`}
      </p>
      <div className="flex gap-2">
        <PlainButton type="submit" disabled={wrong}>
          Add it
        </PlainButton>
        <PlainButton look="quiet" onClick={() => setOpen(false)}>
          Close
        </PlainButton>
      </div>
    </form>
  );
}
