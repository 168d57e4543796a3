import {
  above,
  amount,
  count,
  flag,
  fraction,
  list,
  MOST_POSITIONS_OF_A_HANDLE,
  MOST_TERMINALS,
  object,
  oneOf,
  optional,
  orNull,
  POSITION_NAME_LETTERS,
  tagged,
  text,
  TITLE_LETTERS,
} from '../schema/index.js';
import { MISASSEMBLIES, SIMULATED_PARTS } from './faults.js';

const ohms = amount(0, 1e9);
const place = count(0, MOST_TERMINALS - 1);
const anyPlace = count(0, Number.MAX_SAFE_INTEGER);

const contact = object({
  a: anyPlace,
  b: anyPlace,
  closedIn: list(anyPlace),
  ohms,
  fault: optional(
    tagged('kind', {
      dirty: { ohms },
      burnt: { ohms },
      welded: {},
      broken: {},
      unsteady: {},
      'one-sided': { makes: oneOf(['up', 'down']) },
      sometimes: { misses: fraction },
    }),
  ),
});

const meter = object({
  leadOhms: amount(0, 100),
  resolutionOhms: above(0, 1000),
  beeperOhms: amount(0, 1e6),
  faults: optional(
    object({
      fingersOhms: ohms,
      deadClip: orNull(place),
      autoOffAfter: count(0, 1e6),
      lowBattery: flag,
      slowOverRange: flag,
    }),
  ),
});

/** A simulated switch, where a job has one. Faults and parts may be left out: then there are none. */
export const simulatedSwitchSchema = object({
  seed: count(0, 4_294_967_295),
  name: text(TITLE_LETTERS),
  terminals: count(2, MOST_TERMINALS),
  positions: list(object({ name: orNull(text(POSITION_NAME_LETTERS)) }), {
    minItems: 1,
    maxItems: MOST_POSITIONS_OF_A_HANDLE,
  }),
  contacts: list(contact, { maxItems: 4096 }),
  parts: optional(list(object({ a: place, b: place, form: oneOf(SIMULATED_PARTS), ohms }), { maxItems: 64 })),
  frame: optional(orNull(place)),
  meter,
  wrong: optional(
    object({
      how: oneOf(MISASSEMBLIES),
      should: list(list(place, { maxItems: MOST_TERMINALS }), { maxItems: MOST_POSITIONS_OF_A_HANDLE }),
    }),
  ),
});
