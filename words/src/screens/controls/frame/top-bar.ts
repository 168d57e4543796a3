/** What top bar says. */
export const TOP_BAR_TEXT = {
  whichWayTheBench: 'Which Way: the bench',
  whichWay: 'Which Way',
};
