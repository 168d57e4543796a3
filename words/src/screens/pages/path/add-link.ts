/** What add link says. */
export const ADD_LINK_TEXT = {
  addALink: 'Add a link',
  tapInWhatElseIs: 'Add what else is there',
  afterTheChosenLink: ', after the chosen link',
};
