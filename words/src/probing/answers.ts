import type { Label, PlainLabel } from '@which-way/core/probing';
import type { Structure } from '@which-way/core/switch';
import { pairWords } from '../terminals.js';

const WORDS: Record<PlainLabel, string> = {
  'take-it': 'Enter',
  'it-sounds': 'It beeps',
  done: 'Done',
  none: 'None beeped',
  'all-over-range': 'All OL',
  silent: 'Silent',
  'handle-there': 'It’s there',
  'over-range': 'OL',
  'all-sounded': 'All beeped',
  'touch-each': 'Touch each',
  'sweep-with-meter': 'Sweep with the meter',
  'turn-with-meter': 'Turn with the meter',
  probe: 'Probe',
  measure: 'Measure',
  skip: 'Skip',
  flickers: 'Flickers',
  'cannot-reach': 'Can’t reach',
  'other-side': 'Other side',
  'new-position': 'New position',
  'hit-the-stop': 'Hit the stop',
  'back-at-start': 'Back at the start',
  'ask-them-now': 'Ask them now',
  'go-on-to-everything': 'Map everything',
  're-check': 'Re-check',
  'way-back': 'Check on the way back (one pair each)',
  'all-to-frame': 'Test all lugs to frame',
  'wires-are-off': 'The wires are off',
  'read-them-again': 'Read them again',
  'off-already': 'They’re off already',
  undo: 'Undo',
};

/** What an answer is called. */
export function answerWords(structure: Structure, label: Label): string {
  switch (label.code) {
    case 'sounded-done':
      return `${label.count} beeped, done`;
    case 'read-done':
      return `${label.count} read, rest OL`;
    case 'silent-clips':
      return `${label.count} silent`;
    case 'read-again':
      return `Read ${pairWords(structure, label)} again`;
    default:
      return WORDS[label.code];
  }
}

const KEYS: Readonly<Record<string, string>> = { ' ': 'Space', ArrowDown: '↓', ArrowRight: '→' };

/** A key as it is written on a button. */
export const keyWords = (key: string): string => KEYS[key] ?? key;
