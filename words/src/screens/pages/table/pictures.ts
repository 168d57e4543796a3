/** What pictures says. */
export const PICTURES_TEXT = {
  oneLarge: 'One, large',
  picturesOfWhat: 'Pictures of what',
};
