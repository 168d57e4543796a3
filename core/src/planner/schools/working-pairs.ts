import { experienceOf } from '../chance/experience.js';
import { isUnknown, type Field } from '../field/field.js';
import { settingsFrom } from './plain-schools.js';
import type { Move } from '../hands/move.js';
import type { Planner } from './situation.js';

/**
 * What the trade does in a few minutes: find the common, sweep it in every position. Throws are not tested against each
 * other, nor poles against poles, so the map is not complete by it.
 */
export const workingPairs: Planner = (situation) => {
  const { field } = situation;
  const found = rolesOf(field);
  const order = settingsFrom(situation);
  // Commons first, in every setting: each throw that turns up need not be swept itself.
  for (const setting of order)
    for (const hub of found.commons) {
      const move = sweepFrom(
        field,
        setting,
        hub,
        (place) => found.alone(place) || found.samePole(place, hub),
      );
      if (move) return move;
    }
  const rest = field.places.filter(found.alone);
  for (const setting of order)
    for (const [at, red] of rest.entries()) {
      const move = sweepFrom(field, setting, red, (place) => rest.indexOf(place) > at);
      if (move) return move;
    }
  return null;
};

/** The commons so far: of each pole the terminals with most partners; and which terminals have no partner yet. */
function rolesOf(field: Field) {
  const { degree, pole } = experienceOf(field);
  const most = new Map<number, number>();
  for (const place of field.places)
    most.set(pole[place] as number, Math.max(most.get(pole[place] as number) ?? 0, degree.get(place)));
  const alone = (place: number) => degree.get(place) === 0;
  return {
    alone,
    commons: field.places.filter(
      (place) => !alone(place) && degree.get(place) === most.get(pole[place] as number),
    ),
    samePole: (one: number, other: number) => pole[one] === pole[other],
  };
}

function sweepFrom(
  field: Field,
  setting: number,
  red: number,
  wanted: (place: number) => boolean,
): Move | null {
  const black = field.places.filter(
    (place) => place !== red && wanted(place) && isUnknown(field, setting, red, place),
  );
  return black.length > 0 ? { kind: 'sweep', setting, red, black } : null;
}
