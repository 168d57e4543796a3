/** What take away machine says. */
export const TAKE_AWAY_MACHINE_TEXT = {
  inTheMachine: (place: string | number) => `In the machine, ${place}`,
  theFileCouldNotBe: 'The file could not be made. Reload the page and try again.',
  reckonedFromWhatWasSaid: 'Reckoned from what was said and read: no proof that anything is dead.',
};
