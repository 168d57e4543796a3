/** What app says. */
export const APP_TEXT = {
  noSuchPage: 'No such page',
  thereIsNothingAtThis: 'There is nothing at this address.',
  goToTheBench: 'Go to the bench',
  whereAllJobsAre: ', where all jobs are.',
  thisPageDoesNotOpen: 'This page can’t open',
  thisPageDoesNotOpen2: 'This page can’t open right now.',
  eitherItIsNotKept:
    'Either this browser has no copy and the server isn’t answering, or the page has a fault. What you entered is kept.',
  tryAgain: 'Try again',
  opening: 'Opening',
};
