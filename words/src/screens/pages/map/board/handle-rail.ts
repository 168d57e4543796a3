/** What handle rail says. */
export const HANDLE_RAIL_TEXT = {
  onlyHere: ', only here',
  handle: 'Handle',
  handles: 'Handles',
  now: 'now',
  tapIfItSounds: 'tap if it beeps',
  settled: 'settled',
  itBeepedHere: 'It beeped here',
  giveItAName: 'Give it a name',
  probeHere: 'Probe here',
  morePerhaps: 'more, perhaps',
  nameOfThePosition: 'Name of the position',
  name: 'Name',
  notAPositionAfterAll: 'Not a position after all: its readings are parked',
  removeThisPosition: 'Remove this position',
};
