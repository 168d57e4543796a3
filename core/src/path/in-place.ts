import type { InPlaceTrial } from '../log/index.js';

/** So many times over a pair has to part and join with the handle before that is evidence. */
export const ROUNDS_WANTED = 3;

/**
 * What a pair that was watched in the machine says. `works-here`: it parted and joined each time, three times at least: some
 * contact on this handle makes and breaks that path, in circuit. Evidence for the path; never for a map or a pass.
 */
export type InPlaceStanding = 'works-here' | 'not-every-time' | 'never-parts' | 'never-joins' | 'too-few';

export function inPlaceStanding({ rounds }: InPlaceTrial): InPlaceStanding {
  const joins = rounds.filter(({ atClosed }) => atClosed === 'joined').length;
  const parts = rounds.filter(({ atOpen }) => atOpen === 'open').length;
  if (rounds.length < ROUNDS_WANTED) return 'too-few';
  if (joins === rounds.length && parts === rounds.length) return 'works-here';
  if (parts === 0) return 'never-parts';
  return joins === 0 ? 'never-joins' : 'not-every-time';
}
