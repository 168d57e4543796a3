import type { Part, Wire } from '@which-way/core/log';
import { ohms } from '../quantity.js';
import { PART_WORDS } from '../tag/wires.js';

/** What is said on the ground of a drawing. */
export const GROUND_WORDS = { noPhoto: 'The photo is not on this machine', notPlaced: 'not placed yet' };

/** How a terminal takes part in what is being asked, for those who do not see it drawn. */
export const PART_IN_TASK_WORDS = {
  red: 'red lead stays here',
  black: 'touch with black',
  sounded: 'joined',
  'not-needed': 'need not be touched',
  now: 'touch this one now',
  picked: 'chosen',
  plain: '',
  free: 'joins nothing',
} as const;

/** A declared part, as it stands on its line. */
export const partText = ({ form, ohms: value }: Part): string =>
  value === null ? PART_WORDS[form] : `${PART_WORDS[form]} ${ohms(value)}`;

export const partCaption = (part: Part): string =>
  `Declared: ${partText(part)}${part.on ? '' : ', taken off'}`;

/** The tag of a wire, for those who do not see it drawn. */
export const tagCaption = ({ tag, color, liveThough }: Wire): string =>
  `Tag ${tag}${color ? ` ${color}` : ''}${liveThough ? ', live: re-mark' : ''}`;
