/** What bench page says. */
export const BENCH_PAGE_TEXT = {
  putAway: 'Put away',
  onTheBench: 'On the bench',
  findAJob: 'Find a job',
  findAJobAPlace: 'Find a job, a place, a marking',
  backToTheBench: 'Back to the bench',
  joinSwitches: 'Join switches',
  practice: 'Practice',
  mapASwitchNow: 'Map a switch now',
  n: 'N',
  lookingAtTheBench: 'Looking at the bench.',
};
