/** What one large says. */
export const ONE_LARGE_TEXT = {
  oneSettingLargeArrowsGo: 'One setting, large; arrows go to the next',
  theSettingBefore: 'The setting before',
  ofText: ' of ',
  theNextSetting: 'The next setting',
};
