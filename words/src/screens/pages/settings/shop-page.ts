/** What shop page says. */
export const SHOP_PAGE_TEXT = {
  theShopsListsAreSaved: 'The safety checklists are saved. Lists already started stay as they are.',
  nameOfTheShop: 'Name of the shop',
  theListFor: 'The list for',
  localCodesWhatAppliesHere: 'Local codes: what applies here',
  shownAboveTheListOf: 'Shown above the list of every job of this kind.',
  linesOfTheList: 'Lines of the list',
  oneMoreLine: 'One more line',
  saveTheLists: 'Save the lists',
  asTheyWere: 'As they were',
  whatToDo: 'What to do',
  why: 'Why',
  whyInASentence: 'Why, in a sentence',
  moveUp: 'Move up',
  moveDown: 'Move down',
  removeThisLine: 'Remove this line',
  stays: 'stays',
};
