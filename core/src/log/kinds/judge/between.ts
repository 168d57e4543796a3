import { count, flag, id, object, oneOf, says, two, type TypeOf } from '../../../schema/index.js';
import type { SettingId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { newest } from '../keeps.js';

export const passingSchema = object({
  throws: says('Two throws of one moving contact, a lead on each.', two(id<TerminalId>())),
  settings: says('The neighbouring settings, in the order of the handle.', two(id<SettingId>())),
  way: says('From the first to the second, or back.', oneOf(['up', 'down'] as const)),
  passes: says('Slow passes that way; 0 takes the record back.', count(0, 1000)),
  seen: says('Whether both were made at once in one of them.', flag),
});
/** Slow passes of the handle with a lead on each of two throws. That nothing was seen proves nothing. */
export type Passing = TypeOf<typeof passingSchema>;

export const passingProbed = defineKind('passing-probed', {
  says: 'whether two throws were seen joined while the handle passed slowly between two settings; the newest of each way counts',
  fields: { passing: passingSchema },
  undo: ['table'],
  reading: 'extends',
  keeps: newest(
    'passing',
    ({ throws, settings, way }: Passing) => `${throws.toSorted().join()} ${settings.join()} ${way}`,
    ({ passes }) => passes > 0,
  ),
  since: 'work',
});
