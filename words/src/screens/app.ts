/** What app says. */
export const APP_TEXT = {
  noSuchPage: 'No such page',
  thereIsNothingAtThis: 'There is nothing at this address.',
  goToTheBench: 'Go to the bench',
  whereAllJobsAre: ', where all jobs are.',
  thisPageDoesNotOpen: 'This page can’t open',
  thisPageDoesNotOpen2: 'This page can’t open right now.',
  eitherItIsNotKept:
    'Either it is not kept in this browser and the server does not answer, or it has a fault. What was entered is kept.',
  tryAgain: 'Try again',
  opening: 'Opening',
};
