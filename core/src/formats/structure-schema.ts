import {
  ACTUATOR_FORMS,
  CONDITION_LETTERS,
  FACES,
  HANDLE_NAME_LETTERS,
  LABEL_LETTERS,
  MOST_HANDLES,
  MOST_POSITIONS_OF_A_HANDLE,
  MOST_SETTINGS,
  MOST_TERMINALS,
  PLAIN_LAYOUTS,
  POSITION_NAME_LETTERS,
  SIDES,
  TERMINAL_ROLES,
} from '../switch/index.js';
import { count, fraction, id, list, object, oneOf, orNull, tagged, text } from './schema-builders.js';

const terminal = object({
  id,
  label: text(LABEL_LETTERS, 1),
  marking: orNull(text(LABEL_LETTERS)),
  role: oneOf(TERMINAL_ROLES),
});
const pose = tagged('kind', {
  angle: { degrees: { type: 'number', minimum: -360, maximum: 360 } },
  keys: { down: list(count(1, 24), { maxItems: 24, uniqueItems: true }) },
});
const position = object({
  id,
  name: orNull(text(POSITION_NAME_LETTERS)),
  rests: oneOf(['maintained', 'momentary']),
  returnsTo: orNull(id),
  pose: orNull(pose),
});
const closedBy = oneOf(['declared', 'stop', 'round']);
const setting = object({
  id,
  at: { type: 'object', additionalProperties: id, propertyNames: id },
  condition: orNull(text(CONDITION_LETTERS)),
  need: oneOf(['required', 'optional', 'impossible']),
});
const actuator = object({
  id,
  name: text(HANDLE_NAME_LETTERS),
  form: oneOf(ACTUATOR_FORMS),
  positions: list(position, { maxItems: MOST_POSITIONS_OF_A_HANDLE }),
  closed: orNull(closedBy),
});
const layout = tagged('kind', {
  ...Object.fromEntries(PLAIN_LAYOUTS.map((kind) => [kind, {}])),
  wafers: { decks: count(1, 12), places: count(2, 48) },
  grid: { rows: count(1, 24), columns: count(1, 48) },
  photo: { photo: id, side: oneOf(SIDES) },
});
const spot = tagged('on', {
  wafers: { deck: count(0, 11), face: oneOf(FACES), clock: count(0, 47) },
  grid: { row: count(0, 23), column: count(0, 47) },
  photo: { photo: id, x: fraction, y: fraction },
});

/** A change to what the switch is made of. */
export const changeSchema = tagged('change', {
  described: {
    terminals: list(terminal, { maxItems: MOST_TERMINALS }),
    actuators: list(actuator, { maxItems: MOST_HANDLES }),
    settings: list(setting, { maxItems: MOST_SETTINGS }),
    layout,
  },
  'terminal-added': { terminal },
  'terminal-renamed': { terminal: id, label: text(LABEL_LETTERS, 1), marking: orNull(text(LABEL_LETTERS)) },
  relabelled: {
    labels: list(
      object({ terminal: id, label: text(LABEL_LETTERS, 1), marking: orNull(text(LABEL_LETTERS)) }),
      {
        minItems: 1,
        maxItems: MOST_TERMINALS,
      },
    ),
  },
  'terminal-role': { terminal: id, role: oneOf(TERMINAL_ROLES) },
  'terminal-retired': { terminal: id },
  'position-added': {
    actuator: id,
    position,
    after: orNull(id),
    settings: list(setting, { maxItems: MOST_SETTINGS }),
  },
  'position-renamed': { position: id, name: orNull(text(POSITION_NAME_LETTERS)) },
  'position-posed': {
    position: id,
    rests: oneOf(['maintained', 'momentary']),
    returnsTo: orNull(id),
    pose: orNull(pose),
  },
  'position-retired': { position: id },
  'position-merged': { position: id, into: id },
  'positions-closed': { actuator: id, by: closedBy },
  'actuator-described': { actuator: id, name: text(HANDLE_NAME_LETTERS), form: oneOf(ACTUATOR_FORMS) },
  'actuator-added': { actuator, home: id, settings: list(setting, { maxItems: MOST_SETTINGS }) },
  'setting-added': { setting },
  'setting-needed': { setting: id, need: oneOf(['required', 'optional', 'impossible']) },
  'laid-out': { layout },
  placed: { spots: list(object({ terminal: id, spot }), { minItems: 1, maxItems: MOST_TERMINALS }) },
});
