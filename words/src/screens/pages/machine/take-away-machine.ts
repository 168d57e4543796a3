/** What take away machine says. */
export const TAKE_AWAY_MACHINE_TEXT = {
  everySetting: 'Circuit in every setting, SVG',
  paper: 'On paper, PDF',
  circuit: 'Circuit, JSON',
  netlist: 'Netlist, SPICE',
  inTheMachine: (place: string | number) => `In the machine, ${place}`,
  theFileCouldNotBe: 'The file couldn’t be made. Reload the page and try again.',
  reckonedFromWhatWasSaid:
    'Calculated from what was entered and measured. It doesn’t prove anything is dead.',
};
