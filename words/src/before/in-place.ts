import type { InPlaceStanding } from '@which-way/core/path';

/** What a pair that was watched in the machine says, and no more. */
export const IN_PLACE_WORDS: Record<InPlaceStanding, string> = {
  'works-here':
    'Works here, in circuit: some contact on this handle makes and breaks that path. That says nothing about the other contacts, and isn’t a map.',
  'not-every-time': 'Not every time: keep working it, and check the contact, the leads and the wires.',
  'never-parts': 'It never opens here: welded, bridged, or something else in the circuit joins the two.',
  'never-joins': 'It never joins here: the contact, or the path to it, is open.',
  'too-few': 'Repeat it three times before it counts.',
};
