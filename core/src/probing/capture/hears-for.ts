import { isHeldAsk } from '../task.js';
import type { Moment } from '../moment.js';

/** What is asked while the leads are held begins so: there the pedal asks, and the tone alone answers nothing. */
export const HELD = 'held ';

/**
 * The touch that is asked now, as a key; null: none that something besides a hand may answer. It is a touch of the Map or of the re-check,
 * the leads held together, or a single clip; while leads are held and the handle turns, the pedal says where it is.
 */
export function touchAsked({ task, hands, many, stepAt }: Moment): string | null {
  if (hands.typed !== '' || hands.picking) return null;
  switch (task?.kind) {
    case 'plan':
      return task.plan.kind === 'check-meter' ? 'leads-together' : null;
    case 'clips':
      return task.change.touch.length === 1 ? `clip ${task.change.touch[0]} ${task.prompt?.id ?? ''}` : null;
    case 'correct':
      return `again ${task.reading.id}`;
    case 'prompt':
      if (isHeldAsk(task.prompt.ask)) return `${HELD}${task.prompt.id} ${stepAt}`;
      return `prompt ${task.prompt.id} ${many ? stepAt : ''}`;
    default:
      return null;
  }
}

/** What a tone would answer now; null: the ear answers nothing here. */
export const hearsFor = (moment: Moment): string | null =>
  moment.hands.sense === 'tone' ? touchAsked(moment) : null;

/** Whether the pedal says 'the handle is there' and the tone, sounding or not, what is read there. */
export const heldByEar = ({ task, hands }: Moment): boolean =>
  hands.sense === 'tone' && task?.kind === 'prompt' && isHeldAsk(task.prompt.ask);
