import { KeyChips } from '../../../parts/identity/case-chips.js';
import { Pick } from '../../../controls/fields/pick.js';
import { Hint } from '../../../controls/hint.js';
import { readAngle, readKeys, type Actuator, type Pose, type Position } from '@which-way/core/switch';
import { HANDLE_NAME_LETTERS, FIGURE_LETTERS } from '@which-way/core/schema';
import { useState } from 'react';
import { restOf, springAnswersOf } from '@which-way/core/log';
import { useJobState, useSession } from '../../../job/job-context.js';
import { angleOf } from '@which-way/core/switch';
import { PlainButton } from '../../../controls/plain-button.js';
import { POSITION_ROW_TEXT } from '@which-way/words/screens/pages/tag/terminals/position-row';
import { TextInput } from '../../../controls/fields/text-input.js';

interface PositionRowProps {
  actuator: Actuator;
  position: Position;
  index: number;
  here: boolean;
  onLook: () => void;
}

/** A position: what the front says, whether it stays, and where the handle points in it. */
export function PositionRow({ actuator, position, index, here, onLook }: PositionRowProps) {
  const session = useSession();
  const log = useJobState((state) => state.map.log);
  const pose = (part: Partial<Pick<Position, 'rests' | 'returnsTo' | 'pose'>>) => {
    const { rests, returnsTo, pose: now } = { ...position, ...part };
    session.restructure({ change: 'position-posed', position: position.id, rests, returnsTo, pose: now });
  };
  const rename = (name: string) => {
    if (name.trim() !== (position.name ?? ''))
      session.restructure({ change: 'position-renamed', position: position.id, name: name.trim() || null });
  };
  const rest = restOf(actuator, position, springAnswersOf(log));
  const others = actuator.positions.filter(({ id }) => id !== position.id);
  return (
    <li
      className={`grid grid-cols-[2.75rem_minmax(0,1fr)] max-sm:[&>*:nth-child(n+3)]:col-start-2 sm:grid-cols-[2.75rem_minmax(0,1fr)_minmax(0,1fr)_6rem] items-center gap-2 rounded-part border-2 p-1 ${here ? 'border-brass' : 'border-transparent'}`}
    >
      <PlainButton
        className="!px-0 font-mono"
        aria-label={POSITION_ROW_TEXT.showPosition(index + 1)}
        onClick={onLook}
      >
        {index + 1}
      </PlainButton>
      <TextInput
        key={position.name}
        aria-label={POSITION_ROW_TEXT.whatTheFrontSaysAt(index + 1)}
        placeholder={POSITION_ROW_TEXT.noName}
        defaultValue={position.name ?? ''}
        maxLength={HANDLE_NAME_LETTERS}
        onFocus={onLook}
        onBlur={({ target }) => rename(target.value)}
      />
      <Pick
        quiet
        label={POSITION_ROW_TEXT.positionRestsOrSpringsBack(index + 1)}
        value={
          rest.rests === 'not-said'
            ? 'not-said'
            : rest.rests === 'maintained'
              ? 'stays'
              : (rest.returnsTo ?? 'springs')
        }
        options={[
          ...(rest.rests === 'not-said' ? [{ value: 'not-said', text: 'not said' }] : []),
          { value: 'stays', text: 'stays' },
          { value: 'springs', text: 'springs back' },
          ...others.map(({ id, name }) => ({
            value: id,
            text: `springs to ${name ?? actuator.positions.findIndex((one) => one.id === id) + 1}`,
          })),
        ]}
        onFocus={onLook}
        onPick={(value) => {
          if (value === 'not-said') return;
          const returnsTo = others.find(({ id }) => id === value)?.id ?? null;
          const springs = value !== 'stays';
          pose({ rests: springs ? 'momentary' : 'maintained', returnsTo });
          // That it stays is an answer; that it springs to nobody says where is told by the position itself.
          if (!springs || returnsTo)
            session.emit({ kind: 'spring-answered', answer: { position: position.id, found: returnsTo } });
        }}
      />
      <PoseField {...{ actuator, position, index }} onPose={(given) => pose({ pose: given })} />
      {actuator.form === 'key' && <KeyChips position={position} />}
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
    <Hint text={keys ? POSITION_ROW_TEXT.keysThatAreDownOr : POSITION_ROW_TEXT.degreesClockwiseFromTheTop}>
      <TextInput
        key={shown}
        aria-label={
          keys
            ? POSITION_ROW_TEXT.keysDownAtPosition(index + 1)
            : POSITION_ROW_TEXT.degreesAtPosition(index + 1)
        }
        placeholder={keys ? POSITION_ROW_TEXT.key(index + 1) : `${Math.round(angleOf(actuator, position))}°`}
        defaultValue={shown}
        aria-invalid={wrong}
        maxLength={FIGURE_LETTERS}
        onBlur={({ target }) => keep(target.value)}
        mono
      />
    </Hint>
  );
}
