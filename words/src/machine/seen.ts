import type { LoadComplaint } from '@which-way/core/machine';
import type { Conducts, LoadLooked } from '@which-way/core/log';

/** What was seen of a load, in a word. */
export const SEEN_WORDS: Record<LoadLooked['seen'] & string, string> = {
  right: 'as it should',
  off: 'off',
  on: 'on',
  weak: 'weak',
  reversed: 'the wrong way',
  sometimes: 'now and then',
};

/** What is wrong with a load, whatever the setting. */
export const COMPLAINT_WORDS: Record<LoadComplaint, string> = {
  'never-on': 'never on',
  'never-off': 'never off',
  weak: 'weak',
  'wrong-way': 'wrong way',
  sometimes: 'sometimes',
};

/** What is read between two places of a dead machine. */
export const CONDUCTS_WORDS: Record<Conducts, string> = {
  closed: 'About 0 Ω: joined',
  ohms: 'Some ohms',
  open: 'Open',
};
