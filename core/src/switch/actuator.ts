import {
  amount,
  count,
  HANDLE_NAME_LETTERS,
  id,
  list,
  MOST_POSITIONS_OF_A_HANDLE,
  object,
  oneOf,
  orNull,
  POSITION_NAME_LETTERS,
  says,
  tagged,
  text,
  type TypeOf,
} from '../schema/index.js';
import type { ActuatorId, PositionId } from './id.js';

export const poseSchema = tagged('kind', {
  angle: { degrees: amount(-360, 360) },
  keys: { down: list(count(1, 24), { maxItems: 24, uniqueItems: true }) },
});
/** Where the handle is seen in a position: an angle clockwise from the top as seen from the front, or keys held down. */
export type Pose = TypeOf<typeof poseSchema>;

export const restsSchema = oneOf(['maintained', 'momentary']);
export const positionNameSchema = says(
  'What the front says; null for a position without a name or a visible sign.',
  orNull(text(POSITION_NAME_LETTERS)),
);

export const positionSchema = object({
  id: id<PositionId>(),
  name: positionNameSchema,
  rests: restsSchema,
  returnsTo: says('Where a momentary position springs back to, if known.', orNull(id<PositionId>())),
  pose: says('null: nobody has said where the handle points.', orNull(poseSchema)),
});
/** A place where an actuator rests or is held. */
export type Position = TypeOf<typeof positionSchema>;

export const ACTUATOR_FORMS = [
  'rotary',
  'lever',
  'toggle',
  'rocker',
  'slide',
  'trigger',
  'push',
  'push-push',
  'push-pull',
  'pull',
  'key',
  'key-bank',
  'pot-switch',
  /** Nobody has said yet what the hand moves: it is drawn as none of the others. */
  'unsaid',
] as const;
export type ActuatorForm = (typeof ACTUATOR_FORMS)[number];

export const closedBySchema = oneOf(['declared', 'stop', 'round']);
/** How the list of positions came to an end: said beforehand, by a stop, or by coming back to the start. */
export type ClosedBy = TypeOf<typeof closedBySchema>;

export const handleNameSchema = text(HANDLE_NAME_LETTERS);

export const actuatorSchema = object({
  id: id<ActuatorId>(),
  name: handleNameSchema,
  form: oneOf(ACTUATOR_FORMS),
  positions: says(
    'In the order in which the handle passes them.',
    list(positionSchema, { maxItems: MOST_POSITIONS_OF_A_HANDLE }),
  ),
  closed: says('null while there may be positions that nobody has found yet.', orNull(closedBySchema)),
});
/** What the hand moves. */
export type Actuator = TypeOf<typeof actuatorSchema>;
