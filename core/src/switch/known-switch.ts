import {
  FAMILY_LETTERS,
  id,
  LABEL_LETTERS,
  list,
  MOST_POSITIONS_OF_A_HANDLE,
  MOST_TERMINALS,
  object,
  oneOf,
  optional,
  orNull,
  PERSON_LETTERS,
  POSITION_NAME_LETTERS,
  REMARK_LETTERS,
  says,
  text,
  TITLE_LETTERS,
  words,
  type TypeOf,
} from '../schema/index.js';
import { ACTUATOR_FORMS, restsSchema } from './actuator.js';
import type { EntryId } from './id.js';
import { partFactsSchema } from './part-facts.js';

const label = text(LABEL_LETTERS, 1);

const knownPositionSchema = object({
  name: orNull(text(POSITION_NAME_LETTERS)),
  rests: restsSchema,
  joined: says(
    'Groups of terminal labels that join in this position; a label stands in one group at most.',
    list(list(label, { minItems: 2, uniqueItems: true })),
  ),
});

export const knownSwitchSchema = object({
  id: id<EntryId>(),
  kind: says(
    '`switch`: a pattern to compare with. `part`: something that can be bought and fitted.',
    oneOf(['switch', 'part']),
  ),
  name: words(TITLE_LETTERS),
  maker: orNull(text(PERSON_LETTERS)),
  family: says(
    "What sort of thing it is, in the shop's words: 'slide switch', 'two-deck wafer'.",
    text(FAMILY_LETTERS),
  ),
  form: oneOf(ACTUATOR_FORMS),
  terminals: list(label, { minItems: 2, maxItems: MOST_TERMINALS, uniqueItems: true }),
  positions: says(
    'In handle order.',
    list(knownPositionSchema, { minItems: 1, maxItems: MOST_POSITIONS_OF_A_HANDLE }),
  ),
  note: orNull(text(REMARK_LETTERS)),
  facts: says('What is stated besides its wiring; what is absent is unknown.', optional(partFactsSchema)),
});
/** A switch whose wiring is known: an entry of the library. Labels name its terminals. */
export type KnownSwitch = TypeOf<typeof knownSwitchSchema>;
