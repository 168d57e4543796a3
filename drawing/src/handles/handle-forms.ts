import type { Actuator, ActuatorForm, Side } from '@which-way/core/switch';
import { legible, type Least } from '../legible.js';
import { HEIGHT, HANDLE_WIDTH, type SeenHandle } from './seen-handle.js';
import { piecesOf, type Drawn, type Picture } from '../shape.js';
import { keyBank, plunger, rocker, slide, toggle, trigger, unsaid } from './straight-handles.js';
import { keyhole, knob, lever, potentiometer } from './turning-handles.js';

/** How each form of handle is drawn, from the front; `mirrored` puts left for right. */
const DRAWINGS: Record<ActuatorForm, (drawn: SeenHandle) => Drawn> = {
  rotary: (drawn) => knob(drawn, null),
  'pot-switch': potentiometer,
  key: keyhole,
  lever,
  toggle,
  rocker,
  slide,
  trigger,
  push: plunger,
  'push-push': plunger,
  'push-pull': plunger,
  pull: plunger,
  'key-bank': keyBank,
  unsaid,
};

/** What is said beside a drawn handle. */
export interface HandleSaid {
  caption: string;
  stroke: string;
}

/**
 * A handle as what it is and where it stands, from the side from which the lugs are drawn.
 * @param index its position; -1: not known.
 */
export function handlePicture(
  actuator: Actuator,
  index: number,
  side: Side,
  said: HandleSaid,
  least: Least = 0,
): Picture {
  const seen: SeenHandle = {
    actuator,
    position: actuator.positions[index] ?? null,
    index: Math.max(0, index),
    mirrored: side === 'terminal',
    stroke: said.stroke,
    size: legible(14, least),
  };
  return {
    width: HANDLE_WIDTH,
    height: HEIGHT,
    shapes: piecesOf(DRAWINGS[actuator.form](seen)),
    caption: said.caption,
  };
}
