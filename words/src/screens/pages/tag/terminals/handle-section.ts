import { plural } from '../../../../plural.js';

/** What handle section says. */
export const HANDLE_SECTION_TEXT = {
  handle: 'Handle',
  inShort: (form: string, positions: number) => `${form}, ${plural(positions, 'position')}`,
  edit: 'edit',
  whatItIs: 'What it is',
  name: 'Name',
  positionsOf: (name: string | number) => `Positions of ${name}`,
  keysThatAreDownOr: 'Keys that are down: 2, or 1 3 for two at once, 0 for all out.',
  oneMorePosition: 'One more position',
  hasStops: 'Has stops',
  endless: 'Endless',
};
