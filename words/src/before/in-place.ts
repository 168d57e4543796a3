import type { InPlaceStanding } from '@which-way/core/path';

/** What a pair that was watched in the machine says, and no more. */
export const IN_PLACE_WORDS: Record<InPlaceStanding, string> = {
  'works-here':
    'Works here, in circuit: some contact on this handle makes and breaks that path. It says nothing of the other contacts, and is no map.',
  'not-every-time': 'Not every time: work it on, and look at the contact, the leads and the wires.',
  'never-parts': 'It never parts here: welded, bridged, or something else in the circuit joins the two.',
  'never-joins': 'It never joins here: the contact, or the path to it, is open.',
  'too-few': 'Three times over before it says anything.',
};
