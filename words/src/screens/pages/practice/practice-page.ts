/** What practice page says. */
export const PRACTICE_PAGE_TEXT = {
  fromLibrary: 'From the library',
  surpriseMe: 'Surprise me',
  drawOneUp: 'Draw one',
  ordinary: 'Ordinary switches',
  putTogether: 'How it was put together',
  partAcross: 'A part across two lugs',
  theMeter: 'The meter',
  noneTheSwitchAndThe: 'Nothing: both are as they should be',
  oneSurprise: 'One surprise',
  threeSurprises: 'Three surprises',
  thatSwitchCannotBeDrawn: 'That switch can’t be made.',
  noSwitchIsChosen: 'No switch is chosen.',
  chooseOneOfTheList: 'Choose one from the list.',
  practice: 'Practice',
  firstLesson: 'First lesson',
  threeLugsAHandleA:
    'Three lugs, a handle, a meter that answers by itself. A few minutes, no real switch needed.',
  beginTheLesson: 'Start the lesson',
  beginByEar: 'With sound, no keys',
  aSwitchToMap: 'A switch to map',
  which: 'Which',
  contactsDirtyBurntWeldedBroken:
    'Contacts dirty, burnt, welded, broken, unsteady, making from one side only or not every time; lamps, motors, diodes and leaks across; a meter that sleeps, a dead clip, fingers on the tips.',
  putItOnTheBench: 'Put it on the bench',
  whatIsWrongWithIt: 'What is wrong with it, or with the meter',
  andForCertain: 'Always include',
};
