/** What bench page says. */
export const BENCH_PAGE_TEXT = {
  putAway: 'Archived',
  onTheBench: 'On the bench',
  findAJob: 'Find a job',
  findAJobAPlace: 'Job, place or marking',
  backToTheBench: 'Back to the bench',
  joinSwitches: 'Combine switches',
  lookingAtTheBench: 'Loading jobs…',
};
