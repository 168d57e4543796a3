/** What lesson says. */
export const LESSON_TEXT = {
  firstLesson: 'First lesson',
  firstLesson2: (title: string | number) => `First lesson: ${title}`,
  seeHowItWent: 'See how it went',
  everyMappingBeginsSoIt:
    'Every mapping starts like this: it shows that the meter is awake, and what its leads read. Press Enter.',
  allPairsAreKnownHere:
    'All pairs are known here. Now the handle is turned by one click: → for a new position, End when it hits the stop.',
  theTableOnTheRight:
    'The table on the right is the switch. No pair was asked twice, and what followed was not asked at all. One wrong answer would not show by itself: the re-check is for that.',
  leadsHeard: 'Every mapping starts like this: the leads touch, and a beep shows that the meter is awake.',
  sweepHeard:
    'Red stays on one lug, black goes over the others. What beeps is joined; 1.5 s of silence counts as open.',
  restHeard: 'The rest goes by ear. A pedal or Space answers sooner; Backspace undoes the last answer.',
  somethingHasToBeLooked: 'Something needs another look before the map is complete.',
  redStaysOnOneLug:
    'Red stays on one lug, black goes over the others. With a real meter you tap those that beeped; here Enter lets the meter answer.',
  whatStaysIsSmallOn: 'The rest is quick. Enter goes on; Backspace undoes the last answer.',
};
