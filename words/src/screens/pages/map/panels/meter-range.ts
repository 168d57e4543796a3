/** What meter range says. */
export const METER_RANGE_TEXT = {
  isNoRangeTypeIts: (text: string | number) => `“${text}” isn’t a range. Type its ohms, such as 200 or 2000.`,
  theMetersRangeIsSet: 'The meter’s range is set by hand ',
  upToSoManyOhms: 'Up to how many ohms',
  olSaysAbove: 'OL says ‘above ',
  ohmAsSilentAsA:
    ' ohm’: as silent as a beeper, and nothing about insulation. Leaks want a range of megohms.',
};
