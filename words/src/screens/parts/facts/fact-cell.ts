/** What fact cell says. */
export const FACT_CELL_TEXT = {
  lookAgain: 'Look again',
  whatTheMarksMean: 'What the marks mean',
  closed: 'closed',
  closedByTone: 'closed, by tone',
  or: 'or ',
  follows: ' follows',
  a: 'a',
  assumedNotRead: 'assumed, not read',
  openMeasured: 'open, measured',
  notKnown: 'not known',
  lookAgain2: 'look again',
};
