import type { FirstTest, MustShow } from '@which-way/core/path';
import type { Symptom } from '@which-way/core/log';

export const SYMPTOM_WORDS: Record<Symptom, string> = {
  dead: 'Dead',
  sometimes: 'Sometimes',
  'never-off': 'Never off',
  weak: 'Weak',
  'wrong-way': 'Wrong way',
  jams: 'Jams',
  'brake-lost': 'Brake or stop lost',
};

export const FIRST_TEST_WORDS: Record<FirstTest, string> = {
  'whole-at-the-plug': 'The whole machine at its plug, handle off and on: this halves the search.',
  'flex-while-measuring': 'Flex the cord at both ends and move each wire while you measure.',
  'work-the-handle': 'Work the handle ten times between readings.',
  'off-must-be-open': 'At OFF every switched pair must read open: a welded contact does not.',
  'leak-to-frame': 'To the frame, and across open contacts: a leak keeps things half on.',
  'ohms-under-load': 'Ohms of each closed contact, and brushes before the switch.',
  'leads-of-the-motor': 'Find which two leads change over, and check whether two wires were swapped.',
  'look-inside': 'Look before you measure: springs, dirt, rotor in register.',
  'brake-contact': 'At rest the brake contact must be closed.',
};

export const MUST_SHOW_WORDS: Record<MustShow, string> = {
  'every-contact-closes': 'every contact closes where it should',
  repeats: 'it does so again and again: repeated readings agree',
  'opens-at-off': 'every contact opens at OFF: none is welded',
  'no-leak': 'no leak across open contacts or to the frame',
  'low-resistance': 'contact resistance within the limit of the load',
  direction: 'each direction on its own position',
  mechanics: 'it moves freely, rests where it should, springs back where it should',
  'brake-closes-at-rest': 'the brake contact is closed at rest',
};
